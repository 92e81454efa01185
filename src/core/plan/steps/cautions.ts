/** The usual cautions, by what can hurt; common practice, in our own words. */
export const CAUTIONS = {
  stands:
    'Stands on solid, level ground and a wheel under each sill as a second catch; never under a car that only a jack holds.',
  bounce: 'Nobody under the car while it is bounced or rolled.',
  weld: 'Battery off, fuel and brake lines out of the heat, tank out or well away, extinguisher and a fire watch, fresh air, eyes and skin covered. A suspension weld carries lives: a qualified welder makes or inspects it; local rules come first.',
  grind: 'Sparks travel: fuel, wiring and glass covered; eyes, ears and lungs too.',
  springs:
    'Springs and twisted bars hold energy: slack, or held in a proper compressor, before a bolt comes out.',
  air: 'Let the air out before anything is undone: a bag under pressure throws what holds it.',
  steering:
    'Steering carries lives: every joint goes back by its marks, to the vehicle maker’s torque, with a new cotter.',
  brakes:
    'Brakes: lines capped while they are open, bled and tried before the car moves; local inspection rules come first.',
  fuel: 'Fuel vapour lies in the lowest place: outdoors, no flame, no lamp that sparks.',
  galvanised: 'Zinc and paint give off fumes: ground away well back, and fresh air.',
  lift: 'More than one can hold: a jack with a cradle, straps, or a second pair of hands; no fingers between.',
  drive: 'Slow, alone, in a closed place, belt on; stop at the first noise.',
} as const;
