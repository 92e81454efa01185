'use client';
import { Checkbox, Select } from 'antd';
import { memo } from 'react';
import { useJobPart } from '@/store/jobStore';
import { putBar } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { BarLength, barsAlikeIn, type BarProps } from './BarLength';
import { SPRING_RATE } from '@/core/units/unit';

/** Where the middle lies and how it is held. */
export const MiddleFields = memo(
  function MiddleFields({ bar }: BarProps) {
    const tape = useJobPart((j) => j.tape);
    return (
      <section className="section">
        <h2>The middle</h2>
        <div className="two-up">
          <BarLength bar={bar} of="height" label="Off the floor" least={50} most={1200} />
          <BarLength
            bar={bar}
            of="ahead"
            label="From the axle"
            least={-1500}
            most={1500}
            ways={['ahead', 'behind']}
          />
          <BarLength
            bar={bar}
            of="middle"
            label={bar.made === 'arms' ? 'Arm to arm' : 'Straight, bend to bend'}
            least={150}
            most={2200}
          />
          <BarLength bar={bar} of="bushings" label="Bushing to bushing" least={100} most={2200} />
          <Select<string>
            aria-label="How hard the bushings are"
            value={bar.bushingRate === null ? 'rigid' : String(bar.bushingRate)}
            options={[
              { value: 'rigid', label: 'Bushings: metal or hard poly' },
              { value: '4000', label: 'Bushings: poly' },
              { value: '1200', label: 'Bushings: rubber' },
              ...(bar.bushingRate !== null && ![4000, 1200].includes(bar.bushingRate)
                ? [{ value: String(bar.bushingRate), label: 'Bushings: by their rate' }]
                : []),
            ]}
            onChange={(v) => putBar({ bushingRate: v === 'rigid' ? null : Number(v) })}
          />
          <NumberField
            field="roll/bushingRate"
            label="Each gives way by"
            showLabel
            value={bar.bushingRate === null ? null : SPRING_RATE.shown(bar.bushingRate, tape)}
            least={50}
            most={1_000_000}
            unit={SPRING_RATE.sign(tape)}
            decimals={0}
            placeholder="nothing"
            onEnter={(shown, typed) =>
              putBar({ bushingRate: SPRING_RATE.read(shown, tape) }, 'roll/bushingRate', typed)
            }
            onClear={() => putBar({ bushingRate: null }, 'roll/bushingRate', null)}
          />
        </div>
        <Checkbox
          className="tick"
          checked={bar.housing !== null}
          onChange={(e) => putBar({ housing: e.target.checked ? bar.od + 6.35 : null })}
        >
          Runs in a tube through the frame
        </Checkbox>
        {bar.housing !== null && (
          <LengthField
            field="roll/housing"
            label="Outside of that tube"
            showLabel
            mm={bar.housing}
            least={bar.od}
            most={200}
            onEnter={(housing, typed) => putBar({ housing }, 'roll/housing', typed)}
            onClear={() => putBar({ housing: null }, 'roll/housing', null)}
          />
        )}
      </section>
    );
  },
  barsAlikeIn('od', 'made', 'height', 'ahead', 'middle', 'bushings', 'bushingRate', 'housing'),
);
