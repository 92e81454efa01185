/** Prints how fast the heavy parts of the core run on one core of this machine. */
import { compileLinkage } from '@/core/kinematics/linkage';
import { PoseSolver } from '@/core/kinematics/solver';
import type { Rig } from '@/core/rig/schema';

const threeLink: Rig = {
  format: 'pellik.rig',
  version: 1,
  end: 'rear',
  tireRadius: 330,
  track: 1470,
  members: [
    { type: 'link', id: 'lower-left', chassis: [620, 480, 300], axle: [10, 520, 270] },
    { type: 'link', id: 'lower-right', chassis: [620, -480, 300], axle: [10, -520, 270] },
    { type: 'link', id: 'upper', chassis: [520, 60, 470], axle: [30, 60, 500] },
    { type: 'link', id: 'panhard', chassis: [-170, 470, 370], axle: [-170, -455, 352] },
  ],
};

const STEPS = 81;
const lifts = Float64Array.from({ length: STEPS }, (_, i) => -80 + (160 * i) / (STEPS - 1));
const out = new Float64Array(STEPS * STEPS * 4);

function rate(run: () => void): number {
  const until = performance.now() + 500;
  while (performance.now() < until) run(); // let the compiler settle
  let best = Infinity;
  for (let k = 0; k < 20; k++) {
    const start = performance.now();
    run();
    best = Math.min(best, performance.now() - start);
  }
  return Math.round((STEPS * STEPS * 1000) / best);
}

const solver = new PoseSolver(compileLinkage(threeLink));
console.log(`three-link 81x81 pose: ${rate(() => solver.solveGrid(lifts, lifts, out))} poses/s`);
let unreached = 0;
for (const v of out) if (Number.isNaN(v)) unreached++;
if (unreached) console.log(`  (${unreached / 4} poses out of reach)`);
