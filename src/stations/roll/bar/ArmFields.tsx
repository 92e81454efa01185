'use client';
import { Button, Segmented } from 'antd';
import { memo } from 'react';
import { armInUse, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { sayLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { putBar } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { BarLength, barsAlikeIn, type BarProps } from './BarLength';

/** Its levers, and which hole the links are in. */
export const ArmFields = memo(
  function ArmFields({ bar }: BarProps) {
    const tape = useJobPart((j) => j.tape);
    const plates = (change: Partial<BarDesign['arms']>, field?: string, typed?: string | null) =>
      putBar({ arms: { ...bar.arms, ...change } }, field, typed);
    return (
      <section className="section">
        <h2>Arms</h2>
        <div className="two-up">
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
                ? `last hole of ${bar.holes}`
                : `hole ${bar.hole + 1} of ${bar.holes}, arm ${sayLength(armInUse(bar), tape)}`}
            </span>
            <Button
              aria-label="One hole nearer to the middle"
              disabled={bar.hole >= bar.holes - 1}
              onClick={() => putBar({ hole: bar.hole + 1 })}
            >
              +
            </Button>
          </div>
          <Segmented<BarDesign['pointing']>
            aria-label="Where its arms point"
            options={[
              { value: 'ahead', label: 'arms ahead' },
              { value: 'back', label: 'arms back' },
            ]}
            value={bar.pointing}
            onChange={(pointing) => putBar({ pointing })}
          />
          <BarLength bar={bar} of="arm" label="Along the car, to the last hole" least={60} most={700} />
          <BarLength bar={bar} of="eyes" label="Eye to eye, across" least={200} most={2200} />
          <BarLength
            bar={bar}
            of="rise"
            label="Eyes, from the middle"
            least={-300}
            most={300}
            ways={['above', 'below']}
          />
          <NumberField
            field="roll/holes"
            label="Holes in each arm"
            showLabel
            value={bar.holes}
            least={1}
            most={20}
            unit=""
            decimals={0}
            whole
            onEnter={(holes) => putBar({ holes, hole: Math.min(bar.hole, holes - 1) })}
          />
          <BarLength bar={bar} of="pitch" label="Hole to hole" least={5} most={100} />
        </div>
        {bar.made === 'arms' && (
          <>
            <h3>Flat arms</h3>
            <div className="two-up">
              {(['height', 'thickness'] as const).map((key) => (
                <LengthField
                  key={key}
                  field={`roll/arms/${key}`}
                  label={key === 'height' ? 'Height of the plate' : 'Thickness'}
                  showLabel
                  mm={bar.arms[key]}
                  least={3}
                  most={200}
                  onEnter={(mm, typed) => plates({ [key]: mm }, `roll/arms/${key}`, typed)}
                />
              ))}
              <NumberField
                field="roll/arms/turned"
                label="Turned: 0 on edge, 90 flat"
                showLabel
                value={bar.arms.turned}
                least={0}
                most={90}
                unit="°"
                decimals={0}
                onEnter={(turned, typed) => plates({ turned }, 'roll/arms/turned', typed)}
              />
              <NumberField
                field="roll/arms/teeth"
                label="Teeth of the spline"
                showLabel
                value={bar.arms.teeth}
                least={6}
                most={200}
                unit=""
                decimals={0}
                placeholder="none"
                whole
                onEnter={(teeth) => plates({ teeth })}
                onClear={() => plates({ teeth: null })}
              />
            </div>
            <p className="hint">
              On edge the arms are stiff and the bar does the work; turned flat they bend: one bar, many
              rates.
            </p>
          </>
        )}
      </section>
    );
  },
  barsAlikeIn('made', 'arms', 'hole', 'holes', 'pitch', 'arm', 'eyes', 'rise', 'pointing'),
);
