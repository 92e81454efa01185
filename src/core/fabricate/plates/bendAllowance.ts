/** A quarter turn of mild steel takes 1.57·radius + 0.64·thickness of it (Machinery's Handbook, from memory). */
const IN_BEND = 0.64 / (Math.PI / 2);
export const bendAllowance = (radius: number, thickness: number, deg = 90): number =>
  ((Math.PI * deg) / 180) * (radius + IN_BEND * thickness);
