import type { Stack } from '@/core/fabricate/boltStack';
import { BOLT_GRADES, type BoltGrade } from '@/core/materials/metals';
import { coarsePitch } from '@/core/materials/threads';
import { boltBending, boltShearLoad } from '@/core/strength/bolt';
import { stressArea } from '@/core/strength/thread';
import type { CheckName } from '@/core/prove/types';
import { SHIGLEY, type Trial } from './governing';

/** A bolt across what pulls at it, sheared and bent between what it goes through. @param threaded its thread lies in a shear plane */
export function boltTrials(
  names: { shear: CheckName; bending: CheckName },
  { grade, threaded }: { grade: BoltGrade; threaded: boolean },
  { bolt, planes, plate, spacer, middle }: Stack,
): Trial[] {
  const { name, ...strength } = BOLT_GRADES[grade];
  const area = threaded
    ? stressArea({ diameter: bolt, pitch: coarsePitch(bolt) })
    : (Math.PI / 4) * bolt ** 2;
  const shear = boltShearLoad({ diameter: bolt, ...strength }, planes, area);
  const stack = { tab: plate, gap: spacer, middle };
  return [
    {
      check: names.shear,
      unit: 'N',
      fails: 'breaks',
      formula: 'planes · A · 0.6 · S_u',
      source: `SAE J429, ${SHIGLEY}`,
      asks: (force) => ({ demand: Math.abs(force), capacity: shear }),
      inputs: () => ({ d: bolt, grade: name, planes, A: area, S_u: strength.ultimate }),
    },
    {
      check: names.bending,
      unit: 'N/mm²',
      fails: 'bends',
      formula:
        planes === 2
          ? '32 · M / (π · d³), M = P / 2 · (t_1 / 2 + g + t_2 / 4)'
          : '32 · M / (π · d³), M = P · (t_1 / 2 + g + t_2 / 2)',
      source: SHIGLEY,
      asks: (force) => ({
        demand: boltBending(Math.abs(force), bolt, planes, stack),
        capacity: strength.yield,
      }),
      inputs: () => ({ d: bolt, grade: name, t_1: plate, g: spacer, t_2: middle, S_y: strength.yield }),
    },
  ];
}
