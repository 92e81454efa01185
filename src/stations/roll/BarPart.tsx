'use client';
import { Button, Segmented, Select } from 'antd';
import { STOCK, usualBar, type BarDesign } from '@/core/roll/design';
import { formatDecimal, formatLength } from '@/core/units/format';
import type { Tape } from '@/core/units/tape';
import { edit, useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/LengthField';
import { putBar } from './design';

type LengthKey = 'eyes' | 'middle' | 'arm' | 'pitch' | 'height' | 'bushings' | 'link' | 'ahead';

const LENGTHS: [key: LengthKey, label: string, least: number, most: number][] = [
  ['eyes', 'Eye to eye, across', 200, 2200],
  ['middle', 'Straight middle, bend to bend', 150, 2200],
  ['bushings', 'Bushing to bushing', 100, 2200],
  ['arm', 'Arm, along the car to the last hole', 60, 700],
  ['height', 'Middle off the floor', 50, 1200],
  ['ahead', 'Middle, from the axle', -1500, 1500],
  ['link', 'End link, eye to eye', 30, 500],
  ['pitch', 'Hole to hole', 5, 100],
];

/** The sway bar, as a builder would say it; or none, which is a school of its own. */
export function BarPart() {
  const job = useJob();
  const { bar } = job.roll;
  const set = (next: BarDesign | null) => edit((j) => ({ ...j, roll: { ...j.roll, bar: next } }));
  if (!bar)
    return (
      <section className="section">
        <h2>Sway bar</h2>
        <p>
          None. With a well-set bar across the car, springs and shocks, many want no more behind; others trim
          the balance with one, and run softer springs for it.
        </p>
        <Button type="primary" onClick={() => set(usualBar(job.rig))}>
          Fit a bar
        </Button>
      </section>
    );
  return (
    <section className="section">
      <h2>Sway bar</h2>
      <div className="two-up">
        <Stock bar={bar} tape={job.tape} />
        <Segmented<BarDesign['mountedOn']>
          aria-label="What carries the bar"
          options={[
            { value: 'chassis', label: 'on the frame' },
            { value: 'axle', label: 'on the axle' },
          ]}
          value={bar.mountedOn}
          onChange={(mountedOn) => putBar({ mountedOn })}
        />
        <Segmented<BarDesign['pointing']>
          aria-label="Where its arms point"
          options={[
            { value: 'ahead', label: 'arms ahead' },
            { value: 'back', label: 'arms back' },
          ]}
          value={bar.pointing}
          onChange={(pointing) => putBar({ pointing })}
        />
        <div className="hole-choice" role="group" aria-label="Hole in use">
          <Button
            aria-label="One hole nearer to the end"
            disabled={bar.hole === 0}
            onClick={() => putBar({ hole: bar.hole - 1 })}
          >
            −
          </Button>
          <span data-readout="hole">
            {bar.hole === 0
              ? 'last hole'
              : `hole ${bar.hole + 1}, ${formatLength(bar.hole * bar.pitch, job.tape)} in`}
          </span>
          <Button aria-label="One hole nearer to the middle" onClick={() => putBar({ hole: bar.hole + 1 })}>
            +
          </Button>
        </div>
        {LENGTHS.map(([key, label, least, most]) => (
          <LengthField
            key={key}
            field={`roll/${key}`}
            label={label}
            showLabel
            mm={bar[key]}
            least={least}
            most={most}
            ways={key === 'ahead' ? ['ahead', 'behind'] : undefined}
            onEnter={(mm, typed) => putBar({ [key]: mm }, `roll/${key}`, typed)}
          />
        ))}
        <LengthField
          field="roll/dip"
          label="Dip of the middle"
          showLabel
          mm={bar.dip.depth}
          least={-300}
          most={300}
          ways={['down', 'up']}
          onEnter={(depth, typed) => putBar({ dip: { ...bar.dip, depth } }, 'roll/dip', typed)}
        />
        <LengthField
          field="roll/dipWidth"
          label="Dip, how wide"
          showLabel
          mm={bar.dip.width}
          least={40}
          most={1000}
          onEnter={(width, typed) => putBar({ dip: { ...bar.dip, width } }, 'roll/dipWidth', typed)}
        />
      </div>
      <Button onClick={() => set(null)}>Run without a bar</Button>
    </section>
  );
}

const stockName = ({ od, wall }: (typeof STOCK)[number], tape: Tape): string =>
  `${tape === 'mm' ? formatDecimal(od, tape) : formatLength(od, 'in32')} ${wall === null ? 'solid' : `× ${formatDecimal(wall, tape)} tube`}`;

/** Round stock by its standard sizes. */
function Stock({ bar, tape }: { bar: BarDesign; tape: Tape }) {
  const at = STOCK.findIndex(
    (s) => Math.abs(s.od - bar.od) < 0.01 && (s.wall === null) === (bar.wall === null),
  );
  return (
    <Select<number>
      aria-label="Size of the bar"
      value={at}
      options={[
        ...(at < 0 ? [{ value: -1, label: `${formatDecimal(bar.od, tape)}` }] : []),
        ...STOCK.map((s, value) => ({ value, label: stockName(s, tape) })),
      ]}
      onChange={(i) => i >= 0 && putBar(STOCK[i]!)}
    />
  );
}
