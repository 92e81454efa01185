/** When the wheel stands in the middle of its opening: where the car drives, or where it is parked. */
export const CENTRE_SCHOOLS = ['driving', 'parked'] as const;
export type CentreSchool = (typeof CENTRE_SCHOOLS)[number];
