import fc from 'fast-check';
import { flatsOf } from '@/core/cut/flatParts';
import { dxfOf } from '@/core/fabricate/vectorFiles';
import { minus, type Point } from '@/core/geometry/vector';
import { readJob, writeJob } from '@/core/job/file';
import { withParts } from '@/core/job/edits/parts/parts';
import type { Job } from '@/core/job/jobSchema';
import { bracketAxes, fastenedTo } from '@/core/job/made/bracketRoot';
import { bracketOf, tabOf, webOf } from '@/core/job/made/bracketParts';
import { bracketBody } from '@/core/job/made/bracketShape';
import { footOut } from '@/core/job/made/oldBracket';
import type { LinkEnd } from '@/core/job/made/parts';
import type { BracketPart } from '@/core/job/slices/parts';
import { bracketId } from '@/core/job/bodies/bodyNames';
import { tasksOf } from '@/core/plan/plan';
import { bracketStep } from '@/core/plan/steps/linkSteps';
import { memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import { casesOf, proveJob, proveLink } from '@/core/prove/prove';
import { curesIn } from '@/core/prove/cures/cures';
import { partFaults } from '@/core/prove/faults/faults';
import { unprovedOf } from '@/core/prove/unproved';
import { assemble } from '@/core/kinematics/mechanism';
import { linksOf } from '@/core/rig/members/members';
import type { Obstacle } from '@/core/rig/schema';
import { demoJobs } from '@/store/demo';
import { weldLineForce } from '@/core/strength/weldGroup';
import { assertUntil } from '../../support/until';

const jobs = demoJobs().filter(({ rig }) => linksOf(rig).length > 0);
const ends: LinkEnd[] = ['chassis', 'axle'];

/** A bracket of a demo car, and an old one that it goes over. */
const overs = fc.record({
  car: fc.nat({ max: jobs.length - 1 }),
  pick: fc.nat(),
  end: fc.constantFrom(...ends),
  high: fc.double({ min: 20, max: 90, noNaN: true }),
  share: fc.double({ min: 0.2, max: 1, noNaN: true }),
});
type Over = typeof overs extends fc.Arbitrary<infer T> ? T : never;

const carOf = ({ car }: Over): Job => jobs[car]!;
const linkIn = (over: Over) => {
  const links = linksOf(carOf(over).rig);
  return links[over.pick % links.length]!;
};
const made = (over: Over, change: BracketPart = {}): Job =>
  withParts(carOf(over), { brackets: { [`${linkIn(over).id}/${over.end}`]: change } });
const goingOver = (over: Over, change: BracketPart = {}) =>
  made(over, { over: { high: over.high, lap: over.share * over.high }, ...change });

/** A body to the thousandth of a millimetre. */
const rounded = (body: Obstacle) =>
  Object.values(body)
    .flat()
    .map((v) => (typeof v === 'number' ? Math.round(1000 * v) : v));

test('plates that go over an old bracket still hold the eye where the model has it, and are drawn from their own foot', () => {
  fc.assert(
    fc.property(overs, (over) => {
      const link = linkIn(over);
      const job = goingOver(over);
      const before = bracketOf(carOf(over), link, over.end);
      const now = bracketOf(job, link, over.end);
      expect(now.over).toEqual({
        high: over.high,
        lap: over.share * over.high,
        wide: now.middle + 2 * now.spacer,
      });
      expect(now.reach + footOut(now.over)).toBeCloseTo(Math.max(before.reach, footOut(now.over)), 6);
      const tab = tabOf(job, link, over.end);
      expect(tab.foot.every(([, up]) => up === 0)).toBe(true);
      expect(tab.holes).toContain(now.reach);
      // No web where the old bracket is.
      expect(webOf(now, tab)).toBeLessThanOrEqual(Math.max(0, now.reach - now.edge - now.over!.lap));
      expect(now.bend).toBeNull();
      expect(readJob(writeJob(job)).parts).toEqual(job.parts);
      // Its body still reaches down to what carries the old one.
      const bodies = [carOf(over), job].map((one) => bracketBody(one, link, over.end, 'it'));
      if (over.end === 'axle' && now.reach > 0)
        expect(JSON.stringify(rounded(bodies[1]!))).toBe(JSON.stringify(rounded(bodies[0]!)));
    }),
    { numRuns: 150 },
  );
});

/** The greatest force on a millimetre of a line, N/mm, by adding up short pieces of it: vectors, no second moments in closed form. */
function addedUp(lines: [Point, Point][], force: Point, at: Point): number {
  const pieces = lines.flatMap(([a, b]) => {
    const n = 400;
    const long = Math.hypot(...minus(b, a)) / n;
    return Array.from({ length: n }, (_, i) => ({
      p: a.map((v, k) => v + ((i + 0.5) / n) * (b[k]! - v)) as Point,
      long,
    }));
  });
  const length = pieces.reduce((sum, { long }) => sum + long, 0);
  const middle = [0, 1, 2].map((k) => pieces.reduce((s, { p, long }) => s + p[k]! * long, 0) / length);
  // Turned about each axis by one, what the pieces give back; the turn that gives back the moment is found by relaxing.
  const arm = (p: Point) => p.map((v, k) => v - middle[k]!) as Point;
  const cross = (a: number[], b: number[]) =>
    [a[1]! * b[2]! - a[2]! * b[1]!, a[2]! * b[0]! - a[0]! * b[2]!, a[0]! * b[1]! - a[1]! * b[0]!] as Point;
  const moment = cross(arm(at), force);
  const given = (turn: Point) =>
    pieces.reduce(
      (sum, { p, long }) => sum.map((v, k) => v + cross(arm(p), cross(turn, arm(p)))[k]! * long) as Point,
      [0, 0, 0] as Point,
    );
  let turn: Point = [0, 0, 0];
  let left = moment;
  let way = left;
  for (let i = 0; i < 12 && Math.hypot(...left) > 1e-9 * Math.hypot(...moment); i++) {
    const back = given(way);
    const size = left.reduce((s, v) => s + v * v, 0);
    const by = size / way.reduce((s, v, k) => s + v * back[k]!, 0);
    turn = turn.map((v, k) => v + by * way[k]!) as Point;
    const next = left.map((v, k) => v - by * back[k]!) as Point;
    const ratio = next.reduce((s, v) => s + v * v, 0) / size;
    way = next.map((v, k) => v + ratio * way[k]!) as Point;
    left = next;
  }
  return Math.max(
    ...lines.flat().map((p) => Math.hypot(...cross(turn, arm(p)).map((v, k) => v + force[k]! / length))),
  );
}

test('its weld is the two edges and the foot of each plate as far as it laps, summed piece by piece; its plates bend from where the old one ends', () => {
  fc.assert(
    fc.property(overs, (over) => {
      const job = goingOver(over);
      const link = linkIn(over);
      const { reach, depth, planes, plate, over: old, leg } = bracketOf(job, link, over.end);
      const { bolt, along, out } = bracketAxes(job, link, over.end);
      const at = (b: number, u: number, v: number) =>
        [0, 1, 2].map((k) => bolt[k]! * b + along[k]! * u + out[k]! * v) as Point;
      const [h, { lap, wide }] = [depth / 2, old!];
      const lines = (planes === 2 ? [-wide / 2, wide / 2] : [plate / 2]).flatMap((b): [Point, Point][] => [
        [at(b, -h, 0), at(b, h, 0)],
        [at(b, -h, 0), at(b, -h, lap)],
        [at(b, h, 0), at(b, h, lap)],
      ]);
      const cases = casesOf(job, assemble(job.rig));
      const checks = proveLink(job, link, cases).filter(({ part }) => part.endsWith(`/${over.end}`));
      const weld = checks.find(({ check }) => check === 'weld')!;
      const bending = checks.find(({ check }) => check === 'root-bending')!;
      expect(weld.inputs.length).toBeCloseTo(planes * (depth + 2 * lap), 6);
      // The pull that the check says it is under, put on the same lines.
      const [here, there] = over.end === 'chassis' ? [link.chassis, link.axle] : [link.axle, link.chassis];
      const way = minus(there, here);
      const far = Math.hypot(...way);
      const force = way.map((v) => (v / far) * 1000) as Point;
      const eye = at(0, 0, reach);
      if (carOf(over).parts.brackets[`${link.id}/${over.end}`]?.brace === undefined) {
        const line = addedUp(lines, force, eye);
        expect(weldLineForce(lines, force, eye) / line).toBeCloseTo(1, 2);
        const asked = (weld.demand * 0.707 * leg) / line;
        const most = Math.max(...cases.map((one) => Math.abs(one.members[link.id] ?? 0)));
        expect((asked * 1000) / most).toBeCloseTo(1, 2);
      }
      expect(bending.inputs.reach).toBeCloseTo(Math.max(0, reach - lap), 6);
      expect(checks.some(({ check }) => check === 'rail-wall')).toBe(false);
      expect(
        unprovedOf(job, cases, null).some(({ part }) => part.startsWith('What is left of the old')),
      ).toBe(true);
    }),
    { numRuns: 40 },
  );
});

test('what does not go over it is said, with the spacer that makes it fit; and fits with that', () => {
  fc.assert(
    fc.property(overs, fc.double({ min: -20, max: 40, noNaN: true }), (over, wider) => {
      const link = linkIn(over);
      const mount = `${link.id}/${over.end}`;
      const { middle, spacer, planes } = bracketOf(carOf(over), link, over.end);
      const wide = middle + 2 * spacer + wider;
      if (planes !== 2 || wide < 5) return;
      const job = goingOver(over, { over: { high: over.high, lap: over.share * over.high, wide } });
      const said = (of: Job) => partFaults(of).find(({ id }) => id === 'over-not-fitting');
      const fault = said(job);
      expect(fault === undefined).toBe(wider <= 0.1 && wider >= -3.2);
      if (!fault) return;
      expect(fault.reason.includes('spacers of')).toBe(wide >= middle);
      if (wide >= middle)
        expect(
          said(withParts(job, { brackets: { [mount]: { spacer: (wide - middle) / 2 } } })),
        ).toBeUndefined();
    }),
    { numRuns: 120 },
  );
});

test('plates lapped farther than there is are stopped, and a joint that the old bracket reaches is to be looked at', () => {
  fc.assert(
    fc.property(overs, fc.double({ min: 0.3, max: 2, noNaN: true }), (over, share) => {
      const lap = share * over.high;
      const job = goingOver(over, { over: { high: over.high, lap } });
      const { reach, edge } = bracketOf(job, linkIn(over), over.end);
      const ids = partFaults(job).map(({ id }) => id);
      expect(ids.includes('laps-too-far')).toBe(lap > over.high + 0.05);
      expect(ids.includes('joint-on-old')).toBe(reach - lap < edge - 0.05);
      // Nothing that cannot be is said to hold.
      if (reach <= lap) expect(partFaults(job).find(({ id }) => id === 'joint-on-old')?.state).toBe('stop');
    }),
    { numRuns: 120 },
  );
});

test('a weld too short to hold is offered a longer lap, which holds and leaves the eye where it is', () => {
  let cured = 0;
  assertUntil(
    fc.property(overs, (over) => {
      const link = linkIn(over);
      const job = made(over, { over: { high: over.high, lap: 4 }, depth: 20, plate: 6, leg: 3 });
      const was = bracketOf(job, link, over.end);
      if (was.reach === 0) return;
      for (const failing of proveJob(job).checks.filter(
        ({ check, part }) => check === 'weld' && part.endsWith(over.end),
      ))
        for (const { text, parts } of curesIn(job)(failing)) {
          if (!text.startsWith('Lap over')) continue;
          const next = withParts(job, parts!);
          const now = bracketOf(next, link, over.end);
          expect(now.over!.lap).toBeLessThanOrEqual(over.high);
          expect(now.reach + footOut(now.over)).toBeCloseTo(was.reach + footOut(was.over), 6);
          const { factor, wanted } = proveJob(next).checks.find(
            ({ check, part }) => check === failing.check && part === failing.part,
          )!;
          expect(factor).toBeGreaterThanOrEqual(wanted);
          cured++;
        }
    }),
    { numRuns: 20 },
    () => cured > 0,
  );
});

test('its plate is scribed where the old bracket ends under it', () => {
  const [job] = jobs;
  const link = linksOf(job!.rig).find(({ id }) => fastenedTo(job!, linksOf(job!.rig)[0]!, 'axle') && id)!;
  const over = withParts(job!, { brackets: { [`${link.id}/axle`]: { over: { high: 40, lap: 22 } } } });
  const plate = flatsOf(over, link, 'axle').find(({ id }) => id.endsWith('plate'))!;
  const lines = plate.drawing.paths.filter(
    (path) => path.type === 'line' && path.layer === 'SCRIBE' && 'end' in path,
  ) as unknown as { origin: number[]; end: number[] }[];
  expect(lines.some(({ origin, end }) => origin[1] === 22 && end[1] === 22)).toBe(true);
  expect(dxfOf(plate.drawing)).toContain('SCRIBE');
});

test('the plan leaves it on the car when the others are cut off, and has it cut and looked over before the new one is clamped', () => {
  fc.assert(
    fc.property(overs, (over) => {
      const job = { ...goingOver(over), plan: { ...carOf(over).plan, car: 'other' as const } };
      const link = linkIn(over);
      const bracket = over.end === 'chassis' ? 'frame' : 'axle';
      const steps = (of: Job) => {
        const tasks = tasksOf(of);
        const how = (id: string) => tasks.find((task) => task.id === id)?.how ?? '';
        return { off: how('apart/brackets'), clamp: how(bracketStep(link.id, bracket, 'clamp')) };
      };
      const [now, bare] = [steps(job), steps({ ...carOf(over), plan: job.plan })];
      const left = sayLength(over.high, job.tape);
      const name = memberName(bracketId(link.id, over.end), job.rig.end);
      expect(now.off).toContain(`${left} where the ${name} goes`);
      expect(now.clamp).toContain(`cut square, ${left} from what it is on`);
      expect(bare.off).not.toContain('New brackets go over');
      expect(bare.clamp).not.toContain('old bracket');
    }),
    { numRuns: 60 },
  );
});
