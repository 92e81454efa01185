import { memberName } from '@/core/rig/names';
import { PANHARD } from '@/core/rig/roles';
import { found } from '@/core/survey/readings';
import { USUAL_OD } from '@/core/springs/springDesign';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { applyReadings, USUAL_MASSES } from './applyReadings';
import { JOB_VERSION, type Job } from './jobSchema';
import { startingPlace } from './slices/place';
import { startingRecord } from './slices/record';
import { startingRide } from './slices/work/ride';
import { startingRoll } from './slices/roll';

type Loose = Record<string, unknown>;

/** A job of an older version in the shape of today's, before it is validated. */
export function upgraded(value: Loose): Loose {
  switch (value.version) {
    case 1:
      return upgraded(fromFirst(value));
    case 2:
      return upgraded({ ...value, version: 3, roll: rollFromSecond(value.roll) });
    case 3:
      return upgraded({ ...fromThird(value), version: 4 });
    case 4:
      return { ...fromFourth(value), version: JOB_VERSION };
    default:
      return value;
  }
}

/** Version 4: nothing but bars had a size of its own. */
function fromFourth(value: Loose): Loose {
  const thick = (part: unknown, od: number): unknown => (isLoose(part) ? { od, ...part } : part);
  const roll = isLoose(value.roll) ? value.roll : {};
  const { springs } = roll;
  const kind = isLoose(springs) ? springs.kind : null;
  return {
    bodies: {},
    ...value,
    rig: isLoose(value.rig) ? { ...value.rig, version: 2 } : value.rig,
    roll: {
      ...roll,
      ...(kind === 'coil' || kind === 'air' ? { springs: thick(springs, USUAL_OD[kind]) } : {}),
      ...('shock' in roll && { shock: thick(roll.shock, USUAL_OD.shock) }),
    },
  };
}

/** Version 3: brackets, their stripes and their log belonged to whatever bar was on the saw. */
function fromThird(value: Loose): Loose {
  const member = memberOnTheSaw(value);
  const of = (key: string) => `${member}/${key}`;
  const weld = isLoose(value.weld) ? value.weld : {};
  const owned = (record: unknown): unknown => (isLoose(record) ? mapKeys(record, of) : record);
  const log = Array.isArray(weld.log)
    ? weld.log.map((event) => (isLoose(event) ? { member, ...event } : event))
    : weld.log;
  const joints = isLoose(weld.joints)
    ? Object.fromEntries(Object.entries(weld.joints).filter(([, state]) => state !== 'scribed'))
    : weld.joints;
  const stripes = isLoose(value.stripes)
    ? mapKeys(value.stripes, (key) => (key.startsWith('weld.') ? `weld.${of(key.slice(5))}` : key))
    : value.stripes;
  return {
    ...value,
    weld: { ...weld, joints: owned(joints), measured: owned(weld.measured), log },
    stripes,
  };
}

/** Of a front axle the bar across the car was once called by its rear name in what a stripe rests on: that is no change of it. */
export function withTrackBars(job: Job): Job {
  if (job.rig.end === 'rear') return job;
  const [was, is] = (['rear', 'front'] as const).map((end) => memberName(PANHARD, end)) as [string, string];
  return {
    ...job,
    stripes: Object.fromEntries(
      Object.entries(job.stripes).map(([key, stripe]) => [
        key,
        {
          ...stripe,
          basis: Object.fromEntries(Object.entries(stripe.basis).map(([k, v]) => [k, v === was ? is : v])),
        },
      ]),
    ),
  };
}

function memberOnTheSaw({ cut, rig }: Loose): string {
  const members = isLoose(rig) && Array.isArray(rig.members) ? rig.members.filter(isLoose) : [];
  const links = members.filter((m) => m.type === 'link').map((m) => String(m.id));
  const chosen = isLoose(cut) ? cut.member : undefined;
  return links.find((id) => id === chosen) ?? links.find((id) => id === PANHARD) ?? links[0] ?? PANHARD;
}

const mapKeys = (record: Loose, to: (key: string) => string): Loose =>
  Object.fromEntries(Object.entries(record).map(([key, v]) => [to(key), v]));

/**
 * A job of before version 4 with what was typed over its readings marked as typed: then the last to come won. Where the mounts
 * still followed the pattern, the pattern had overwritten the yokes' angles, and what was read comes back.
 */
export function withTypedMarks(job: Job): Job {
  const typed = { ...job.typed };
  const read = applyReadings(job).rig;
  const mark = (path: string, kept: number | undefined, measured: number | undefined) => {
    if (kept !== undefined && measured !== undefined && Math.abs(kept - measured) > 1e-6)
      typed[path] ??= String(kept);
  };
  if (job.laidOut)
    for (const angle of ['transmissionAngle', 'pinionAngle'] as const)
      if (found(job.readings, angle))
        mark(`driveshaft/${angle}Deg`, job.rig.driveshaft?.[`${angle}Deg`], read.driveshaft?.[`${angle}Deg`]);
  for (const key of ['total', 'frontFraction'] as const)
    if (job.rig.masses?.[key] !== USUAL_MASSES[key])
      mark(`masses/${key}`, job.rig.masses?.[key], read.masses?.[key]);
  return { ...job, typed };
}

/**
 * Version 1: readings spoke of `mm` and were lengths only; there was neither a way of measuring nor a place for the axle on
 * stands, and Ride knew two gaps alone.
 */
function fromFirst(value: Loose): Loose {
  const ride = isLoose(value.ride) ? value.ride : {};
  return {
    record: startingRecord(),
    place: startingPlace(),
    ...value,
    version: 2,
    ride: { ...startingRide(), ...ride },
    readings: isLoose(value.readings) ? mapped(value.readings) : value.readings,
  };
}

function mapped(readings: Loose): Loose {
  return Object.fromEntries(
    Object.entries(readings).map(([key, list]) => [key, Array.isArray(list) ? list.map(renamed) : list]),
  );
}

function renamed(reading: unknown): unknown {
  if (!isLoose(reading) || !('mm' in reading)) return reading;
  const { mm, ...rest } = reading;
  return { value: mm, ...rest };
}

/** Version 2: springs were coils that stood upright, a bar was bent from one piece and had one dip. */
function rollFromSecond(roll: unknown): unknown {
  if (!isLoose(roll)) return startingRoll();
  return { ...startingRoll(), springs: springsFromSecond(roll.springs), bar: barFromSecond(roll.bar) };
}

function springsFromSecond(springs: unknown): unknown {
  if (!isLoose(springs)) return null;
  const { rate, out, top, bottom, ahead } = springs;
  const stand = (height: unknown) => ({ out, ahead, height });
  return { kind: 'coil', rate, frame: stand(top), axle: stand(bottom), free: null, solid: null };
}

function barFromSecond(bar: unknown): unknown {
  if (!isLoose(bar)) return null;
  const { dip, ...rest } = bar;
  const dips = isLoose(dip) && dip.depth !== 0 ? [{ at: 0, ...dip }] : [];
  // What a bar of version 2 did not state does not depend on the size of the car.
  return { ...usualBar({ track: 0, tireRadius: 0 }), ...rest, dips };
}

const isLoose = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);
