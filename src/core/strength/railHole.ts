/** A box rail, mm: as wide and as high as it is outside, and its wall. */
export type BoxRail = { width: number; height: number; wall: number };

/** A hole through both sides of a rail, mm: its middle up from the underside, and its diameter. */
export type SideHole = { up: number; diameter: number };

/** What is welded into and round a hole, mm: a sleeve as wide outside as the hole, by its wall; collars on both outer sides, by their outside and their thickness. */
export type GivenBack = { sleeve: number; collar: { od: number; thickness: number } };

/** A stretch of a section, mm: so wide, from one height to another; less than no width is taken away. */
type Stretch = [width: number, from: number, to: number];

const box = ({ width, height, wall }: BoxRail): Stretch[] => [
  [width, 0, height],
  [-(width - 2 * wall), wall, height - wall],
];

const cut = ({ wall, height }: BoxRail, { up, diameter }: SideHole): Stretch[] => [
  [-2 * wall, Math.max(wall, up - diameter / 2), Math.min(height - wall, up + diameter / 2)],
];

/** A sleeve lies through the hole as two strips as long as the rail is wide, a collar stands above and below it on either side. */
function given({ width }: BoxRail, { up, diameter }: SideHole, { sleeve, collar }: GivenBack): Stretch[] {
  const [r, R] = [diameter / 2, collar.od / 2];
  return [
    [width, up - r, up - r + sleeve],
    [width, up + r - sleeve, up + r],
    [2 * collar.thickness, up - R, up - r],
    [2 * collar.thickness, up + r, up + R],
  ];
}

/** The section modulus of stretches that bend as one about a level axis, mm³: I over the farther of its edges. */
function modulus(stretches: Stretch[]): number {
  const own = stretches.filter(([, from, to]) => to > from);
  const area = own.reduce((sum, [w, a, b]) => sum + w * (b - a), 0);
  const middle = own.reduce((sum, [w, a, b]) => sum + (w * (b ** 2 - a ** 2)) / 2, 0) / area;
  const inertia = own.reduce((sum, [w, a, b]) => sum + (w * ((b - middle) ** 3 - (a - middle) ** 3)) / 3, 0);
  const steel = own.filter(([w]) => w > 0);
  const edge = Math.max(...steel.map(([, a, b]) => Math.max(Math.abs(a - middle), Math.abs(b - middle))));
  return inertia / edge;
}

/**
 * What is left of a rail's strength up and down where it has a hole through both sides, as shares of the whole rail's section modulus:
 * drilled; with a slot from the hole down through its underside; and with sleeve and collars welded all round, which then bend with it
 * (composite section, parallel axes; from memory). What a hole does to the stress beside it is not in it.
 */
export function railHoleLeft(
  rail: BoxRail,
  hole: SideHole,
  back: GivenBack,
): { drilled: number; slotted: number; sleeved: number } {
  const whole = modulus(box(rail));
  const holed = [...box(rail), ...cut(rail, hole)];
  const top = Math.min(rail.height - rail.wall, hole.up + hole.diameter / 2);
  const slotted: Stretch[] = [
    [2 * rail.wall, top, rail.height - rail.wall],
    [rail.width, rail.height - rail.wall, rail.height],
  ];
  return {
    drilled: modulus(holed) / whole,
    slotted: modulus(slotted) / whole,
    sleeved: modulus([...holed, ...given(rail, hole, back)]) / whole,
  };
}
