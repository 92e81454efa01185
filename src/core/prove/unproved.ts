import type { Job } from '@/core/job/jobSchema';
import { bracketId } from '@/core/job/bodies/bodyNames';
import { fastenedTo } from '@/core/job/made/bracketRoot';
import { bracketOf, type Bracket } from '@/core/job/made/bracketParts';
import { BAR_ENDS, barOf, LINK_ENDS, threadedEnds, type Bar } from '@/core/job/made/parts';
import { isLink, linksOf } from '@/core/rig/members/members';
import { capital, memberName } from '@/core/rig/names';
import { crossmembersOf } from '@/core/job/made/crossmember';
import { isOnEar, springPlateOf } from '@/core/job/made/springPlate';
import { barHeldIn } from '@/core/job/made/sway/barHeld';
import type { CaseForces } from './cases';
import type { SwayPull } from './swayBar';
import type { Unproved } from './types';

/** A bar with a rod end whose maker's figure nobody told. */
const isUnrated = (bar: Bar): boolean => bar.rated === null && threadedEnds(bar).length > 0;

const hasBarrel = ({ barrels }: Bar): boolean => BAR_ENDS.some((end) => barrels[end] !== null);

/** What of a job is not proved, in words: nothing is said to hold that was not looked at. */
export function unprovedOf(job: Job, cases: CaseForces[], pull: SwayPull | null): Unproved[] {
  const { rig } = job;
  if (cases.length === 0)
    return [
      {
        part: 'All that holds the axle',
        why: 'nothing is known of what the car weighs, of its wheelbase or of the height of its centre of gravity',
      },
      ...swayUnproved(job, pull),
    ];
  const others = rig.members.filter((m) => !isLink(m));
  const undrawn = linksOf(rig).filter((link) => fastenedTo(job, link, 'chassis') === 'undrawn');
  const bracketsThat = (are: (bracket: Bracket) => boolean): string[] =>
    linksOf(rig).flatMap((link) =>
      LINK_ENDS.filter((end) => are(bracketOf(job, link, end))).map((end) => bracketId(link.id, end)),
    );
  const bolted = bracketsThat((bracket) => bracket.bolted);
  const over = bracketsThat((bracket) => bracket.over !== null);
  const unrated = linksOf(rig).filter(({ id }) => isUnrated(barOf(job, id)));
  return [
    ...others.map(({ id }) => ({
      part: capital(memberName(id, rig.end)),
      why: 'its own strength and its brackets are not reckoned',
    })),
    ...(unrated.length
      ? [
          {
            part: unrated.length === linksOf(rig).length ? 'All rod ends' : 'Rod ends of some bars',
            why: 'what their maker rates them at, across the bore, was not typed',
          },
        ]
      : []),
    ...swayUnproved(job, pull),
    ...(linksOf(rig).some(({ id }) => hasBarrel(barOf(job, id)))
      ? [{ part: 'Bushings in barrels', why: 'what their maker rates them at is not known; their weld is' }]
      : []),
    ...bolted.map((id) => ({
      part: `Bolts of the ${memberName(id, rig.end)}`,
      why: 'it is bolted on, and the pattern of its bolts is not told',
    })),
    ...over.map((id) => ({
      part: `What is left of the old bracket under the ${memberName(id, rig.end)}`,
      why: 'its steel, its own weld and what they have been through are not known: look both over for cracks before anything is welded on',
    })),
    ...undrawn.map(({ id }) => ({
      part: `What the ${memberName(bracketId(id, 'chassis'), rig.end)} hangs on`,
      why: 'no rail is near it: draw the crossmember or hoop that it hangs on',
    })),
    {
      part: 'What comes and goes, elsewhere',
      why: 'in time only welds, the plates beside them and shanks are reckoned; bolts, holes, bends and rod ends are not',
    },
    ...crossmembersOf(job)
      .filter((of) => of.bolted)
      .map(({ id }) => ({
        part: `Bolts of the ${id}`,
        why: 'it is bolted to the rails, and the pattern of its bolts is not told',
      })),
    {
      part: `Frame, axle housing and ${crossmembersOf(job).length ? 'the walls of crossmembers' : 'crossmembers'}`,
      why: 'only the wall behind a bracket on a rail is',
    },
  ];
}

/** What of a sway bar's mounts and links is not proved. */
function swayUnproved(job: Job, pull: SwayPull | null): Unproved[] {
  const { rig, roll } = job;
  if (!rig.swayBars) return [];
  if (!pull || !roll.bar)
    return [
      {
        part: 'Sway bar’s mounts and end links',
        why: roll.bar
          ? 'its links cannot follow the axle as far as it rolls, or its arms have no length: see Roll'
          : 'the bar came with the car’s file, without how it is made',
      },
    ];
  const [plate, held] = [springPlateOf(job), barHeldIn(job)];
  return [
    ...(plate && isOnEar(job, plate)
      ? []
      : [{ part: 'Brackets that the sway bar’s links stand on', why: 'they are not drawn' }]),
    ...(held === 'straps'
      ? []
      : [
          {
            part: 'What the sway bar turns in',
            why: 'what its bushings and their tube press on is not reckoned',
          },
        ]),
    { part: 'Sway bar’s mounts and links, in time', why: 'they are reckoned at the farthest roll alone' },
  ];
}
