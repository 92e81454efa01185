import { lookAt, type Look } from '@/core/advice/look';
import type { Job } from '@/core/job/jobSchema';
import type { Checked, Symptom } from '@/core/job/slices/work/drive';
import { jointsOf, JOINTS } from '@/core/materials/joints';
import { linksOf } from '@/core/rig/members/members';
import { capital, memberName } from '@/core/rig/names';
import { lateralBarOf, leavesOf, partnerOf } from '@/core/rig/roles';
import { orNone } from '@/core/rig/read';
import { onGround } from '@/core/ride/onGround';
import { preloadOf } from '@/core/ride/preload';
import { toeHolds } from '@/core/ride/steering';
import { turnsOf } from '@/core/ride/turns/turns';
import { heldIds, heldName, heldPoints } from '@/core/weld/held';
import { jointState } from '@/core/weld/holdPoint';
import { torqueSheet } from '@/core/weld/torqueSheet';
import { dueOf } from './rechecks';
import { BEHIND, causeOf, type Cause, type CauseId } from './causes';

/** What speaks for or against a cause in this car's own record: how much more likely it is for it, and why. */
type Evidence = { times: number; because: string };

/** A check of the fault finder: what it may be, why it stands where it does, and what was found of it already. */
export type FaultCheck = { cause: Cause; because: string[]; before: Checked | null };

/** A cause that was looked at since and not found is that much less likely. */
const LOOKED_AT = 0.1;

/**
 * What to look at for a symptom, in the order in which it is worth it: how likely each is on this car, by what its record says, for the
 * time it takes to look.
 */
export function faultChecks(job: Job, symptom: Symptom): FaultCheck[] {
  const look = orNone(() => lookAt(job, { cures: false }));
  const { causes } = BEHIND[symptom];
  return (Object.entries(causes) as [CauseId, number][])
    .map(([id, likely]) => {
      const cause = causeOf(id);
      const evidence = EVIDENCE[id]?.(job, look) ?? [];
      const before = lastLooked(job, symptom, id);
      const times =
        evidence.reduce((product, one) => product * one.times, 1) * (before && !before.found ? LOOKED_AT : 1);
      return {
        cause,
        because: evidence.map(({ because }) => because),
        before,
        score: (likely * times) / cause.minutes,
      };
    })
    .filter(({ cause }) => isOfCar(job, cause))
    .sort((a, b) => b.score - a.score)
    .map(({ cause, because, before }) => ({ cause, because, before }));
}

function lastLooked({ drive }: Job, symptom: Symptom, id: CauseId): Checked | null {
  return drive.checked.findLast((one) => one.symptom === symptom && one.cause === id) ?? null;
}

function isOfCar({ rig, front, roll }: Job, { only }: Cause): boolean {
  if (only === undefined) return true;
  return {
    front: rig.end === 'front',
    rear: rig.end === 'rear',
    leaves: leavesOf(rig).length > 0,
    swayBar: roll.bar !== null,
    lateral: lateralBarOf(rig) !== null,
    slider: rig.members.some(({ type }) => type === 'slider-arm'),
    links: linksOf(rig).length > 0,
    driven: rig.end === 'rear' || front.driven,
  }[only];
}

/** What a check of the layout says that is not as it should be, known or would it be known. */
const saysOf = (look: Look | null, ids: string[], times: number): Evidence[] =>
  (look?.said ?? [])
    .filter(({ verdict }) => ids.includes(verdict.id) && verdict.would !== 'ok')
    .slice(0, 1)
    .map(({ verdict }) => ({ times, because: verdict.title }));

