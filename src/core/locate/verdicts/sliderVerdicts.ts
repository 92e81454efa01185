import { LIMITS } from '@/core/materials/limits';
import { memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Verdict } from '@/core/verdict/verdict';
import type { LocateInput } from '../types';
import type { SliderFinding } from '../slider';

const VENT = 'A greased slide with a closed end locks like a jack: vent it.';

/** The slider of a torque arm against the room that was measured for it, each way. */
export const sliderVerdicts = (input: LocateInput, sliders: SliderFinding[], tape: Tape): Verdict[] =>
  sliders.flatMap((slider) => sliderVerdict(input, slider, tape));

function sliderVerdict({ rig, slider: room }: LocateInput, finding: SliderFinding, tape: Tape): Verdict[] {
  const spare = LIMITS.sliderSpare;
  const name = memberName(finding.member, rig.end);
  const moves = `Over the travel its pin slides ${sayLength(finding.in, tape)} in and ${sayLength(finding.out, tape)} out.`;
  const bad = (['in', 'out'] as const).flatMap((way): Verdict[] => {
    const has = room[way];
    if (has === undefined || has >= finding[way] + spare) return [];
    const past = has < finding[way];
    const ends = way === 'in' ? 'bottoms' : 'runs off its end';
    return [
      {
        id: `slider-${way}`,
        where: finding.member,
        state: past ? 'stop' : 'look',
        title: `The slider of the ${name} ${past ? '' : 'nearly '}${ends}.`,
        reason: `${moves} It has ${sayLength(has, tape)} ${way} at ride height; keep ${sayLength(spare, tape)} to spare.`,
        remedies: [{ text: `Set it up with more room ${way}, or limit the travel. ${VENT}` }],
      },
    ];
  });
  if (bad.length) return bad;
  const known = room.in !== undefined && room.out !== undefined;
  return [
    {
      id: 'slider',
      where: finding.member,
      state: known ? 'ok' : 'look',
      title: known
        ? `The slider of the ${name} has room.`
        : `The room of the ${name}’s slider is not measured.`,
      reason: `${moves} ${VENT}`,
      remedies: known
        ? []
        : [{ text: 'At ride height, measure how far it can go in and come out, and type both below.' }],
    },
  ];
}
