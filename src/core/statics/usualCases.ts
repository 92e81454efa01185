/** What cases start from until the builder says otherwise: a brisk corner on street tyres, a middling axle ratio. */
export const USUAL_CASES = { cornerG: 0.8, axleRatio: 3.5 };
