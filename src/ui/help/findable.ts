import { STATIONS, type StationId } from '@/core/bench/stationIds';
import { capital, memberName } from '@/core/rig/names';
import { PANHARD } from '@/core/rig/roles';
import type { RollPart } from '@/core/roll/analyse';
import { SPOTS, spotName } from '@/core/survey/quantities/quantities';
import { redo, undo, useJobStore } from '@/store/jobStore';
import { setPreferences, type LocatePart } from '@/store/preferences';
import { setRocker } from '@/store/rocker';
import { startJob } from '@/store/storage/shelf';
import { goTo } from '@/ui/shell/route';

/** A value or a command: its name, where it is, and what goes there or does it. */
export type Find = { name: string; where: string; go: () => void };

/** Places of the bar across the car, which is called after the end of the car it is at. */
const ACROSS: [what: string, field: string][] = [
  ['frame end, off the floor', 'chassis/2'],
  ['frame end, from the centreline', 'chassis/1'],
  ['frame end, behind the axle', 'chassis/0'],
  ['axle end, off the floor', 'axle/2'],
  ['axle end, from the centreline', 'axle/1'],
  ['axle end, behind the axle', 'axle/0'],
];

/** Fields by the names a builder would look for, and where they are. */
const FIELDS: [name: string, station: StationId, field: string][] = [
  ['Job name', 'job', 'job-name'],
  ['Car', 'job', 'job-car'],
  ['Sideways movement allowed', 'locate', 'field-shiftLimit'],
  ['Tube diameter of the bar', 'cut', 'field-cut/od'],
  ['Thread showing, frame end', 'cut', 'field-cut/frame/showing'],
  ['Thread showing, axle end', 'cut', 'field-cut/axle/showing'],
  ['Strength of a bar: tube, metal, thread', 'prove', 'prove-parts'],
  ['Strength of a bracket: plate, hole, bolt, weld', 'prove', 'prove-parts'],
  ['Strength of the steel, certificate', 'prove', 'prove-reckoned'],
  ['Jig: pins, clocking', 'cut', 'cut-jig'],
  ['Plates on sheets, nesting', 'cut', 'cut-sheets'],
  ['Frame on its stands, left', 'place', 'field-place/held.left'],
  ['Frame on its stands, right', 'place', 'field-place/held.right'],
  ['Ride height to build for', 'place', 'field-place/rideHeight'],
  ['Gap left, on the ground', 'ride', 'field-ride/left'],
  ['Gap right, on the ground', 'ride', 'field-ride/right'],
];

/** What Locate is about, by the words it would be looked for. */
const PARTS: [name: string, focus: LocatePart][] = [
  ['Sideways: bar, roll centre', 'bar'],
  ['Lengthwise: links, anti-squat, roll steer, pinion, bind', 'links'],
  ['Room: driveshaft, slip yoke, tank, exhaust, clearance', 'room'],
  ['Forces: loads, weight of the car', 'forces'],
  ['Heights: lowered, settled, loaded', 'heights'],
  ['Find: where the mounts go', 'find'],
  ['Ways to build it: other layouts side by side, the one chosen and why', 'ways'],
];

/** What Roll is about, by the words it would be looked for, and the field that says it. */
const ROLL: [name: string, part: RollPart, field?: string][] = [
  ['Springs: coil, leaf, air, shocks, bump stops', 'springs'],
  ['Rate of the springs', 'springs', 'field-roll/rate'],
  ['Sway bar: size, arms, dips, end links, pins', 'bar'],
  ['Sway bar, off the floor', 'bar', 'field-roll/height'],
  ['Sway bar, length of its arms', 'bar', 'field-roll/arm'],
  ['End link, eye to eye', 'bar', 'field-roll/link'],
  ['Find a sway bar of stock size', 'bar', 'field-find/rate'],
  ['Balance: lean, load transfer, tight or loose, schools', 'balance'],
  ['After the first laps: it pushed, the tail came out', 'balance'],
  ['How hard it corners, g', 'balance', 'field-roll/cornerG'],
  ['Stiffness of the other end', 'balance', 'field-other/rollRate'],
];

function acrossTheCar(): typeof FIELDS {
  const bar = capital(memberName(PANHARD, useJobStore.getState().job!.rig.end));
  return ACROSS.map(([what, field]) => [`${bar}, ${what}`, 'locate', `field-${PANHARD}/${field}`]);
}

/** Every value and command that can be gone to, station by station. */
export function findable(onGo: (station: StationId) => void): Find[] {
  return [
    ...STATIONS.map((s) => ({
      name: `Go to ${capital(s)}`,
      where: 'station',
      go: () => onGo(s),
    })),
    ...SPOTS.map((spot) => ({
      name: spotName(spot),
      where: 'record',
      go: () => {
        setPreferences({ record: 'measure', sheet: false, readingAt: spot.key });
        onGo('record');
        focusWhenThere(`field-reading/${spot.key}`);
      },
    })),
    ...[...acrossTheCar(), ...FIELDS].map(([name, station, id]) => ({
      name,
      where: station,
      go: () => {
        if (station === 'locate') setPreferences({ focus: 'bar' });
        onGo(station);
        focusWhenThere(id);
      },
    })),
    ...PARTS.map(([name, focus]) => ({
      name,
      where: 'locate',
      go: () => {
        setPreferences({ focus });
        onGo('locate');
      },
    })),
    ...ROLL.map(([name, part, field]) => ({
      name,
      where: 'roll',
      go: () => {
        setPreferences({ roll: part });
        onGo('roll');
        if (field) focusWhenThere(field);
      },
    })),
    { name: 'New job', where: 'command', go: () => void newJob() },
    { name: 'Undo', where: 'command', go: undo },
    { name: 'Redo', where: 'command', go: redo },
    { name: 'Back to ride height', where: 'command', go: () => setRocker(0, 0) },
    { name: 'Print this card', where: 'command', go: () => window.print() },
  ];
}

/** A job with nothing measured yet, on the bench and at the station where it is measured. */
async function newJob(): Promise<void> {
  const tape = useJobStore.getState().job?.tape ?? 'in16';
  goTo(await startJob('New job', tape), 'record');
}

/** The card of another station needs a moment to be there. */
function focusWhenThere(id: string, tries = 20): void {
  const field = document.getElementById(id);
  if (field) field.focus();
  else if (tries > 0) setTimeout(() => focusWhenThere(id, tries - 1), 50);
}
