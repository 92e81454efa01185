/** Which dimensions the bay shows: none, the car as recorded, the mounts of the bar, or the gaps that centre the axle. */
export type Figures = 'none' | 'car' | 'mounts' | 'gaps';
