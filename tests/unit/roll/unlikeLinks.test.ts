import fc from 'fast-check';
import { stationBasis } from '@/core/bench/stations';
import { barHandles } from '@/bay/handles/swayBarHandles';
import { distance } from '@/core/geometry/vector';
import { SIDES, signOf } from '@/core/geometry/side';
import { withFrameMoved } from '@/core/job/edits/frameHeight';
import { withLayout } from '@/core/job/edits/members/layout';
import { told } from '@/core/job/edits/omit';
import { withRoll } from '@/core/job/edits/roll';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { analyseRoll } from '@/core/roll/analyse';
import { rollVerdicts } from '@/core/roll/checks/checks';
import { rollInput } from '@/core/roll/input';
import { sayLinks } from '@/core/roll/words';
import {
  apartAtFeet,
  linkOn,
  swayBarOf,
  usualBar,
  type BarDesign,
  type EndLink,
} from '@/core/swaybar/swayBarDesign';

const AT_RIDE = { left: 0, right: 0 };
// A car that is alike on both sides but for what is told of its links.
const fresh = withLayout(newJob('check', 'Check', 'in16'), 'triangulated-four-link');
const withBar = (change: Partial<BarDesign>): Job =>
  withRoll(fresh, { bar: { ...usualBar(fresh.rig), ...change } });
const asked = (job: Job, rocker = AT_RIDE) => analyseRoll(rollInput(job, rocker), 'bar').bar!;

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true }).map((v) => v || 0);
const endLink: fc.Arbitrary<EndLink> = fc.record({
  link: between(130, 220),
  foot: fc.record({ out: between(-35, 35), ahead: between(-35, 35) }),
});
const runs = { numRuns: 30, endOnFailure: true };

test('a right link that stands as the left one changes nothing', () => {
  fc.assert(
    fc.property(endLink, (link) => {
      const [alike, told] = [asked(withBar(link)), asked(withBar({ ...link, right: link }))];
      expect(told).toEqual(alike);
    }),
    runs,
  );
});

test('each foot stands a link’s length from its own eye, as far out and ahead as was said', () => {
  fc.assert(
    fc.property(endLink, endLink, (left, right) => {
      const design = { ...usualBar(fresh.rig), ...left, right };
      const { centreline, links } = swayBarOf(design);
      for (const side of SIDES) {
        const eye = side === 'left' ? centreline[0]! : centreline.at(-1)!;
        const { link, foot } = linkOn(design, side);
        expect(distance(eye, links[side])).toBeCloseTo(link, 9);
        expect(links[side][0] - eye[0]).toBeCloseTo(foot.ahead, 9);
        expect(signOf(side) * (links[side][1] - eye[1])).toBeCloseTo(foot.out, 9);
      }
      expect(apartAtFeet(design)).toBeCloseTo(links.left[1] - links.right[1], 9);
    }),
    runs,
  );
});

test('the car turned round, left for right, has as stiff a bar, pulled as hard the other way', () => {
  fc.assert(
    fc.property(endLink, endLink, between(-40, 40), between(-40, 40), (one, other, up, down) => {
      const here = asked(withBar({ ...one, right: other }), { left: up, right: down });
      const round = asked(withBar({ ...other, right: one }), { left: down, right: up });
      expect(round.rollRate / here.rollRate).toBeCloseTo(1, 6);
      expect(round.maxStress / here.maxStress).toBeCloseTo(1, 6);
      expect(Math.abs(round.now!.force)).toBeCloseTo(Math.abs(here.now!.force), 4);
      expect(round.links!.cocked.map((c) => c.most.toFixed(6))).toEqual(
        here.links!.cocked.map((c) => c.most.toFixed(6)),
      );
    }),
    runs,
  );
});

