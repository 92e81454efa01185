import * as z from 'zod';

/** What the keys of a job file are made of. */
export const mm = z.number().min(-20_000).max(20_000);
/** Text as it was typed into a field. */
export const typed = z.string().max(40);
export const when = z.iso.datetime();
export const text = (longest: number) => z.string().max(longest);
export const bySide = z.strictObject({ left: mm.optional(), right: mm.optional() });
/** Which bracket of a member: at its frame end or its axle end. */
export const BRACKETS = ['frame', 'axle'] as const;
export type Bracket = (typeof BRACKETS)[number];
