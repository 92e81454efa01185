const DEGREES_PER_RADIAN = 180 / Math.PI;

/** An angle in degrees, of one in radians. */
export const toDegrees = (radians: number): number => radians * DEGREES_PER_RADIAN;

/** An angle in radians, of one in degrees. */
export const toRadians = (degrees: number): number => degrees / DEGREES_PER_RADIAN;

/** What is told for a degree, of what is told for a radian: a stiffness in N·mm/rad becomes N·mm/°. */
export const perDegree = (perRadian: number): number => perRadian / DEGREES_PER_RADIAN;

/** What is told for a radian, of what is told for a degree. */
export const perRadian = (perDegree: number): number => perDegree * DEGREES_PER_RADIAN;

/** The same angle between −π and π, rad. */
export const wrapped = (angle: number): number => Math.atan2(Math.sin(angle), Math.cos(angle));
