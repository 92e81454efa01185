import { LIMITS } from '@/core/materials/limits';
import { capital } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import { upToLine, type Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict/verdict';
import type { LineFinding } from '../lines';
import type { LocateInput } from '../types';
import { sayLock, sayTravel } from './words';

/** Whether hoses, lines and cables reach at the farthest, and where they hang. */
export const lineVerdicts = (input: LocateInput, found: LineFinding[], tape: Tape): Verdict[] =>
  found.map((line) => lineVerdict(input, line, tape));

function lineVerdict(input: LocateInput, line: LineFinding, tape: Tape): Verdict {
  const { spare, slack } = LIMITS.lines;
  const { id, length, most, least } = line;
  const place = `${sayTravel(line.at, input, tape)}${sayLock(line)}`;
  const say = (mm: number) => sayLength(mm, tape);
  const shared = { id: 'line', where: id };
  const left = length - most;
  const needs = `Make it at least ${say(upToLine(most + spare, tape))} long, and tie it where nothing catches it.`;
  if (left < spare)
    return {
      ...shared,
      state: left < 0 ? 'stop' : 'look',
      title:
        left < 0
          ? `The ${id} is ${say(-left)} too short ${place}.`
          : `The ${id} has only ${say(left)} to spare ${place}.`,
      reason: `Its ends come ${say(most)} apart there, and it is ${say(length)} long.`,
      remedies: [{ text: needs }],
    };
  const hangs = length - least > slack * length;
  return {
    ...shared,
    state: hangs ? 'look' : 'ok',
    title: hangs ? `The ${id} hangs slack.` : `The ${id} reaches.`,
    reason: `At the farthest, ${place}, its ends are ${say(most)} apart; at the nearest ${say(least)}. It is ${say(length)} long.`,
    remedies: hangs
      ? [{ text: `${capital(id)}: tie it clear of tyre, shaft and exhaust, or move an end.` }]
      : [],
  };
}
