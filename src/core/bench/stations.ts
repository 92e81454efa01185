import { memberName } from '@/core/rig/names';
import { found } from '@/core/survey/readings';
import { SPOTS, spotName } from '@/core/survey/quantities/quantities';
import { restsOf } from '@/core/place/heights';
import { asSet } from '@/core/ride/asSet';
import { turnsSoFar } from '@/core/ride/turns/turns';
import type { StationId } from './stationIds';
import { stripeState, type Basis, type StripeState } from '@/core/job/stripes';
import { bracketId } from '@/core/job/bodies/bodyNames';
import { bracketOf } from '@/core/job/made/bracketParts';
import { barOf, LINK_ENDS, madeUp, specOf } from '@/core/job/made/parts';
import { BOLT_GRADES, METALS, THREADED, type StrengthName } from '@/core/materials/metals';
import { linksOf } from '@/core/rig/members/members';
import { SIDES } from '@/core/geometry/side';
import { PANHARD } from '@/core/rig/roles';
import { DRIVESHAFT, mountsOf, STEERING } from '@/core/rig/mounts';
import type { Job } from '@/core/job/jobSchema';
import { drivingHeight, heldLift, onItsWeight, workBar } from '@/core/job/jobValues';

/** What the builder vouches for with a station's own stripe. */
export function stationBasis(job: Job, station: StationId): Basis | null {
  switch (station) {
    case 'record':
      return Object.fromEntries(
        SPOTS.flatMap((spot) => {
          const m = found(job.readings, spot.quantity.key, spot.side);
          return m ? [[spotName(spot), m.value]] : [];
        }),
      );
    case 'place': {
      const rests = restsOf(job, heldLift(job));
      return {
        school: job.place.school,
        'ride height': drivingHeight(job),
        ...(job.place.holding && { held: HELD[job.place.holding] }),
        ...Object.fromEntries(
          SIDES.map((side) =>
            onItsWeight(job)
              ? [`frame as it stands, ${side}`, job.place.held[side] ?? 'not known']
              : [`rest under the tube, ${side}`, rests[side]?.top ?? 'not known'],
          ),
        ),
        ...Object.fromEntries(
          Object.entries(job.place.measured).map(([key, mm]) => [`measured, ${key.replace('.', ' ')}`, mm]),
        ),
      };
    }
    case 'locate':
      return mountBasis(job);
    case 'roll':
      return rollBasis(job);
    case 'prove':
      return partsBasis(job);
    case 'cut': {
      const bar = workBar(job);
      if (!bar) return null;
      const made = madeUp(job, bar);
      const { thread, tube } = specOf(job, bar.id);
      return {
        bar: memberName(bar.id, job.rig.end),
        'tube length': made.tubeLength,
        thread,
        'tube diameter': tube.od,
        'tube wall': tube.wall,
      };
    }
    case 'ride':
      return {
        'turns of the tube': String(turnsSoFar(job)),
        'gap left': job.ride.gaps.left ?? 'not read',
        'gap right': job.ride.gaps.right ?? 'not read',
        ...Object.fromEntries(
          asSet(job)
            .filter((line) => line.unit === 'length')
            .map((line) => [line.label.toLowerCase(), line.value]),
        ),
        'pinion angle': String(job.ride.read.pinion ?? 'not read'),
      };
    default:
      return null;
  }
}

const HELD = { weight: 'on its own weight', rests: 'on rests' };

/** What a builder calls the values of springs and bar; those that are lengths, and those that are not. */
const LENGTH_WORDS: Record<string, string> = {
  od: 'diameter',
  eyes: 'eye to eye',
  middle: 'bend to bend',
  rise: 'eyes above the middle',
  pitch: 'hole to hole',
  bushings: 'bushing to bushing',
  ahead: 'ahead of the axle',
  height: 'height',
  at: 'left of the centreline',
  out: 'from the centreline',
  arm: 'arm',
  link: 'end link',
  free: 'free length',
  solid: 'solid length',
  closed: 'closed',
  open: 'open',
  gap: 'gap',
  depth: 'depth',
  width: 'width',
  wall: 'wall',
  thickness: 'thickness',
  housing: 'tube through the frame',
  bendRadius: 'radius of the bends',
  front: 'to the front eye',
  rear: 'to the rear eye',
  left: 'left',
  right: 'right',
};
const OTHER_WORDS: Record<string, string> = {
  mountedOn: 'carried by',
  turned: 'turned, degrees',
  rate: 'rate, N/mm',
  bushingRate: 'bushings, N/mm',
  measured: 'as measured',
  full: 'full leaves',
  hole: 'holes in from the tip',
  pressure: 'pressure, N/mm²',
  area: 'area, mm²',
  volume: 'volume, mm³',
  teeth: 'teeth of the splines',
  count: 'leaves',
  growth: 'growth of the area',
  hooked: 'links on',
  right: 'right link',
};

/** Springs, stops and bar as they are meant, value by value. */
function rollBasis({ roll }: Job): Basis {
  const { springs, shock, stop, bar } = roll;
  return {
    ...named('springs', shapeless(springs)),
    ...named('shock', shapeless(shock)),
    ...named('stop', stop),
    ...named('sway bar', bar),
  };
}

