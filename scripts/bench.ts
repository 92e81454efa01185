/**
 * Prints how fast the heavy parts of the core run on one core of this machine, and beside each layout the same poses by Newton's
 * method on a general matrix library.
 */
import { findMounts } from '@/core/choose/findMounts';
import { USUAL_CLOSENESS } from '@/core/choose/builds';
import { BUILDS, spreadOf } from '@/core/choose/spread';
import { cutFiles } from '@/core/cut/cutFiles';
import { proveJob } from '@/core/prove/prove';
import { analyseRoll, ROLL_PARTS } from '@/core/roll/analyse';
import { deflect } from '@/core/beam/beamFrame';
import { solveRig } from '@/core/bench/solveRig';
import { clearancesOf, gapsOf, hasClearances } from '@/core/clearance/clearance';
import { withRoll } from '@/core/job/edits/roll';
import { usualShock, usualSprings } from '@/core/springs/springDesign';
import { newJob } from '@/core/job/newJob';
import { travelMap } from '@/core/locate/travel/travelMap';
import { locateInput } from '@/core/locate/types';
import { findBars } from '@/core/swaybar/stockSearch';
import { rollInput } from '@/core/roll/input';
import { resultUncertainty } from '@/core/locate/resultUncertainty';
import { surveyedCar } from '@/core/record/jobRecord';
import { agreementOf } from '@/core/survey/agreement';
import { demoJobs } from '@/store/demo';
import { compileLinkage } from '@/core/kinematics/solver/linkage';
import { describePose, rideAttitude } from '@/core/kinematics/pose';
import { motionOf } from '@/core/kinematics/smallMotions';
import { Matrix, solve } from 'ml-matrix';
import { Residuals } from '@/core/kinematics/solver/residuals';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import { LAYOUT_IDS, type LayoutId } from '@/core/rig/layouts';
import type { Rig } from '@/core/rig/schema';
import { patternRig } from '../tests/support/layouts';
import type { Point } from '@/core/geometry/vector';
import { STOCK } from '@/core/materials/stockSizes';

const STEPS = 81;
const REACH = 80;
const WARM_MS = 250;
const REPEATS = 7;
/** What is compared takes more turns: the gap between two is less than what chance makes of either. */
const COMPARED = 15;
const lifts = Float64Array.from({ length: STEPS }, (_, i) => -REACH + (2 * REACH * i) / (STEPS - 1));

/** Poses per second of a run over the whole grid: the best of several, once the compiler has settled. */
const rate = (run: () => unknown): number =>
  (STEPS * STEPS * 1000) / Math.min(...timesOf([run], REPEATS)[0]!);

/** Poses per second of a run, and of another its share: they take turns, and the middle of what each pair of turns says counts. */
function compared(run: () => unknown, against: () => unknown): { rate: number; share: number } {
  const [times, others] = timesOf([run, against], COMPARED) as [number[], number[]];
  const shares = times.map((ms, k) => others[k]! / ms).sort((a, b) => a - b);
  return { rate: (STEPS * STEPS * 1000) / Math.min(...times), share: shares[(COMPARED - 1) / 2]! };
}

/** How long each of some runs takes, ms, turn by turn. */
function timesOf(runs: (() => unknown)[], turns: number): number[][] {
  for (const run of runs) {
    const until = performance.now() + WARM_MS;
    while (performance.now() < until) run();
  }
  const times = runs.map((): number[] => []);
  for (let k = 0; k < turns; k++)
    for (const [i, run] of runs.entries()) {
      const start = performance.now();
      run();
      times[i]!.push(performance.now() - start);
    }
  return times;
}

function measure(name: string, rig: Rig): void {
  const solver = new PoseSolver(compileLinkage(rig));
  const out = new Float64Array(STEPS * STEPS * solver.n);
  solver.solveRide();
  solver.solve(0, 0);
  const attitude = rideAttitude(solver);
  const fullGrid = () =>
    solver.solveGrid(lifts, lifts, out, (_, reached) => reached && describePose(rig, solver, attitude));
  const pose = rate(() => solver.solveGrid(lifts, lifts, out));
  const full = rate(fullGrid);
  const general = generalRate(rig);
  const say = (kind: string, n: number) =>
    console.log(
      `${name} 81x81 ${kind}: ${Math.round(n)} poses/s${general === null ? '' : `   (pose on a general matrix library: ${Math.round(general)})`}`,
    );
  say('pose', pose);
  say('full', full);
  measureUse(name, rig, fullGrid);
}

