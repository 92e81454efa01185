import { dequal } from 'dequal/lite';
import { STEERING } from '@/core/rig/mounts';
import { applyReadings } from '../applyReadings';
import type { Job } from '../jobSchema';
import { marked, placedMounts } from '../placed';
import type { Candidate, Design } from '../slices/choose';
import type { Parts } from '../slices/parts';
import { withoutMembersWork } from './members/work';

/** What was typed for these, and for members, belongs to what is drawn; all else to the car. */
const DRAWN = ['roll', 'parts', 'cut', 'holes', 'bend', 'made', 'opens'];
/** Of that, what is the shop's own: its stock, its rules, what its metals bear. */
const OF_SHOP = /^(cut\/(stock|kerf|sheet|rule)|parts\/(strengths|wanted))\b/;
/** Usual values of what is drawn that were taken as right. */
const OF_PARTS = /^(joints|bar|bracket|sway|cross)\.|^(tube|barEnds|sleeve)$/;

/** A record's entries whose keys pass, and those that do not. */
function parted<T>(
  record: Record<string, T>,
  passes: (key: string) => boolean,
): [those: Record<string, T>, others: Record<string, T>] {
  const entries = Object.entries(record);
  return [
    Object.fromEntries(entries.filter(([key]) => passes(key))),
    Object.fromEntries(entries.filter(([key]) => !passes(key))),
  ];
}

/** Whether a path names something of what is drawn in a job: `panhard/chassis/2`, `roll/od`. */
const isDrawn = ({ rig }: Job): ((path: string) => boolean) => {
  const owners = new Set([...rig.members.map(({ id }) => id), STEERING, ...DRAWN]);
  return (path) => owners.has(path.split('/')[0]!) && !OF_SHOP.test(path);
};

/** What of a job is drawn; what was measured on the car is not in it. */
export function designOf(job: Job): Design {
  const { layout, laidOut, rig, joints, holes, roll, parts, cut, locate } = job;
  const { made, opens } = locate;
  const { springs, shock, stop, bar } = roll;
  const ofDesign: Parts = { ...parts };
  // What metal bears and what is asked of it stay with the car.
  delete ofDesign.strengths;
  delete ofDesign.wanted;
  const { thread, leftHandEnd, ends, tube } = cut;
  const drawn = isDrawn(job);
  return {
    layout,
    laidOut,
    members: rig.members,
    ...(rig.steering && { steering: rig.steering }),
    placed: marked(placedMounts(job).filter(drawn)),
    accepted: parted(job.accepted ?? {}, (id) => OF_PARTS.test(id))[0],
    typed: parted(job.typed, drawn)[0],
    ...(made && { made }),
    ...(opens && { opens }),
    joints,
    holes,
    roll: { springs, shock, stop, bar },
    parts: ofDesign,
    cut: { thread, leftHandEnd, ends, tube },
  };
}

/**
 * The same car with something else drawn on it: what was measured, written down and welded stays, but for the work of members that are
 * not in it.
 *
 * @throws InputError where the car cannot be so
 */
export function withDesign(job: Job, design: Design): Job {
  const { layout, members, steering, placed, accepted, typed, joints, holes, roll, parts, cut } = design;
  const kept = new Set(members.map(({ id }) => id));
  const gone = job.rig.members.map(({ id }) => id).filter((id) => !kept.has(id));
  const drawn = isDrawn(job);
  const ofCar = placedMounts(job).filter((id) => !drawn(id));
  const stays = withoutMembersWork(job, gone);
  const rig = { ...job.rig, members };
  delete rig.steering;
  // What a rig file states without a design is the car's own.
  if (job.roll.springs) delete rig.springs;
  if (job.roll.shock) delete rig.shocks;
  if (job.roll.bar) delete rig.swayBars;
  const agreed = { ...parted(stays.accepted ?? {}, (id) => OF_PARTS.test(id))[1], ...accepted };
  const locate = { ...stays.locate, made: design.made, opens: design.opens };
  if (!design.made) delete locate.made;
  if (!design.opens) delete locate.opens;
  const next: Job = {
    ...stays,
    locate,
    layout,
    // A pattern follows what is measured until something is put in its place.
    laidOut: design.laidOut || job.laidOut,
    placed: marked([...ofCar, ...Object.keys(placed)]),
    typed: { ...parted(stays.typed, drawn)[1], ...typed },
    joints,
    holes,
    roll: { ...job.roll, ...roll },
    parts: {
      ...parts,
      ...(job.parts.strengths && { strengths: job.parts.strengths }),
      ...(job.parts.wanted !== undefined && { wanted: job.parts.wanted }),
    },
    cut: { ...stays.cut, ...cut },
    rig: { ...rig, ...(steering && { steering }) },
  };
  if (Object.keys(agreed).length > 0) next.accepted = agreed;
  else delete next.accepted;
  return applyReadings(next);
}

/** Whether what is drawn on the bench is what a candidate has. */
export const isOnBench = (job: Job, { design }: Pick<Candidate, 'design'>): boolean =>
  dequal(drawnAlone(designOf(job)), drawnAlone(design));

/** A design less what only says where its figures come from. */
const drawnAlone = ({ layout, members, steering, joints, holes, roll, parts, cut }: Design) => ({
  layout,
  members,
  steering,
  joints,
  holes,
  roll,
  parts,
  cut,
});

/** The candidates of a job; none where none were ever kept. */
export const candidatesOf = ({ choose }: Pick<Job, 'choose'>): Candidate[] => choose?.candidates ?? [];

const withCandidates = (job: Job, candidates: Candidate[]): Job => {
  const { choose } = job;
  const isThere = candidates.some(({ id }) => id === choose?.chosen?.id);
  return { ...job, choose: { candidates, ...(isThere && { chosen: choose!.chosen }) } };
};

/** The job with one more way of building the car kept; before the first of them the car is kept as it was found. */
export function withCandidate(job: Job, { id, name, design }: Omit<Candidate, 'found'>): Job {
  const before = candidatesOf(job);
  const first = before.length === 0 ? [{ ...FOUND, design: designOf(job) }] : before;
  return withCandidates(job, [...first, { id, name, design }]);
}
const FOUND = { id: 'as-found', name: 'As found', found: true } as const;

/** The job with the car kept as it was found, before anything else is drawn. */
export const withFound = (job: Job): Job =>
  withCandidates(job, [
    { ...FOUND, design: designOf(job) },
    ...candidatesOf(job).filter(({ found }) => !found),
  ]);

export const withoutCandidate = (job: Job, id: string): Job =>
  withCandidates(
    job,
    candidatesOf(job).filter((one) => one.id !== id),
  );

export const withCandidateNamed = (job: Job, id: string, name: string): Job =>
  withCandidates(
    job,
    candidatesOf(job).map((one) => (one.id === id ? { ...one, name } : one)),
  );

/** The job with one of its candidates chosen, and on the bench. @throws InputError where the car cannot be so */
export function withChosen(job: Job, { id, design }: Candidate, reason: string, at: string): Job {
  const next = isOnBench(job, { design }) ? job : withDesign(job, design);
  return { ...next, choose: { candidates: candidatesOf(job), chosen: { id, reason, at } } };
}
