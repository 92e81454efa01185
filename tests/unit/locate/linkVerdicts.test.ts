import { withJoints } from '@/core/job/edits/mounts';
import { withLayout } from '@/core/job/edits/members/layout';
import type { Job } from '@/core/job/jobSchema';
import type { Point } from '@/core/geometry/vector';
import { travelOf } from '@/core/job/jobValues';
import { newJob } from '@/core/job/newJob';
import { assemble } from '@/core/kinematics/mechanism';
import { antiSquatOf, isReached } from '@/core/kinematics/pose';
import { linkVerdicts, sayGive } from '@/core/locate/verdicts/linkVerdicts';
import type { LinkFindings } from '@/core/locate/types';
import { LIMITS } from '@/core/materials/limits';
import { USES } from '@/core/materials/uses';
import { LAYOUT_IDS, type LayoutId } from '@/core/rig/layouts';
import type { Verdict } from '@/core/verdict/verdict';
import { located, type Located } from '../../support/locate';

const fresh = (layout: LayoutId = 'three-link-panhard') => withLayout(newJob('check', 'Check', 'mm'), layout);

/** What is said of links that were found so; the rest as it is in the car. */
function said(
  of: Located,
  found: Partial<LinkFindings>,
  use: Job['use'] = 'street',
): (id: string) => Verdict | undefined {
  const result = { ...of.result, links: { ...of.result.links, ...found } };
  const verdicts = linkVerdicts({ ...of.input, use }, result, 'mm');
  return (id) => verdicts.find((v) => v.id === id);
}
const rear = located(fresh());
const front = located(fresh('front-four-link'));

describe('anti-squat', () => {
  test.each(USES)('%s: in its range it is fine, on both edges too; past them it is looked at', (use) => {
    const [least, most] = LIMITS.antiSquat[use];
    const state = (antiSquat: number) => said(rear, { antiSquat }, use)('anti-squat')!;
    for (const within of [least, (least + most) / 2, most]) expect(state(within).state).toBe('ok');
    for (const [value, word] of [
      [least - 1, 'less'],
      [most + 1, 'more'],
    ] as const) {
      const { state: s, title, reason } = state(value);
      expect(s).toBe('look');
      expect(title).toContain(`${value} %: ${word} than suits`);
      expect(reason).toContain(`${least} to ${most} %`);
    }
  });

  test('is a figure of an axle that drives from behind; where there is none, nothing is said', () => {
    const { rig } = front.input;
    const { ride } = assemble(rig);
    expect(ride.antiSquatPct).toEqual(expect.any(Number));
    expect(antiSquatOf(rig, ride)).toBeNull();
    expect(antiSquatOf({ ...rig, end: 'rear' }, ride)).toBe(ride.antiSquatPct);
    expect(said(rear, { antiSquat: null })('anti-squat')).toBeUndefined();
  });
});

describe('roll steer', () => {
  const [least, most] = LIMITS.rollSteer;

  test('its two edges pass, past them it is looked at; understeer and oversteer are told apart behind alone', () => {
    for (const rollSteer of [least, 0, most])
      expect(said(rear, { rollSteer })('roll-steer')!.state).toBe('ok');
    expect(said(rear, { rollSteer: most + 0.01 })('roll-steer')!).toMatchObject({
      state: 'look',
      reason: expect.stringContaining('understeer'),
    });
    expect(said(rear, { rollSteer: least - 0.01 })('roll-steer')!).toMatchObject({
      state: 'look',
      reason: expect.stringContaining('oversteer'),
    });
    for (const rollSteer of [-0.5, 0.5])
      expect(said(front, { rollSteer })('roll-steer')!.reason).not.toMatch(/understeer|oversteer/);
  });
});

describe('the pinion', () => {
  test('may turn so far and no farther; a front axle has none', () => {
    expect(said(rear, { pinion: LIMITS.pinionSwing })('pinion')!.state).toBe('ok');
    const turned = said(rear, { pinion: LIMITS.pinionSwing + 0.2 })('pinion')!;
    expect(turned).toMatchObject({ state: 'look', title: expect.stringContaining('3.2°') });
    expect(said(front, { pinion: 9 })('pinion')).toBeUndefined();
    expect(said(front, { pinion: LIMITS.casterSwing })('caster')!.state).toBe('ok');
    expect(said(front, { pinion: LIMITS.casterSwing + 0.2 })('caster')).toMatchObject({
      state: 'look',
      title: expect.stringContaining('4.2°'),
    });
    expect(said(rear, { pinion: 9 })('caster')).toBeUndefined();
  });
});

