import { lateralBarOf } from '@/core/rig/roles';
import type { Tape } from '@/core/units/tape';
import { gravestFirst, type Verdict } from '@/core/verdict/verdict';
import type { LocateInput, LocateResult } from '../types';
import { lateralBarVerdicts } from './lateralBarVerdicts';
import { lateralVerdicts } from './lateralVerdicts';
import { leafGiveVerdict } from './leafGiveVerdict';
import { linkVerdicts } from './linkVerdicts';
import { madeVerdict } from './madeVerdict';
import { roomVerdicts } from './roomVerdicts';

/** What is to be said about holding the axle sideways, lengthwise, and the room things have; the gravest first. */
export type LocateVerdicts = { sideways: Verdict[]; lengthwise: Verdict[]; room: Verdict[] };

/** The words for what Locate worked out, in the builder's tape. */
export function locateVerdicts(input: LocateInput, result: LocateResult, tape: Tape): LocateVerdicts {
  const bar = lateralBarOf(input.rig);
  const give = leafGiveVerdict(input, result.leafGive, tape);
  const made = madeVerdict(input, result.made, tape);
  const barAlone = Object.keys(input.made).every((id) => id === bar?.id);
  const ofBar = made && barAlone ? [made] : [];
  const ofLinks = made && !barAlone ? [made] : [];
  return {
    sideways: gravestFirst([
      ...(bar ? lateralBarVerdicts(input, result, bar, tape) : lateralVerdicts(input, result, tape)),
      ...(give ? [give] : []),
      ...ofBar,
    ]),
    lengthwise: gravestFirst([...linkVerdicts(input, result, tape), ...ofLinks]),
    room: gravestFirst(roomVerdicts(input, result, tape)),
  };
}
