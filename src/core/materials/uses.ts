/** What a car is built for: it settles joints, limits and what passes for a good result. */
export const USES = ['street', 'autocross', 'drag', 'offroad', 'tow'] as const;
export type Use = (typeof USES)[number];
