'use client';
import { Button, Checkbox } from 'antd';
import { usualShock, usualStop, type ShockDesign, type StopDesign } from '@/core/springs/springDesign';
import { useJob } from '@/store/jobStore';
import { putRoll } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { StandFields } from './StandFields';
import { SPRING_RATE } from '@/core/units/unit';

/** The shock: in the spring, as a coil-over, or on mounts of its own. */
export function ShockFields() {
  const { roll, rig } = useJob();
  const { shock, springs } = roll;
  const put = (change: Partial<ShockDesign>, field?: string, typed?: string) =>
    putRoll((r) => (r.shock ? { shock: { ...r.shock, ...change } } : {}), field, typed);
  if (!shock)
    return (
      <section className="section">
        <h2>Shocks</h2>
        <p className="hint">Their closed and open length tell whether they bottom or hang the axle.</p>
        <Button onClick={() => putRoll(() => ({ shock: usualShock }))}>Add the shocks</Button>
      </section>
    );
  const inSpring = springs !== null && springs.kind === 'coil';
  return (
    <section className="section">
      <h2>Shocks, each</h2>
      <div className="two-up">
        {(['closed', 'open'] as const).map((key) => (
          <LengthField
            key={key}
            field={`roll/shock/${key}`}
            label={key === 'closed' ? 'Closed, eye to eye' : 'Open, eye to eye'}
            showLabel
            mm={shock[key]}
            least={50}
            most={1500}
            onEnter={(mm, typed) => put({ [key]: mm }, `roll/shock/${key}`, typed)}
          />
        ))}
        <LengthField
          field="roll/shock/od"
          label="Diameter"
          showLabel
          mm={shock.od}
          least={10}
          most={200}
          onEnter={(od, typed) => put({ od }, 'roll/shock/od', typed)}
        />
      </div>
      <Checkbox
        className="tick"
        checked={shock.apart === null}
        onChange={(e) => put({ apart: e.target.checked ? null : usualStands(rig.track, rig.tireRadius) })}
      >
        {inSpring ? 'Stands inside its spring: a coil-over' : 'Stands beside its spring'}
      </Checkbox>
      {springs?.kind === 'leaf' && shock.apart === null && (
        <p className="hint">A shock beside a leaf has mounts of its own: take the tick away to place them.</p>
      )}
      {shock.apart && (
        <StandFields
          name="roll/shock"
          stands={shock.apart}
          onPut={(change, field, typed) => put({ apart: { ...shock.apart!, ...change } }, field, typed)}
        />
      )}
      <Button onClick={() => putRoll(() => ({ shock: null }))}>Leave the shocks out</Button>
    </section>
  );
}

const usualStands = (track: number, tireRadius: number) => ({
  frame: { out: Math.round(0.28 * track), ahead: -110, height: tireRadius + 340 },
  axle: { out: Math.round(0.36 * track), ahead: -80, height: tireRadius - 60 },
});

const STOP_LENGTHS = [
  ['gap', 'Axle rises before it touches', 0, 400],
  ['out', 'From the centreline', 50, 1500],
  ['height', 'Height of the rubber', 5, 300],
] as const;

/** The bump stop between axle and frame. */
export function StopFields() {
  const { roll, rig, tape } = useJob();
  const { stop } = roll;
  const put = (change: Partial<StopDesign>, field?: string, typed?: string) =>
    putRoll((r) => (r.stop ? { stop: { ...r.stop, ...change } } : {}), field, typed);
  if (!stop)
    return (
      <section className="section">
        <h2>Bump stops</h2>
        <p className="hint">What stops the axle before metal does.</p>
        <Button onClick={() => putRoll(() => ({ stop: usualStop(rig) }))}>Add bump stops</Button>
      </section>
    );
  return (
    <section className="section">
      <h2>Bump stops, each</h2>
      <div className="two-up">
        {STOP_LENGTHS.map(([key, label, least, most]) => (
          <LengthField
            key={key}
            field={`roll/stop/${key}`}
            label={label}
            showLabel
            mm={stop[key]}
            least={least}
            most={most}
            onEnter={(mm, typed) => put({ [key]: mm }, `roll/stop/${key}`, typed)}
          />
        ))}
        <NumberField
          field="roll/stop/rate"
          label="Rate at first touch"
          showLabel
          value={SPRING_RATE.shown(stop.rate, tape)}
          least={1}
          most={20_000}
          unit={SPRING_RATE.sign(tape)}
          decimals={0}
          onEnter={(shown, typed) => put({ rate: SPRING_RATE.read(shown, tape) }, 'roll/stop/rate', typed)}
        />
      </div>
      <Button onClick={() => putRoll(() => ({ stop: null }))}>Leave the stops out</Button>
    </section>
  );
}
