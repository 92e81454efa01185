import * as z from 'zod/mini';
import { distance, minus, plus, raised, unit, type Point } from '@/core/geometry/vector';
import { id, point, positive, vector } from '../fields';
import { coincide, SAME_ENDS, type Body, type Fault, type MemberKind } from './kind';

const topAndBottom = z.strictObject({ top: point, bottom: point });

/** A crank on one body with two links to the other; the crank's angle is one more unknown. */
export const wattsSchema = z.strictObject({
  type: z.literal('watts'),
  id,
  pivotOn: z.enum(['axle', 'chassis']),
  pivot: point,
  axis: z.optional(vector),
  crank: topAndBottom,
  ends: topAndBottom,
  rate: z.optional(positive),
});
export type Watts = z.infer<typeof wattsSchema>;

const ARMS = ['top', 'bottom'] as const;
const LENGTHWISE: Point = [1, 0, 0];
const otherBody = (body: Body): Body => (body === 'axle' ? 'chassis' : 'axle');

export const watts: MemberKind<Watts> = {
  fault: faultOf,
  mounts: ({ pivotOn: near, pivot, crank, ends }) => {
    const far = otherBody(near);
    return [
      { key: 'pivot', name: 'Crank pivot', on: near, point: pivot },
      { key: 'crank.top', name: 'Crank, top', on: near, point: crank.top },
      { key: 'crank.bottom', name: 'Crank, bottom', on: near, point: crank.bottom },
      { key: 'ends.top', name: 'Top link, far end', on: far, point: ends.top },
      { key: 'ends.bottom', name: 'Bottom link, far end', on: far, point: ends.bottom },
    ];
  },
  withMount: (member, key, to) => {
    if (key === 'pivot') {
      // A crank is one part: moved by its pivot, it moves whole.
      const by = minus(to, member.pivot);
      const { top, bottom } = member.crank;
      return { ...member, pivot: to, crank: { top: plus(top, by), bottom: plus(bottom, by) } };
    }
    const [part, arm] = key.split('.') as ['crank' | 'ends', 'top' | 'bottom'];
    return { ...member, [part]: { ...member[part], [arm]: to } };
  },
  constraints: ({ pivotOn, pivot, crank, ends, axis = LENGTHWISE, rate }) =>
    ARMS.map((arm) => ({
      kind: 'crank',
      pivotOn,
      pivot,
      arm: minus(crank[arm], pivot),
      end: ends[arm],
      axis: unit(axis),
      length: distance(crank[arm], ends[arm]),
      rate,
    })),
  force: (t, at) => (Math.abs(t[at]!) >= Math.abs(t[at + 1]!) ? t[at]! : t[at + 1]!),
  bars: ({ pivot, crank, ends }) =>
    ARMS.flatMap((arm): [Point, Point][] => [
      [crank[arm], ends[arm]],
      [crank[arm], pivot],
    ]),
  adjustables: [
    { by: 'length', constraint: 0, part: 'top' },
    { by: 'length', constraint: 1, part: 'bottom' },
  ],
  acrossTheCar: {
    raised: (member, mm) => {
      const both = ({ top, bottom }: Watts['crank']) => ({
        top: raised(top, mm),
        bottom: raised(bottom, mm),
      });
      return {
        ...member,
        pivot: raised(member.pivot, mm),
        crank: both(member.crank),
        ends: both(member.ends),
      };
    },
  },
  drawnAs: 'crank',
  body: () => null,
  outline: ({ pivotOn: near, pivot, crank, ends }) => {
    const on = (point: Point) => ({ on: near, point });
    return [
      [on(crank.top), on(pivot), on(crank.bottom)],
      ...ARMS.map((arm) => [on(crank[arm]), { on: otherBody(near), point: ends[arm] }]),
    ];
  },
};

function faultOf({ pivot, crank, ends, axis = LENGTHWISE }: Watts): Fault | null {
  for (const arm of ARMS) {
    if (coincide(crank[arm], ends[arm])) return { path: ['ends', arm], message: SAME_ENDS };
    if (coincide(crank[arm], pivot))
      return { path: ['crank', arm], message: 'is the pivot itself; a crank arm needs length' };
  }
  return Math.hypot(...axis) < 1e-9 ? { path: ['axis'], message: 'has no length' } : null;
}
