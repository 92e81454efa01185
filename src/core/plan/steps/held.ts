import { SIDES } from '@/core/geometry/side';
import { heldLift } from '@/core/job/jobValues';
import { restsOf } from '@/core/place/heights';
import { leavesOf } from '@/core/rig/roles';
import { CAUTIONS } from './cautions';
import { hangerSteps } from './others';
import { axleMass, type Site } from '../site';
import { after, type Task } from '../task';

const FIT = { track: 'fit', basis: {} } as const;

/** The axle held where it will live, by the car's weight on its tyres or on rests. */
export const holdingTheAxle = (site: Site): Task[] => (site.onWeight ? onItsTyres(site) : onRests(site));

/**
 * The car on its own weight, which its own springs and bars carry. Leaf springs are hung again under a car that has had its axle out; what
 * hangs on bars that are yet to be made cannot carry it, and the order goes round.
 */
function onItsTyres(site: Site): Task[] {
  const { car, job } = site;
  const isLeaf = leavesOf(job.rig).length > 0;
  const hungAgain = isLeaf && car === 'other';
  return [
    ...(hungAgain
      ? [
          {
            ...FIT,
            id: 'fit/hung',
            zone: 'middle' as const,
            title: 'Axle back under the car on its leaf springs, wheels on',
            how: 'Eyes and shackles in, their bolts loose; U-bolts snug, centre pins in their holes; wheels on, and down off its stands.',
            after: [after('apart/brackets', 'what is cut and ground is done while it hangs free')],
            hands: 2 as const,
            lifts: axleMass(site),
            caution: CAUTIONS.lift,
          },
        ]
      : []),
    {
      ...FIT,
      id: 'fit/height',
      zone: 'round',
      title: 'Car on its weight, settled',
      how: 'On ramps or a level floor, on its own tyres, at their pressure; bounced and rolled forth and back; heights as at Place.',
      after: [
        after('apart/record', 'it stands as it was recorded'),
        after('fit/hung', 'its springs carry it'),
        ...(car === 'same' || hungAgain
          ? []
          : isLeaf
            ? hangerSteps(site).map((id) => after(id, 'the springs that carry it hang in them'))
            : [after('bolt/springs', 'nothing carries it before its springs are in')]),
      ],
      caution: CAUTIONS.bounce,
      marked: { station: 'place' },
      ...(car === 'same' && { tools: ['ramps'] }),
    },
  ];
}

function onRests(site: Site): Task[] {
  const { job, say } = site;
  const rests = restsOf(job, heldLift(job));
  const tops = SIDES.flatMap((side) => (rests[side] ? [`${side} ${say(rests[side].top)}`] : []));
  return [
    {
      ...FIT,
      id: 'fit/frame',
      zone: 'round',
      title: 'Frame level on its stands',
      how: 'At the height that Place asks for, level across and as it will stand along; measured from the floor at four places, floor unevenness taken off.',
      after: [after('apart/brackets', 'grinding and cutting shift it on its stands')],
      tools: ['stands', 'level'],
      caution: CAUTIONS.stands,
    },
    {
      ...FIT,
      id: 'fit/height',
      zone: 'middle',
      title: 'Axle on its rests, strapped',
      how: 'At the height Place gives; strips in front of and behind the tube, so that it can go up and down and nowhere else; a strap to each rail; pinion at its angle.',
      after: [after('fit/frame', 'the rests are reckoned from the frame')],
      hands: 2,
      lifts: axleMass(site),
      caution: CAUTIONS.lift,
      ...(tops.length > 0 && { expect: `Under the tube, off the floor: ${tops.join(', ')}.` }),
      marked: { station: 'place' },
    },
  ];
}
