'use client';
import { Input, Modal } from 'antd';
import { useRef, useState } from 'react';
import { STATIONS, type StationId } from '@/core/bench/stationIds';
import { capital } from '@/core/rig/names';
import { SPOTS, spotName } from '@/core/survey/quantities/quantities';
import type { RollPart } from '@/core/roll/analyse';
import { setPreferences, type LocatePart } from '@/store/preferences';
import { redo, undo, useJobStore } from '@/store/jobStore';
import { startJob } from '@/store/shelf';
import { setRocker } from '@/store/rocker';
import './help.css';
import { goTo } from '@/ui/shell/route';

type Find = { name: string; where: string; go: () => void };
type Props = { open: boolean; onClose: () => void; onGo: (station: StationId) => void };

/** Fields by the names a builder would look for, and where they are. */
const FIELDS: [name: string, station: StationId, field: string][] = [
  ['Job name', 'job', 'job-name'],
  ['Car', 'job', 'job-car'],
  ['Panhard frame end, off the floor', 'locate', 'field-panhard/chassis/2'],
  ['Panhard frame end, from the centreline', 'locate', 'field-panhard/chassis/1'],
  ['Panhard frame end, behind the axle', 'locate', 'field-panhard/chassis/0'],
  ['Panhard axle end, off the floor', 'locate', 'field-panhard/axle/2'],
  ['Panhard axle end, from the centreline', 'locate', 'field-panhard/axle/1'],
  ['Panhard axle end, behind the axle', 'locate', 'field-panhard/axle/0'],
  ['Sideways movement allowed', 'locate', 'field-shiftLimit'],
  ['Tube diameter of the bar', 'cut', 'field-cut/od'],
  ['Thread showing, frame end', 'cut', 'field-cut/frame/showing'],
  ['Thread showing, axle end', 'cut', 'field-cut/axle/showing'],
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

/** Finds any value or command by part of its name and goes there. */
export function Finder({ open, onClose, onGo }: Props) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const taken = useRef<Find | null>(null);
  const close = () => {
    setText('');
    setAt(0);
    onClose();
  };
  const all: Find[] = [
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
    ...FIELDS.map(([name, station, id]) => ({
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
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all.filter((f) => words.every((w) => `${f.name} ${f.where}`.toLowerCase().includes(w)));
  // Only once the dialog is gone and has let go of the focus.
  const goWhereTaken = () => {
    taken.current?.go();
    taken.current = null;
  };
  const take = (f: Find | undefined) => {
    if (!f) return;
    taken.current = f;
    close();
  };
  return (
    <Modal
      open={open}
      onCancel={close}
      footer={null}
      title="Find a value or a command"
      destroyOnHidden
      focusTriggerAfterClose={false}
      afterClose={goWhereTaken}
    >
      <Input
        autoFocus
        aria-label="What to find"
        placeholder="track, frame end, undo…"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setAt(0);
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') setAt(Math.min(at + 1, found.length - 1));
          else if (e.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
          else if (e.key === 'Enter') take(found[at]);
          else return;
          e.preventDefault();
        }}
      />
      <div className="finder-list" role="listbox" aria-label="Found">
        {found.map((f, i) => (
          <button
            key={`${f.where}/${f.name}`}
            type="button"
            role="option"
            aria-selected={i === at}
            onClick={() => take(f)}
          >
            {f.name}
            <span className="where">{f.where}</span>
          </button>
        ))}
        {found.length === 0 && (
          <p className="keys-note">Nothing by that name. Try a shorter word, like “tyre”.</p>
        )}
      </div>
    </Modal>
  );
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