describe('members that fight', () => {
  const bind = (give: number, member = 'upper-left') => ({
    bind: { member, force: 4000, give, at: { left: 60, right: -60 } },
  });
  const car = located(fresh('parallel-four-link-panhard'));

  test('what bushings give is nothing, then a look, then a stop; where and which is told', () => {
    const { look, stop } = LIMITS.bind;
    const states = [look - 0.01, look, stop, stop + 0.01].map((give) => said(car, bind(give))('bind')!.state);
    expect(states).toEqual(['ok', 'look', 'look', 'stop']);
    const told = said(car, bind(stop + 1))('bind')!;
    expect(told.title).toContain('with the left wheel up');
    expect(told.where).toContain('upper-left · ');
    expect(told.reason).toContain('half at each end');
    expect(said(car, { bind: null })('bind')).toBeUndefined();
  });

  test('of two unlike joints the softer is said to give most, at its own end', () => {
    for (const [end, word] of [
      ['chassis', 'frame end'],
      ['axle', 'axle end'],
    ] as const) {
      const job = withJoints(fresh('parallel-four-link-panhard'), 'upper-left', { [end]: 'rubber' }, true);
      const of = located(job);
      const { reason, remedies } = said(of, bind(3))('bind')!;
      expect(reason).toMatch(new RegExp(`\\d+ % of it the rubber.* at the ${word}`));
      expect(remedies[0]!.text).toMatch(/soft already/);
    }
    expect(said(car, bind(3))('bind')!.remedies[0]!.text).toMatch(/^Rubber or polyurethane at one end/);
  });

  test('arms rigid to the axle are told to be short of travel, not of rubber', () => {
    const arms = located(fresh('ladder-bars-panhard'));
    expect(said(arms, bind(9, 'ladder-left'))('bind')!.remedies[0]!.text).toMatch(/twist it in roll/);
  });

  test('a give smaller than any line of a tape is said as less than one', () => {
    expect(sayGive(0.1, 'mm')).toBe('less than 1 mm');
    expect(sayGive(0.1, 'in16')).toBe('less than 1/32 in');
    expect(sayGive(3.2, 'in16')).toBe('1/8 in');
  });
});

describe('joints', () => {
  const eye = (degrees: number, swing: number) => ({
    member: 'lower-right',
    end: 'axle' as const,
    degrees,
    swing,
    joint: 'rod-end' as const,
    at: { left: -70, right: 70 },
  });

  test('past its swing is a stop, at it is not; the eye and the place are named', () => {
    const { swing } = rear.result.links.joint!;
    expect(said(rear, { joint: eye(swing, swing) })('joints')!.state).toBe('ok');
    const past = said(rear, { joint: eye(swing + 0.5, swing) })('joints')!;
    expect(past.state).toBe('stop');
    expect(past.title).toContain('right lower link, axle end');
    expect(past.title).toContain('with the right wheel up');
    expect(past.remedies).toHaveLength(1);
  });

  test('cocked at rest: a share of its swing is fine, more is looked at, all of it is a stop', () => {
    const state = (degrees: number) => said(rear, { cocked: eye(degrees, 20) })('cocked')?.state;
    expect(state(20 * LIMITS.cocked)).toBeUndefined();
    expect(state(20 * LIMITS.cocked + 0.1)).toBe('look');
    expect(state(20.1)).toBe('stop');
    expect(said(rear, { cocked: null })('cocked')).toBeUndefined();
  });
});

describe('bumps that steer', () => {
  const bar = { length: 900, leftUpDeg: 0, frameSide: 'left' as const };
  const steering = (change: {
    both?: number;
    one?: number;
    lost?: true;
    axle?: number;
    match?: Partial<NonNullable<NonNullable<LinkFindings['steering']>['match']>> | null;
  }) => ({
    steering: {
      wheels: change.lost ? null : { both: change.both ?? 0, one: change.one ?? 0 },
      axle: { both: 0, one: change.axle ?? 0 },
      remedy: null,
      parts: null,
      match:
        change.match === null
          ? null
          : { dragLink: bar, bar, length: 0, angle: 0, sameSide: true, ...change.match },
    },
  });
  const verdict = (change: Parameters<typeof steering>[0]) => said(front, steering(change))('bump-steer')!;
  const { both, one } = LIMITS.bumpSteer;
  const { length, angle } = LIMITS.dragLink;

  test('both wheels and one alone have each their limit', () => {
    expect(verdict({ both, one }).state).toBe('ok');
    expect(verdict({ both: both + 0.01 }).state).toBe('stop');
    expect(verdict({ one: one + 0.01 }).state).toBe('stop');
    expect(verdict({ both: 0.2, one: 1.7 }).title).toContain('1.7°');
    expect(verdict({ lost: true })).toMatchObject({
      state: 'stop',
      title: expect.stringContaining('cannot follow'),
    });
  });

  test('unlike in length or angle is looked at, by its numbers', () => {
    expect(verdict({ match: { length, angle } }).state).toBe('ok');
    expect(verdict({ match: { length: length + 1 } })).toMatchObject({
      state: 'look',
      reason: expect.stringContaining(`in length by ${length + 1} mm`),
    });
    expect(verdict({ match: { angle: angle + 0.5 } })).toMatchObject({
      state: 'look',
      reason: expect.stringContaining('in angle by 2.5°'),
    });
  });

  test('what the axle itself turns is told, where it is worth a word', () => {
    expect(verdict({ axle: 0.6 }).reason).toContain('The axle itself turns up to 0.6°');
    expect(verdict({ axle: 0.05 }).reason).not.toContain('itself');
  });

  test('frame ends on opposite sides are told of whatever length and angle say, with the cure for that', () => {
    const crossed = verdict({ match: { sameSide: false } });
    expect(crossed.state).toBe('look');
    expect(crossed.reason).toContain('opposite sides');
    expect(crossed.remedies[0]!.text).toContain('side of the drag link');
    const worse = verdict({ both: 3, match: { sameSide: false } });
    expect(worse).toMatchObject({ state: 'stop', reason: expect.stringContaining('opposite sides') });
  });

  test('alike and still steered: it is the caster; without a bar there is nothing to match', () => {
    expect(verdict({ both: 2 }).remedies[0]!.text).toContain('caster');
    expect(verdict({ both: 2, match: null }).reason).toContain('no track bar');
    expect(said(rear, { steering: null })('bump-steer')).toBeUndefined();
  });
});

