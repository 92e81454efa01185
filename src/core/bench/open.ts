import { LINK_ENDS } from '@/core/job/made/parts';
import type { Job } from '@/core/job/jobSchema';
import { mountId } from '@/core/job/placed';
import { spokenPart } from '@/core/provenance/inputs';
import { asClause, placeOf, type Finding, type Judged, type State } from '@/core/verdict/verdict';
import type { StationId } from './stationIds';

/** Something that does not hold, or is not known, and where it is said: the station and which part of it. */
export type Open = {
  station: StationId;
  part?: string;
  id: string;
  state: Exclude<State, 'ok'>;
  would: Finding;
  title: string;
  where: string;
};

/** What is known, of how it is laid out and of its strength, to stop a member, in words. */
export const stopsOf = (job: Job, open: Open[], member: string): string[] =>
  open
    .filter(({ state }) => state === 'stop')
    .filter((one) => (one.station === 'prove' ? isOfPart(job, one, member) : isOfMember(one, member)))
    .map(({ title }) => asClause(title));

const isOfMember = (one: Open, member: string): boolean =>
  one.station === 'locate' &&
  (one.id === UNHELD ||
    placeOf(one)
      .split(/ \/ |\//)
      .includes(member));

/** What is said of one of a pair that is alike is said of both. */
const isOfPart = (job: Job, one: Open, member: string): boolean =>
  [member, ...LINK_ENDS.map((end) => mountId(member, end))].some(
    (part) => spokenPart(job, part) === placeOf(one),
  );

/** Of what is said, that which does not hold. */
export const openAmong = (said: { station: StationId; part?: string; verdict: Judged }[]): Open[] =>
  said.flatMap(({ station, part, verdict: { id, state, would, title, where = '' } }): Open[] =>
    state === 'ok' ? [] : [{ station, ...(part && { part }), id, state, would, title, where }],
  );

/** An axle that cannot be worked out stops every bar of it. */
const UNHELD = 'cannotBeHeld';
export const unheld = (problem: string): Open => ({
  station: 'locate',
  id: UNHELD,
  state: 'stop',
  would: 'stop',
  title: `The axle cannot be worked out: ${problem}.`,
  where: '',
});
