import type { RollResult } from '@/core/roll/analyse';
import type { Judged } from '@/core/verdict/verdict';

/** What a part of Roll is given: what was worked out of this car, and what is to be said of it; nothing until it is in. */
export type PartProps = { result: RollResult | null; verdicts: Judged[] };
