import { toDegrees } from '@/core/geometry/angle';
import type { Job } from '@/core/job/jobSchema';
import { compileLinkage, type Linkage } from '@/core/kinematics/solver/linkage';
import { PoseSolver } from '@/core/kinematics/solver/poseSolver';
import { InputError } from '@/core/rig/read';
import { adjusterOf, perTurn } from './turns/adjusters';
import { lengthen, settingBars, type AlignmentBar } from './alignmentBars';
import { turnsOf } from './turns/turns';

/**
 * Where the solver puts the axle at ride height: forward and left, mm; its left wheel ahead over the track, mm; pitch, degrees nose
 * down; and what its members store because they fight each other, N·mm.
 */
export type Stance = { x: number; y: number; ahead: number; pitch: number; energy: number };

/** The axle of a job on its bars as they are wound now. */
export class Car {
  private readonly base: Linkage;
  private readonly track: number;

  constructor(job: Job) {
    this.track = job.rig.track;
    this.base = compileLinkage(job.rig);
    for (const bar of settingBars(job.rig)) {
      const each = perTurn(adjusterOf(job, bar));
      if (each !== null) lengthen(this.base, [{ ...bar, sign: 1 }], turnsOf(job, bar.id) * each);
    }
  }

  /**
   * Where it stands once bars are longer by so many mm (the first of each list; the others by their signs).
   *
   * @throws InputError where the members do not reach
   */
  standing(changes: [AlignmentBar[], number][]): Stance {
    const linkage: Linkage = {
      ...this.base,
      length: this.base.length.slice(),
      chassis: this.base.chassis.slice(),
      axle: this.base.axle.slice(),
    };
    for (const [lever, mm] of changes) lengthen(linkage, lever, mm);
    const solver = new PoseSolver(linkage);
    if (!solver.solve(0, 0)) throw new InputError('ride', 'the members do not reach');
    const [x, y, pitch, steer] = solver.q;
    return {
      x: x!,
      y: y!,
      ahead: -this.track * Math.tan(steer!),
      pitch: toDegrees(pitch!),
      energy: solver.energy(),
    };
  }
}
