'use client';
import { Checkbox } from 'antd';
import type { GaugeName } from '@/instruments/protocol';
import { steadyValue } from '@/instruments/steady';
import { formatLength } from '@/core/units/length';
import { finer } from '@/core/units/tape';
import { sayValue } from '@/core/units/values';
import { LOW_BATTERY, switchInstruments, takeReading, useInstruments } from '@/store/instruments';
import { useJobPart } from '@/store/jobStore';
import './instruments.css';

const NAMES: Record<GaugeName, string> = {
  laser: 'Laser',
  'angle-gauge': 'Angle gauge',
  scales: 'Scales',
  'torque-wrench': 'Torque wrench',
};

/** The gauge at hand: what it reads, whether it holds still, and one large button that takes it into the field. */
export function InstrumentBar() {
  const { on, mood, target, link, last, values, waiting, note } = useInstruments();
  const tape = useJobPart((j) => j.tape);
  if (!on) return null;
  const steady = target !== null && steadyValue(values, target.unit) !== null;
  const state = !target
    ? 'none'
    : link === 'lost'
      ? 'lost'
      : link === 'off'
        ? 'waking'
        : steady
          ? 'steady'
          : 'moving';
  const say = (value: number) =>
    target?.unit === 'length' && tape !== 'mm'
      ? `${formatLength(value, finer(tape))} in`
      : sayValue(value, target?.unit ?? 'length', tape);
  return (
    <aside className="instrument-bar no-print" data-link={state} aria-label="Gauge">
      <div className="gauge">
        <span className="gauge-name">
          {last ? NAMES[last.gauge] : 'Gauge'} (stand-in)
          {last && last.battery < LOW_BATTERY && <b> battery {last.battery} %</b>}
        </span>
        <span className="gauge-value">{last && link === 'live' ? say(last.value) : '––'}</span>
        <span className="gauge-state" role="status">
          {note ||
            {
              none: 'Pick the place to fill.',
              lost: 'No link. Wait, or type what you read.',
              waking: 'Waking up…',
              steady: `Holds still, for ${target?.label.toLowerCase()}.`,
              moving: 'Moving…',
            }[state]}
        </span>
      </div>
      <button
        type="button"
        className="take"
        disabled={!target || link === 'lost'}
        onPointerDown={(e) => e.preventDefault()}
        onClick={takeReading}
      >
        {waiting ? 'waiting…' : 'Take'}
        <span>F2</span>
      </button>
      <Checkbox
        className="gauge-mood"
        checked={mood === 'moody'}
        onChange={(e) => switchInstruments(true, e.target.checked ? 'moody' : 'good')}
      >
        with dropped links and a low battery
      </Checkbox>
    </aside>
  );
}
