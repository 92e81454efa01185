'use client';
import { withFriction, NUT_FACTORS, torqueSheet, type TorqueLine } from '@/core/weld/torqueSheet';
import type { Friction } from '@/core/job/slices/work/weld';
import { FORCE, TORQUE } from '@/core/units/unit';
import { Button } from 'antd';
import { edit, useJob } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/cards/Card';
import { Pills } from '@/ui/cards/Pills';
import { PaperSheet } from '@/ui/paper/PaperSheet';
import { TorqueRow } from './TorqueRow';
import './torque.css';

const FRICTION_WORDS: Record<Friction, string> = { dry: 'dry', oiled: 'oiled', 'anti-seize': 'anti-seize' };

/** Every fastener with what its torque should be and what the wrench came to. */
export function TorquePart() {
  const job = useJob();
  const lines = torqueSheet(job);
  const friction = job.weld.friction ?? 'dry';
  const within = lines.filter(({ state }) => state === 'within').length;
  const lined = lines.filter(({ striped }) => striped !== null).length;
  return (
    <>
      <div className="no-print">
        <CardHead title="How tight everything is">
          {within} of {lines.length} as wanted, {lined} with their paint line. The vehicle maker’s value comes
          first: type it, and it counts.
        </CardHead>
        <Pills<Friction>
          legend="Threads as they are tightened"
          options={(Object.keys(FRICTION_WORDS) as Friction[]).map((value) => ({
            value,
            label: FRICTION_WORDS[value],
          }))}
          value={friction}
          onPick={(way) => edit((j) => withFriction(j, way))}
        />
        <p className="hint">
          Without a maker’s value: T = K · d · F with K = {NUT_FACTORS[friction]}, F three quarters of the
          proof load of the bolt’s grade, coarse thread. A locking nut’s own drag comes on top.
        </p>
        <ul className="torque-lines">
          {lines.map((line) => (
            <TorqueRow key={line.id} line={line} />
          ))}
        </ul>
        {lines.length === 0 && <p className="hint">Nothing of this car is told that a wrench goes on.</p>}
        <Caution>
          Brakes, steering and what locates the axle: the vehicle maker’s torque and new locking nuts come
          before anything printed here. Again after the first drive.
        </Caution>
        <div className="tools">
          <Button onClick={() => window.print()}>Print the torque sheet</Button>
        </div>
      </div>
      <TorqueSheet lines={lines} />
    </>
  );
}

function TorqueSheet({ lines }: { lines: TorqueLine[] }) {
  const { tape, weld } = useJob();
  return (
    <PaperSheet
      label="Torque sheet"
      title="Torque sheet"
      caution="The vehicle maker’s values come first. Two wrenches; soft bushings on the car’s weight; locker only when the setting is final; again after the first drive."
    >
      <p>
        Threads {FRICTION_WORDS[weld.friction ?? 'dry']}, K = {NUT_FACTORS[weld.friction ?? 'dry']}.
      </p>
      <table>
        <thead>
          <tr>
            <th>Fastener</th>
            <th>Size, grade</th>
            <th>Torque</th>
            <th>Came to</th>
            <th>Locker</th>
            <th>Line</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.id}>
              <td>{line.what}</td>
              <td>{[line.size, line.grade].filter(Boolean).join(', ')}</td>
              <td>
                {line.wanted === null ? 'maker’s' : TORQUE.say(line.wanted, tape)}
                {line.pull !== null && line.maker === null && ` (${FORCE.say(line.pull, tape)} of pull)`}
              </td>
              <td>{line.applied && TORQUE.say(line.applied.value, tape)}</td>
              {([line.locked, line.striped] as const).map((since, i) => (
                <td key={i} className={since === null ? 'box' : undefined}>
                  {since !== null && '✓'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </PaperSheet>
  );
}