const SEARCHED = ['anti-squat', 'roll-steer', 'pinion', 'caster', 'shaft-angles'];

test.each(LAYOUT_IDS)('%s: what is said names the member it is about, each thing once', (layout) => {
  const { verdicts } = located(fresh(layout), { left: 30, right: -30 });
  const lengthwise = verdicts.lengthwise.map((v) => v.id);
  expect(new Set(lengthwise).size).toBe(lengthwise.length);
  for (const v of Object.values(verdicts).flat()) {
    if (v.where !== undefined) expect(v.where).not.toBe('');
    expect(v.title).toMatch(/^[A-Z].*\.$/);
    // What is cured by the heights of mounts, or the pinion, is searched for: the rest has its words.
    if (v.state !== 'ok' && !SEARCHED.includes(v.id)) expect(v.remedies.length).toBeGreaterThan(0);
  }
  const order = { stop: 0, look: 1, ok: 2 } as Record<string, number>;
  for (const list of Object.values(verdicts))
    expect(list.map((v) => order[v.state])).toEqual(list.map((v) => order[v.state]).sort());
});

describe('the slider of a torque arm', () => {
  const car = withLayout(newJob('slider', 'Slider', 'mm'), 'torque-arm-panhard');
  const sliding = (slider?: Job['shaft']['slider']) => {
    const { result, verdicts } = located({ ...car, shaft: { ...car.shaft, slider } });
    const found = result.links.sliders[0]!;
    return {
      found,
      said: verdicts.lengthwise.filter((v) => v.id.startsWith('slider')).map((v) => `${v.id} ${v.state}`),
    };
  };

  test('slides as far as its pin seen from the axle moves along it', () => {
    const { found } = sliding();
    const { rig } = car;
    const arm = rig.members.find((m) => m.id === 'torque-arm') as { chassis: Point };
    const { bump, droop } = travelOf(car);
    const slid = [-droop, bump].map((lift) => {
      const pose = assemble(rig).at({ left: lift, right: lift });
      if (!isReached(pose)) throw new Error('out of reach');
      // The pin carried back into the axle's axes by hand, by its pitch.
      const p = (pose.pitchDeg * Math.PI) / 180;
      const [dx, dz] = [arm.chassis[0] - pose.x, arm.chassis[2] - pose.z];
      return Math.cos(p) * dx - Math.sin(p) * dz - arm.chassis[0];
    });
    // The bar across turns the axle a little as well.
    expect(found.out).toBeGreaterThan(Math.max(...slid) - 0.1);
    expect(found.in).toBeGreaterThan(Math.max(...slid.map((s) => -s)) - 0.1);
    expect(found.in + found.out).toBeGreaterThan(0.5);
  });

  test('stops the work where it bottoms or runs off, and is asked for while it was not measured', () => {
    const { found, said } = sliding();
    expect(said).toEqual(['slider look']);
    expect(sliding({ in: found.in + 7, out: found.out + 7 }).said).toEqual(['slider ok']);
    expect(sliding({ in: found.in + 3, out: found.out + 7 }).said).toEqual(['slider-in look']);
    expect(sliding({ in: found.in + 7, out: Math.max(0, found.out - 1) }).said).toContain(
      found.out > 1 ? 'slider-out stop' : 'slider-out look',
    );
  });
});
