import type { Job } from '@/core/job/jobSchema';
import { pairedSide } from '@/core/rig/roles';
import { orNone } from '@/core/rig/read';
import { adjusterOf, perTurn } from './adjusters';
import { settingBars, type AlignmentBar } from '@/core/ride/alignmentBars';
import { Car, type Stance } from '@/core/ride/stance';

/**
 * What one turn that makes a bar longer does to the axle at ride height: `longer`, mm; it moves `left` and `forward`, mm; its left
 * wheel comes `ahead` of the right, mm over the track; its nose goes down, degrees. `fights`: one of a left and a right, whose
 * turn by itself loads the other members.
 */
export type TurnEffect = {
  id: string;
  name: string;
  longer: number;
  left: number;
  forward: number;
  ahead: number;
  noseDown: number;
  fights: boolean;
};

/** Less than this, N·mm, is stored by joints that settle. */
const SETTLES = 100;

/** What one turn of every threaded bar that sets something does, each by itself, solved from where the bars are wound now. */
export function turnEffects(job: Job): TurnEffect[] {
  const car = new Car(job);
  const start = orNone(() => car.standing([]));
  if (!start) return [];
  return settingBars(job.rig).flatMap((bar): TurnEffect[] => {
    const longer = bar.by === 'length' ? perTurn(adjusterOf(job, bar)) : null;
    const then = longer === null ? null : orNone(() => car.standing([[alone(bar), longer]]));
    return then ? [effect(bar, longer!, start, then)] : [];
  });
}

const alone = (bar: AlignmentBar): AlignmentBar[] => [{ ...bar, sign: 1 }];

const effect = ({ id, name }: AlignmentBar, longer: number, was: Stance, is: Stance): TurnEffect => ({
  id,
  name,
  longer,
  left: is.y - was.y,
  forward: is.x - was.x,
  ahead: is.ahead - was.ahead,
  noseDown: is.pitch - was.pitch,
  fights: pairedSide(id) !== null && is.energy - was.energy > SETTLES,
});
