import { LIMITS } from '@/core/materials/limits';
import { sayLength } from '@/core/units/length';
import { sayTurns } from '@/core/units/turns';
import type { Tape } from '@/core/units/tape';
import type { State, Verdict } from '@/core/verdict/verdict';
import { JOINTS, type MemberJoints } from '@/core/materials/joints';
import { type BarEnd, type BarResult, type BarSpec } from '@/core/fabricate/adjustableBar';

const END_NAMES = { frame: 'Frame end', axle: 'Axle end' } as const;

/** Looks over a bar before its tube is cut. */
export function checkBar(spec: BarSpec, bar: BarResult, tape: Tape): Verdict[] {
  const say = (mm: number) => sayLength(mm, tape);
  const verdicts: Verdict[] = [];
  if (bar.tubeLength < LIMITS.adjustableBar.tube) {
    verdicts.push({
      id: 'tube',
      state: 'stop',
      title:
        bar.tubeLength <= 0
          ? 'The two ends alone are longer than the bar.'
          : `Only ${say(bar.tubeLength)} of tube is left.`,
      reason: 'Rod ends and showing thread take up the whole eye-to-eye length.',
      remedies: [{ text: 'Use shorter rod ends, or move the mounts farther apart on Locate.' }],
    });
  }
  for (const end of ['frame', 'axle'] as const)
    verdicts.push(checkEnd(END_NAMES[end], spec.ends[end], bar, end, say));

  const least = Math.min(bar.shorten.mm, bar.lengthen.mm);
  const way = bar.shorten.mm <= bar.lengthen.mm ? 'shorter' : 'longer';
  verdicts.push(
    least < LIMITS.adjustableBar.adjustment
      ? {
          id: 'adjustment',
          state: 'look',
          title:
            least < 0.1
              ? `No adjustment left to make the bar ${way}.`
              : `Only ${say(least)} of adjustment to make the bar ${way}.`,
          reason: `Centring the axle on the ground usually takes up to ${say(LIMITS.adjustableBar.adjustment)} either way.`,
          remedies: [
            {
              text:
                way === 'shorter'
                  ? `Leave more thread showing at both ends and cut the tube shorter by twice that.`
                  : `Leave less thread showing, or use rod ends with a longer shank.`,
            },
          ],
        }
      : {
          id: 'adjustment',
          state: 'ok',
          title: 'Enough adjustment both ways.',
          reason: `${sayTurns(bar.shorten.turns)} shorter, ${sayTurns(bar.lengthen.turns)} longer before the thread runs short.`,
          remedies: [],
        },
  );
  return verdicts;
}

/** An adjustable bar wants a ball at one end at least. */
export function checkJoints({ chassis, axle }: Pick<MemberJoints, 'chassis' | 'axle'>): Verdict[] {
  if (!JOINTS[chassis].soft || !JOINTS[axle].soft) return [];
  return [
    {
      id: 'soft-ends',
      state: 'stop',
      title: 'Both ends of this bar are soft bushings.',
      reason:
        'Neither lets it turn about its own length: the axle’s roll twists the tube in its threads, and the jam nuts work loose.',
      remedies: [{ text: 'A rod end, or a cushioned ball, at one end: choose it at Locate.' }],
    },
  ];
}

function checkEnd(
  name: string,
  end: BarEnd,
  bar: BarResult,
  key: 'frame' | 'axle',
  say: (mm: number) => string,
): Verdict {
  const result = bar.ends[key];
  const state: State = result.holds ? 'ok' : 'stop';
  if (state === 'ok') {
    return {
      id: `thread-${key}`,
      state,
      title: `${name}: ${say(result.engagement)} of thread in the tube.`,
      reason: `At least ${say(bar.limit)} is wanted.`,
      remedies: [],
    };
  }
  const short = bar.limit - result.engagement;
  const remedy =
    end.bung < bar.limit
      ? `The bung has only ${say(end.bung)} of thread. Use a longer bung.`
      : end.showing >= short
        ? `Leave ${say(short)} less thread showing and cut the tube ${say(short)} longer.`
        : `Use a rod end with at least ${say(bar.limit + end.showing)} of thread.`;
  return {
    id: `thread-${key}`,
    state,
    title: `${name}: only ${say(result.engagement)} of thread in the tube.`,
    reason: `At least ${say(bar.limit)} is wanted: with less, the thread can strip or the rod end pull out.`,
    remedies: [{ text: remedy }],
  };
}