/** A design but for how thick it is, which it does not work by. */
const shapeless = <T extends object>(part: T | null) => part && { ...part, od: null };

/** Every value of a design under the words that lead to it; only lengths stay numbers, which are said as lengths. */
function named(words: string, value: unknown, key = ''): Basis {
  if (value === null || value === undefined) return {};
  if (typeof value === 'number') return { [words]: key in LENGTH_WORDS ? value : String(value) };
  if (typeof value !== 'object') return { [words]: value as string | boolean };
  return Object.assign(
    {},
    ...Object.entries(value).map(([k, part]) =>
      Array.isArray(value)
        ? named(`${words} ${Number(k) + 1}`, part)
        : named(`${words}, ${LENGTH_WORDS[k] ?? OTHER_WORDS[k] ?? k}`, part, k),
    ),
  ) as Basis;
}

/** What of a part counts for its strength, and what a builder calls it. */
const BRACKET_WORDS = {
  plate: 'plate',
  width: 'width at the hole',
  edge: 'hole to edge',
  depth: 'depth where it is fastened',
  reach: 'eye out from there',
  bolt: 'bolt',
  hole: 'hole',
  spacer: 'spacer',
  leg: 'fillet',
  wall: 'wall behind it',
  backing: 'backing plate',
} as const;

/** Where everything is mounted, and every bar and bracket as it is made, value by value. */
function partsBasis(job: Job): Basis {
  const links = linksOf(job.rig);
  const bars = links.map(({ id }): Basis => {
    const { metal, section, thread } = barOf(job, id);
    const { shape, ...sizes } = section;
    const name = memberName(id, job.rig.end);
    return {
      [`${name}, metal`]: METALS[metal].name,
      [`${name}, section`]: shape,
      [`${name}, thread`]: thread,
      ...Object.fromEntries(
        Object.entries(sizes).map(([key, mm]) => [`${name}, ${LENGTH_WORDS[key] ?? key}`, mm]),
      ),
    };
  });
  const brackets = links.flatMap((link) =>
    LINK_ENDS.map((end): Basis => {
      const bracket = bracketOf(job, link, end);
      const name = memberName(bracketId(link.id, end), job.rig.end);
      return {
        ...Object.fromEntries(
          Object.entries(BRACKET_WORDS).map(([key, word]) => [
            `${name}, ${word}`,
            bracket[key as keyof typeof BRACKET_WORDS],
          ]),
        ),
        [`${name}, metal`]: METALS[bracket.metal].name,
        [`${name}, bolt’s grade`]: BOLT_GRADES[bracket.grade].name,
        [`${name}, boxed`]: bracket.boxed,
        ...(bracket.seat && { [`${name}, tube it sits on`]: bracket.seat.od }),
        ...(bracket.over && {
          [`${name}, old bracket left`]: bracket.over.high,
          [`${name}, old bracket’s width`]: bracket.over.wide,
          [`${name}, lap`]: bracket.over.lap,
        }),
        [`${name}, plates`]: String(bracket.planes),
        [`${name}, welded`]: `${Math.round(100 * bracket.welded)} %`,
        [`${name}, braced`]: bracket.brace !== null,
      };
    }),
  );
  const { strengths = {}, wanted } = job.parts;
  const reckoned: Basis = Object.fromEntries(
    Object.entries(strengths).map(([name, said]) => [
      `${{ ...METALS, ...THREADED }[name as StrengthName].name}, strength`,
      [said.yield, said.ultimate, said.welded].map((v) => v ?? 'usual').join(', '),
    ]),
  );
  return Object.assign(
    mountBasis(job),
    wanted !== undefined && { 'times over': String(wanted) },
    reckoned,
    ...bars,
    ...brackets,
  ) as Basis;
}

const PLACES = ['ahead of the axle', 'left of the centreline', 'off the floor'];

/** Where everything is mounted; the bar across the car, whose ends are spoken of most, goes without its name. */
function mountBasis({ rig }: Job): Basis {
  const owners = [...rig.members.map((m) => m.id), STEERING, DRIVESHAFT];
  return Object.fromEntries(
    owners.flatMap((id) =>
      mountsOf(rig, id).flatMap(({ name, point }) =>
        point.map((mm, k) => [
          `${id === PANHARD ? '' : `${memberName(id, rig.end)}, `}${name.toLowerCase()}, ${PLACES[k]}`,
          mm,
        ]),
      ),
    ),
  );
}

export const stationStripeKey = (station: StationId): string => `station.${station}`;

/** The stripe that was drawn across a station itself, and whether what it vouched for still stands. */
export function ownStripe(job: Job, station: StationId): StripeState {
  const stripe = job.stripes[stationStripeKey(station)];
  // Asked at every movement of a drag: what it rests on is only worked out where there is a stripe.
  const basis = stripe && stationBasis(job, station);
  return basis ? stripeState(stripe, basis, job.tape) : { kind: 'none' };
}