/** What the command and the map really do, against the grid with the same results: kept ones for the command. */
function measureUse(name: string, rig: Rig, fullGrid: () => unknown): void {
  const sweep = [...lifts].flatMap((left) => [...lifts].map((right) => ({ left, right })));
  const command = compared(
    () => solveRig({ ...rig, sweep }),
    () => keepGrid(rig),
  );
  const input = {
    ...locateInput({ ...newJob('bench', 'Bench', 'mm'), rig }, { left: 0, right: 0 }),
    bump: REACH,
    droop: REACH,
  };
  const places = travelMap(input, 'rollCentreHeight').values.filter((v) => v !== null).length;
  // As many maps as there are about as many poses in the grid.
  const maps = Math.round(STEPS ** 2 / places);
  const drawMaps = () => {
    for (let k = 0; k < maps; k++) travelMap(input, 'rollCentreHeight');
  };
  const map = compared(drawMaps, fullGrid);
  const poses = (maps * places) / STEPS ** 2;
  const say = (what: string, n: number, share: number) =>
    console.log(
      `${name} ${what}: ${Math.round(n)} poses/s, ${share.toFixed(2)} of the grid with the same results`,
    );
  say('81x81 command', command.rate, command.share);
  say('25x25 map', map.rate * poses, map.share * poses);
}

/** The grid with all that the command answers of a pose, kept until the end. */
function keepGrid(rig: Rig): unknown[] {
  const solver = new PoseSolver(compileLinkage(rig));
  solver.solveRide();
  solver.solve(0, 0);
  const attitude = rideAttitude(solver);
  const answers: unknown[] = [];
  const gapsIn = hasClearances(rig) ? clearancesOf(rig) : null;
  solver.solveGrid(lifts, lifts, new Float64Array(STEPS * STEPS * solver.n), (_, reached) => {
    if (!reached) return;
    const pose = describePose(rig, solver, attitude);
    answers.push(gapsIn ? Object.assign(pose, { clearance: gapsIn(pose) }) : pose);
  });
  return answers;
}

/**
 * The same grid by Newton's method with its linear algebra from a general matrix library, npm `ml-matrix`: the same equations and
 * their derivatives, each pose started from its neighbour. Null where members outnumber motions: there it minimises an energy.
 */
function generalRate(rig: Rig): number | null {
  const linkage = compileLinkage(rig);
  const residuals = new Residuals(linkage);
  const n = residuals.unknowns;
  if (linkage.rows !== n) return null;
  const q = new Float64Array(n);
  return rate(() => {
    q.fill(0);
    for (const [i, left] of lifts.entries())
      for (let s = 0; s < STEPS; s++) {
        const right = lifts[i & 1 ? STEPS - 1 - s : s]!;
        for (let k = 0; k < NEWTON_STEPS; k++) {
          residuals.evaluate(q, left, right);
          if (residuals.worst < 1e-9) break;
          const J = Matrix.from1DArray(n, n, residuals.J);
          const step = solve(J, Matrix.columnVector(residuals.r));
          for (let u = 0; u < n; u++) q[u]! -= step.get(u, 0);
        }
      }
  });
}
const NEWTON_STEPS = 12;

/** Every pose with every gap between all bodies of a car with three links: springs, shocks, tyres, housing, rails and what is in the way. */
function measureBodies(): void {
  const { rig } = withRoll(
    demoJobs().find((job) => job.layout === 'three-link-panhard')!,
    {
      springs: usualSprings(patternRig('three-link-panhard'), 'coil'),
      shock: usualShock,
    },
  );
  const gaps = gapsOf(rig);
  const solver = new PoseSolver(compileLinkage(rig));
  const out = new Float64Array(STEPS * STEPS * solver.n);
  solver.solveRide();
  solver.solve(0, 0);
  const attitude = rideAttitude(solver);
  const full = rate(() =>
    solver.solveGrid(lifts, lifts, out, (_, reached) => {
      if (reached) gaps.in(describePose(rig, solver, attitude));
    }),
  );
  console.log(
    `three-link 81x81 full with all bodies, ${gaps.pairs.length} pairs: ${Math.round(full)} poses/s`,
  );
}

/** Whether three times the lines cost nine times as much, and whether solving keeps anything: on the three-link rig. */
function measureGrowth(rig: Rig): void {
  const solver = new PoseSolver(compileLinkage(rig));
  solver.solveRide();
  const time = (steps: number): number => {
    const grid = Float64Array.from({ length: steps }, (_, i) => -REACH + (2 * REACH * i) / (steps - 1));
    const out = new Float64Array(steps * steps * solver.n);
    const runs = Array.from({ length: REPEATS }, () => {
      const start = performance.now();
      solver.solveGrid(grid, grid, out);
      return performance.now() - start;
    });
    return Math.min(...runs) / (steps * steps);
  };
  const [small, large] = [time(STEPS), time(3 * STEPS)];
  const out = new Float64Array(STEPS * STEPS * solver.n);
  const before = process.memoryUsage().heapUsed;
  for (let k = 0; k < 50; k++) solver.solveGrid(lifts, lifts, out);
  const grown = process.memoryUsage().heapUsed - before;
  console.log(
    `three-link cost of a pose, 243x243 against 81x81: ${(large / small).toFixed(2)}; heap grown over ${50 * STEPS * STEPS} poses: ${(grown / 1024).toFixed(0)} kB`,
  );
}

