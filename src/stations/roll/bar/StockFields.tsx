'use client';
import { Segmented, Select } from 'antd';
import { memo } from 'react';
import { BAR_KINDS, type BarDesign } from '@/core/swaybar/swayBarDesign';
import { STEEL_NAMES, STEELS, type SteelName } from '@/core/materials/steels';
import { formatDecimal, formatLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import { putBar } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { barsAlikeIn, type BarProps } from './BarLength';
import { STOCK } from '@/core/materials/stockSizes';

const stockName = ({ od, wall }: { od: number; wall: number | null }, tape: Tape): string =>
  `${tape === 'mm' ? formatDecimal(od, tape) : formatLength(od, 'in32')} ${wall === null ? 'solid' : `× ${formatDecimal(wall, tape)} tube`}`;

const KIND_NAMES: Record<BarDesign['made'], string> = { 'one-piece': 'bent in one', arms: 'flat arms' };

/** What it is made of, how, and what carries it. */
export const StockFields = memo(
  function StockFields({ bar }: BarProps) {
    const tape = useJobPart((j) => j.tape);
    const at = STOCK.findIndex(
      (s) => Math.abs(s.od - bar.od) < 0.01 && Math.abs((s.wall ?? 0) - (bar.wall ?? 0)) < 0.01,
    );
    return (
      <section className="section">
        <h2>The bar</h2>
        <div className="two-up">
          <Select<number>
            aria-label="Size of the bar"
            value={at}
            options={[
              ...(at < 0 ? [{ value: -1, label: stockName(bar, tape) }] : []),
              ...STOCK.map((s, value) => ({ value, label: stockName(s, tape) })),
            ]}
            onChange={(i) => i >= 0 && putBar(STOCK[i]!)}
          />
          <Select<SteelName>
            aria-label="Steel"
            value={bar.steel}
            options={STEEL_NAMES.map((value) => ({ value, label: STEELS[value].name }))}
            onChange={(steel) => putBar({ steel })}
          />
          <LengthField
            field="roll/od"
            label="Diameter"
            showLabel
            decimal
            mm={bar.od}
            least={6}
            most={90}
            onEnter={(od, typed) => putBar({ od }, 'roll/od', typed)}
          />
          <LengthField
            field="roll/wall"
            label="Wall"
            showLabel
            decimal
            mm={bar.wall}
            least={0.5}
            most={bar.od / 2}
            placeholder="solid"
            onEnter={(wall, typed) => putBar({ wall: wall < bar.od / 2 ? wall : null }, 'roll/wall', typed)}
            onClear={() => putBar({ wall: null }, 'roll/wall', null)}
          />
          <Segmented<BarDesign['made']>
            aria-label="How it is made"
            options={BAR_KINDS.map((value) => ({ value, label: KIND_NAMES[value] }))}
            value={bar.made}
            onChange={(made) => putBar({ made })}
          />
          <Segmented<BarDesign['mountedOn']>
            aria-label="What carries the bar"
            options={[
              { value: 'chassis', label: 'on the frame' },
              { value: 'axle', label: 'on the axle' },
            ]}
            value={bar.mountedOn}
            onChange={(mountedOn) => putBar({ mountedOn })}
          />
        </div>
      </section>
    );
  },
  barsAlikeIn('od', 'wall', 'steel', 'made', 'mountedOn'),
);
