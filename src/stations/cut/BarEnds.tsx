'use client';
import { Select } from 'antd';
import type { BarCut } from '@/core/cut/barCut';
import { holeSaw, saddleDepth } from '@/core/fabricate/saddle';
import { withBarrel, withEndKind, withEye } from '@/core/job/edits/parts/ends';
import { withParts } from '@/core/job/edits/parts/parts';
import {
  BAR_ENDS,
  bodyAt,
  endKindOf,
  END_KINDS,
  heightOf,
  isPlateBar,
  type BarEndName,
  type EndKind,
} from '@/core/job/made/parts';
import type { BarEye } from '@/core/job/slices/parts';
import { jointsOf } from '@/core/materials/joints';
import { sayLength } from '@/core/units/length';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';

const KINDS: Record<EndKind, string> = {
  threaded: 'threaded, for a rod end or joint',
  clevis: 'threaded, for a fork on a pin',
  barrel: 'welded to a barrel with a bushing',
  eye: 'plain eye of one plate, on a pin',
  fork: 'fork of two plates, on a pin',
};

const SIZES: { key: Exclude<keyof BarEye, 'kind'>; label: string; most: number }[] = [
  { key: 'plate', label: 'Plate', most: 50 },
  { key: 'width', label: 'Width at the hole', most: 200 },
  { key: 'reach', label: 'Hole to the end of the bar', most: 400 },
  { key: 'lap', label: 'Lap on the bar', most: 400 },
];

/** Less than this no notcher is turned, degrees. */
const SQUARE = 0.25;

/** How a hole saw stands to the tube. */
const sayLean = (deg: number): string =>
  deg < SQUARE
    ? 'square to the tube'
    : `turned ${deg.toFixed(1)}° from square, as the bar leans from its bolt`;

/** What each end of a bar is, and how the bar is prepared for it. */
export function BarEnds({ part, sawn }: { part: string; sawn: BarCut }) {
  return (
    <section className="section cut-kinds">
      <h2>What its ends are</h2>
      {BAR_ENDS.map((end) => (
        <OneEnd key={end} part={part} end={end} sawn={sawn} />
      ))}
    </section>
  );
}

function OneEnd({ part, end, sawn }: { part: string; end: BarEndName; sawn: BarCut }) {
  const { bar, ends } = sawn;
  const eye = bar.eyes[end];
  const joint = useJobPart((j) => jointsOf(j.joints, part)[bodyAt(end)]);
  const kind = endKindOf(bar, end, joint);
  const name = `${end} end`;
  return (
    <div data-end={end}>
      <label>
        <span className="length-label">{name[0]!.toUpperCase() + name.slice(1)}</span>
        <Select<EndKind>
          aria-label={`What its ${name} is`}
          value={kind}
          onChange={(next) => edit((j) => withEndKind(j, part, end, next))}
          options={END_KINDS.map((value) => ({ value, label: KINDS[value] }))}
        />
      </label>
      <Barrel part={part} end={end} sawn={sawn} />
      {eye && !isPlateBar(bar) && (
        <div className="cut-eye">
          {SIZES.map(({ key, label, most }) => (
            <LengthField
              key={key}
              field={`parts/${part}/eyes/${end}/${key}`}
              label={`${label}, ${name}`}
              showLabel
              mm={eye[key]}
              least={1}
              most={most}
              onEnter={(mm, typed) =>
                enter(`parts/${part}/eyes/${end}/${key}`, typed, (j) =>
                  withParts(j, { bars: { [part]: withEye(bar, end, { ...eye, [key]: mm }) } }),
                )
              }
            />
          ))}
        </div>
      )}
      {ends[end].kind === 'eye' && (
        <p className="hint">Cut in one piece with the bar, round its hole by half of the bar’s height.</p>
      )}
      {(eye || kind === 'clevis') && (
        <p className="hint">
          It turns about its pin alone: where the axle leans, a bar with both ends so twists, or its holes
          wear.
        </p>
      )}
    </div>
  );
}

function Barrel({ part, end, sawn }: { part: string; end: BarEndName; sawn: BarCut }) {
  const tape = useJobPart((j) => j.tape);
  const { bar, ends } = sawn;
  const barrel = bar.barrels[end];
  const cut = ends[end];
  if (!barrel || bar.eyes[end]) return null;
  const isTooWide = bar.section.shape !== 'flat' && bar.section.od > barrel.od + 1e-9;
  return (
    <>
      <LengthField
        field={`parts/${part}/barrels/${end}`}
        label={`Barrel at the ${end} end, outside`}
        showLabel
        mm={barrel.od}
        least={10}
        most={200}
        onEnter={(od, typed) =>
          enter(`parts/${part}/barrels/${end}`, typed, (j) =>
            withParts(j, { bars: { [part]: withBarrel(bar, end, od) } }),
          )
        }
      />
      {isTooWide && (
        <p className="field-problem" role="alert">
          The tube is wider than this barrel, {sayLength(heightOf(bar.section), tape)}: it cannot be notched
          to it. Cut it square and cap it, or take a larger barrel.
        </p>
      )}
      {cut.kind === 'saddle' && (
        <p className="hint" data-saddle={end}>
          Notch {sayLength(saddleDepth(cut.saddle).depth, tape)} deep; the rule of a quarter of the diameter
          says {sayLength(saddleDepth(cut.saddle).rule, tape)}. Hole saw{' '}
          {sayLength(holeSaw(cut.saddle).size, tape)}, {sayLean(holeSaw(cut.saddle).angleDeg)}, through its
          middle. Bevel its outside before welding; weld with a mock-up bushing, not the real one.
        </p>
      )}
    </>
  );
}