test('a job keeps it in its file, moves it with the frame and back, and is without it again', () => {
  fc.assert(
    fc.property(endLink, endLink, between(-25, 25), (left, right, by) => {
      const job = withBar({ ...left, right });
      expect(readJob(writeJob(job)).roll.bar).toEqual(job.roll.bar);
      const back = withFrameMoved(withFrameMoved(job, by), -by).roll.bar!;
      expect(back.right!.link).toBeCloseTo(right.link, 6);
      expect(back.right!.foot).toEqual(right.foot);
      const plain = told(job.roll.bar!, { right: undefined })!;
      expect(readJob(writeJob(withRoll(job, { bar: plain }))).roll.bar).toEqual(plain);
      expect('right' in plain).toBe(false);
    }),
    runs,
  );
});

test('the stripe knows of it, and the words tell both lengths apart', () => {
  const plain = withBar({});
  const right = { link: 180, foot: { out: 10, ahead: 0 } };
  const unlike = withBar({ right });
  expect(stationBasis(unlike, 'roll')).not.toEqual(stationBasis(plain, 'roll'));
  expect(sayLinks(plain.roll.bar!, 'mm')).toBe('150 mm');
  expect(sayLinks(unlike.roll.bar!, 'mm')).toBe('150 mm on the left, 180 mm on the right');
});

test('each foot is dragged by itself, the left one for both while they are alike', () => {
  const bar = usualBar(fresh.rig);
  const feet = (of: BarDesign) => barHandles(of).filter(({ id }) => id.startsWith('foot'));
  expect(feet(bar).map(({ id }) => id)).toEqual(['foot']);
  const right = { link: 150, foot: { out: 0, ahead: 0 } };
  const [left, other] = feet({ ...bar, right });
  fc.assert(
    fc.property(between(-30, 30), between(-30, 30), between(-30, 30), (dx, dy, dz) => {
      const to = (at: readonly number[]): [number, number, number] => [at[0]! + dx, at[1]! + dy, at[2]! + dz];
      const moved = other!.move(to(other!.at), [0, 1, 2]);
      swayBarOf(moved).links.right.forEach((v, k) => expect(v).toBeCloseTo(to(other!.at)[k]!, 9));
      expect(linkOn(moved, 'left')).toEqual(linkOn(bar, 'left'));
      const pulled = left!.move(to(left!.at), [0, 1, 2]);
      swayBarOf(pulled).links.left.forEach((v, k) => expect(v).toBeCloseTo(to(left!.at)[k]!, 9));
      expect(pulled.right).toEqual(right);
    }),
    runs,
  );
});

test('a link that lies is caught on either side', () => {
  const lying = { link: 150, foot: { out: 140, ahead: 0 } };
  const upright = { link: 150, foot: { out: 0, ahead: 0 } };
  for (const [left, right] of [
    [lying, upright],
    [upright, lying],
  ] as const) {
    const job = withBar({ ...left, right });
    const input = rollInput(job, AT_RIDE);
    const ids = rollVerdicts(input, 'bar', analyseRoll(input, 'bar'), 'in16').map(({ id }) => id);
    expect(ids).toContain('linkLeans');
  }
});

test('two forks that lie alike bind; an elbow of two forks at one end lets the link go both ways', () => {
  const ids = (bar: 'clevis' | 'elbow', foot: 'clevis' | 'elbow') => {
    const job = withBar({
      ends: { bar: { joint: bar, bolt: 'across' }, foot: { joint: foot, bolt: 'across' } },
      foot: { out: 12, ahead: 0 },
    });
    const input = rollInput(job, AT_RIDE);
    return rollVerdicts(input, 'bar', analyseRoll(input, 'bar'), 'in16')
      .filter(({ state }) => state !== 'ok')
      .map(({ id }) => id);
  };
  expect(ids('clevis', 'clevis')).toContain('linkOneWay');
  expect(ids('elbow', 'clevis')).not.toContain('linkOneWay');
  expect(ids('elbow', 'elbow').filter((id) => id.startsWith('linkCocked'))).toEqual([]);
});
