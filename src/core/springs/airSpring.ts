/** Of the atmosphere, N/mm². */
const OUTSIDE = 0.101325;
/** Air that is squeezed too quickly to lose all of its heat (makers' common figure, from memory). */
const QUICK = 1.38;

/** An air spring at ride height: gauge pressure N/mm², the area that it pushes with mm², how that grows for a mm shorter, the air in it mm³. */
export type AirBag = { pressure: number; area: number; growth: number; volume: number };

export type AirState = { pressure: number; force: number; rate: number };

/**
 * An air spring with its valve shut, squeezed by some mm from ride height: p·Vⁿ stays (p absolute), V less by the area it
 * sweeps. Force = gauge pressure × area; rate = n·p·A²/V + gauge pressure × growth of the area.
 */
export function airAt(bag: AirBag, squeezed: number): AirState {
  const area = areaAt(bag, squeezed);
  const volume = volumeAt(bag, squeezed);
  const absolute = (bag.pressure + OUTSIDE) * (bag.volume / volume) ** QUICK;
  return stateOf(bag, absolute - OUTSIDE, area, volume);
}

/** An air spring at another height, filled to some pressure there: what leaving or lifting the car by its valve does. */
export const airFilled = (bag: AirBag, squeezed: number, pressure: number): AirState =>
  stateOf(bag, pressure, areaAt(bag, squeezed), volumeAt(bag, squeezed));

function stateOf({ growth }: AirBag, pressure: number, area: number, volume: number): AirState {
  return {
    pressure,
    force: pressure * area,
    rate: (QUICK * (pressure + OUTSIDE) * area ** 2) / volume + pressure * growth,
  };
}

/** Area that the air pushes on, mm²; however far it is pulled out, some of it is left. */
export const areaAt = ({ area, growth }: AirBag, squeezed: number): number =>
  Math.max(0.2 * area, area + growth * squeezed);

/** However far it is squeezed, some air is left. */
const volumeAt = ({ area, growth, volume }: AirBag, squeezed: number): number =>
  Math.max(0.05 * volume, volume - area * squeezed - (growth * squeezed ** 2) / 2);