const EVIDENCE: Partial<Record<CauseId, (job: Job, look: Look | null) => Evidence[]>> = {
  'loose-bolt': (job) => {
    const sheet = torqueSheet(job).filter(({ id }) => !id.includes('/jam.'));
    const short = sheet.filter(({ state }) => state === 'short');
    const due = dueOf(job).filter(({ overdue }) => overdue).length;
    return [
      ...(short.length ? [{ times: 4, because: `${short[0]!.what} came out short of its torque.` }] : []),
      ...(job.drive.outings.length > 0 && sheet.every(({ applied }) => !applied)
        ? [{ times: 2, because: 'No torque of this car is on record.' }]
        : []),
      ...(due ? [{ times: 1.5, because: `${due} of its lines are due to be looked at again.` }] : []),
    ];
  },
  'tacked-bracket': (job) => {
    const tacked = heldIds(job).flatMap((member) =>
      heldPoints(job, member)
        .filter(({ bracket }) => jointState(job, { member, bracket }) === 'tacked')
        .map(({ bracket }) => capital(heldName(job, member, bracket))),
    );
    return tacked.length
      ? [{ times: 8, because: `Tacked and not welded, by its record: ${tacked.join('; ')}.` }]
      : [];
  },
  'jam-nut': (job) => {
    const open = torqueSheet(job).filter(({ id, applied }) => id.includes('/jam.') && !applied);
    return job.drive.outings.length > 0 && open.length
      ? [{ times: 1.5, because: 'Nobody has written down that its jam nuts are tight.' }]
      : [];
  },
  'no-preload': (job) =>
    preloadOf(job) && lateralBarOf(job.rig)
      ? [
          {
            times: 1.5,
            because: 'The leaves hold the axle sideways too, and the bar may just float between.',
          },
        ]
      : [],
  'soft-wound': (job) => {
    const soft = linksOf(job.rig).filter(({ id }) => {
      const { chassis, axle } = jointsOf(job.joints, id);
      return JOINTS[chassis].soft || JOINTS[axle].soft;
    });
    if (soft.length === 0 && leavesOf(job.rig).length === 0)
      return [{ times: 0.1, because: 'No bar of it has a soft bushing.' }];
    return job.plan.done['ground/soft']
      ? [{ times: 0.4, because: 'They were tightened on its weight, by the plan.' }]
      : [{ times: 1.5, because: 'The plan does not have them as tightened on its weight.' }];
  },
  'unlike-links': (job) => {
    const unlike = linksOf(job.rig).filter((link) => {
      const other = linksOf(job.rig).find(({ id }) => id === partnerOf(link.id));
      return other !== undefined && turnsOf(job, link.id) !== turnsOf(job, other.id);
    });
    return unlike.length
      ? [
          {
            times: 2,
            because: `${capital(memberName(unlike[0]!.id, job.rig.end))} was wound otherwise than its other side.`,
          },
        ]
      : [];
  },
  'out-of-square': (job) => {
    const { ahead } = onGround(job);
    if (!ahead) return [];
    return Math.abs(ahead.value) > 3.2
      ? [{ times: 3, because: 'It was read out of square on the ground.' }]
      : [{ times: 0.4, because: 'It was read square on the ground.' }];
  },
  'off-centre': (job) => {
    const { offset } = onGround(job);
    if (!offset) return [];
    return Math.abs(offset.value) > job.ride.tolerance
      ? [{ times: 3, because: 'It was read off the middle on the ground.' }]
      : [{ times: 0.4, because: 'It was read in the middle on the ground.' }];
  },
  toe: (job) =>
    job.ride.read.toe === undefined
      ? [{ times: 1.5, because: 'Toe was never read.' }]
      : toeHolds(job)
        ? [{ times: 0.4, because: 'Toe was read as wanted.' }]
        : [{ times: 3, because: 'Toe was read, and is not as wanted.' }],
  'joint-angles': (_, look) => saysOf(look, ['shaft-angles'], 3),
  'drag-link-unlike': (_, look) => saysOf(look, ['bump-steer'], 3),
  'too-much-anti-squat': (_, look) => saysOf(look, ['anti-squat'], 2),
  'roll-steer': (_, look) => saysOf(look, ['roll-steer'], 2),
  'bar-swings': (_, look) => saysOf(look, ['shift', 'length'], 2),
  'joint-binds': (_, look) => saysOf(look, ['joints', 'cocked', 'bind'], 3),
  'slip-yoke': (_, look) => saysOf(look, ['slip'], 3),
  'slide-locked': (_, look) => saysOf(look, ['slider'], 2),
  'tyre-room': (_, look) => saysOf(look, ['tyre'], 3),
  touches: (_, look) => saysOf(look, ['clearance'], 3),
  'worn-joint': (job) => inspected(job, 'bushings', 3),
  'oval-hole': (job) => inspected(job, 'holes', 4),
  'steering-play': (job) => inspected(job, 'steering', 3),
  tyres: (job) => inspected(job, 'wheels', 2),
};

/** What the inspection said of a part: worth watching, or to be mended and not mended yet. */
function inspected({ record }: Job, id: keyof Job['record']['inspection'], times: number): Evidence[] {
  const found = record.inspection[id];
  if (found?.finding === 'mend' || found?.finding === 'watch')
    return [{ times, because: `The inspection said so: ${found.note || found.finding}.` }];
  return found ? [{ times: 0.6, because: 'It was found sound when it was inspected.' }] : [];
}
