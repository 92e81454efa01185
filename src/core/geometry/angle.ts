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

/**
 * Writes the turn by roll, then pitch, then steer (Z-Y-X, ISO 8855), row by row into the first nine of a list of numbers, from the
 * cosine and the sine of each.
 */
export function putTurn(
  into: Float64Array,
  cr: number,
  sr: number,
  cp: number,
  sp: number,
  cs: number,
  ss: number,
): void {
  into[0] = cs * cp;
  into[1] = cs * sp * sr - ss * cr;
  into[2] = cs * sp * cr + ss * sr;
  into[3] = ss * cp;
  into[4] = ss * sp * sr + cs * cr;
  into[5] = ss * sp * cr - cs * sr;
  into[6] = -sp;
  into[7] = cp * sr;
  into[8] = cp * cr;
}