/** The least time of several runs, ms. */
const best = (work: () => unknown, repeats = REPEATS): number =>
  Math.min(
    ...Array.from({ length: repeats }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );

/** What the builder waits for while measuring: the fit of all readings of a car, and how far its results can be trusted. */
function measureMeasuring(): void {
  const [, car] = demoJobs();
  const fit = best(() => agreementOf(surveyedCar(car!)));
  console.log(
    `fit of ${Object.keys(car!.readings).length} read places with one wrong among them: ${fit.toFixed(0)} ms; trust in its results: ${best(() => resultUncertainty(car!)).toFixed(0)} ms`,
  );
}

/** A sway bar of 200 beams: while a bend of it is dragged, all of it is solved anew. */
function measureBar(): void {
  const nodes = Array.from({ length: 201 }, (_, i): Point => {
    const along = Math.abs(i - 100) - 80;
    return [along > 0 ? -12 * along : 0, 400 - 4 * i, 300];
  });
  const supports = [
    { node: 40, axis: [0, 1, 0] as Point, alongToo: true },
    { node: 160, axis: [0, 1, 0] as Point, alongToo: false },
    { node: 200, vertical: true as const },
  ];
  const section = { od: 22, wall: null, E: 205_000, G: 79_300 };
  const once = () => deflect(nodes, section, supports, [{ node: 0, force: [0, 0, 1] }]);
  console.log(`sway bar of 200 beams: ${best(once, 30).toFixed(2)} ms`);
}

/** What Roll waits for at every movement of a drag, by what is asked about; and the search of the stock sizes. */
function measureRoll(): void {
  const car = demoJobs().find((job) => job.roll.bar && job.rig.end === 'rear')!;
  const input = rollInput(car, { left: 10, right: -10 });
  const times = ROLL_PARTS.map(
    (part) => `${part} ${best(() => analyseRoll(input, part), 200).toFixed(2)} ms`,
  );
  const wanted = { rollRate: analyseRoll(input, 'bar').bar!.rollRate, least: 150, most: 350 };
  const search = best(() => findBars({ ...input, bar: car.roll.bar! }, wanted, motionOf(car.rig)));
  console.log(`roll: ${times.join(', ')}; search of ${STOCK.length} stock sizes: ${search.toFixed(0)} ms`);
}

/** What Prove waits for as a mount is moved; and all the files of a job. */
async function measureParts(): Promise<void> {
  const jobs = demoJobs();
  const proved = jobs.map((job) => ({
    job,
    parts: new Set(proveJob(job).checks.map(({ part }) => part)).size,
  }));
  const { job, parts } = proved.sort((a, b) => b.parts - a.parts)[0]!;
  const start = performance.now();
  const files = await cutFiles(job);
  const written = performance.now() - start;
  console.log(
    `prove ${parts} parts: ${best(() => proveJob(job), 20).toFixed(1)} ms; ${files.length} files to cut by: ${written.toFixed(0)} ms`,
  );
}

/** Builds by chance, and a search of places with six things free, of a three-link car. */
function measureChoosing(): void {
  const job = demoJobs()[0]!;
  const spread = best(() => spreadOf(job, USUAL_CLOSENESS, { builds: BUILDS, seed: 1 }));
  console.log(`monte-carlo ${BUILDS} builds: ${spread.toFixed(0)} ms`);
  const free = (
    [
      ['panhard', 'chassis', 300, 420],
      ['panhard', 'axle', 300, 420],
      ['lower-left', 'chassis', 200, 320],
      ['lower-left', 'axle', 200, 300],
      ['upper', 'chassis', 420, 520],
      ['upper', 'axle', 460, 540],
    ] as const
  ).map(([member, end, from, to]) => ({ member, end, axis: 2 as const, from, to, alike: true }));
  const targets = [
    { figure: 'rollCentre' as const, least: 340, most: 350 },
    { figure: 'barRise' as const, least: -1, most: 1 },
    { figure: 'antiSquat' as const, near: 60 },
    { figure: 'rollSteer' as const, near: 0 },
  ];
  const bare = { ...job, holes: {} };
  const find = best(() => findMounts(bare, { format: 'pellik.brief', version: 1, targets, free, seed: 1 }));
  console.log(`find-mounts ${free.length} free: ${find.toFixed(0)} ms`);
}

const names: Partial<Record<LayoutId, string>> = { 'three-link-panhard': 'three-link' };
for (const id of LAYOUT_IDS) measure(names[id] ?? id, patternRig(id));
measureBodies();
measureGrowth(patternRig('three-link-panhard'));
measureMeasuring();
measureBar();
measureRoll();
await measureParts();
measureChoosing();
