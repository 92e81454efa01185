'use client';
import { Button, Segmented, Select } from 'antd';
import { memo } from 'react';
import type { BarResult } from '@/core/roll/analyse';
import { armInUse, BAR_KINDS, linkHeight, type BarDesign } from '@/core/roll/barDesign';
import { BOLTS, LINK_JOINT_NAMES, LINK_JOINTS, type LinkEnd } from '@/core/roll/linkJoints';
import { STEEL_NAMES, STEELS, STOCK, type SteelName } from '@/core/roll/steel';
import { formatDecimal, formatDegrees, formatLength, sayLength } from '@/core/units/format';
import { rateUnit, readRate, showRate } from '@/core/units/rates';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import { putBar } from '@/store/roll';
import { LengthField, type Ways } from '@/ui/LengthField';
import { NumberField } from '@/ui/NumberField';

type Props = { bar: BarDesign };
type LengthKey =
  'od' | 'eyes' | 'middle' | 'arm' | 'rise' | 'pitch' | 'height' | 'bushings' | 'link' | 'ahead';

/** What does not show a value of the bar need not be drawn again when that is dragged. */
const barsAlikeIn =
  (...keys: (keyof BarDesign)[]) =>
  ({ bar: a }: Props, { bar: b }: Props): boolean =>
    keys.every((key) => a[key] === b[key]);

/** A length of the bar. */
function Length({
  bar,
  of,
  label,
  least,
  most,
  ways,
}: Props & { of: LengthKey; label: string; least: number; most: number; ways?: Ways }) {
  return (
    <LengthField
      field={`roll/${of}`}
      label={label}
      showLabel
      mm={bar[of]}
      least={least}
      most={most}
      ways={ways}
      onEnter={(mm, typed) => putBar({ [of]: mm }, `roll/${of}`, typed)}
    />
  );
}

const stockName = ({ od, wall }: { od: number; wall: number | null }, tape: Tape): string =>
  `${tape === 'mm' ? formatDecimal(od, tape) : formatLength(od, 'in32')} ${wall === null ? 'solid' : `× ${formatDecimal(wall, tape)} tube`}`;

const KIND_NAMES: Record<BarDesign['made'], string> = { 'one-piece': 'bent in one', arms: 'flat arms' };

/** What it is made of, how, and what carries it. */
export const StockFields = memo(
  function StockFields({ bar }: Props) {
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

/** Its levers, and which hole the links are in. */
export const ArmFields = memo(
  function ArmFields({ bar }: Props) {
    const tape = useJobPart((j) => j.tape);
    const plates = (change: Partial<BarDesign['arms']>, field?: string, typed?: string) =>
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
          <Length bar={bar} of="arm" label="Along the car, to the last hole" least={60} most={700} />
          <Length bar={bar} of="eyes" label="Eye to eye, across" least={200} most={2200} />
          <Length
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
            onEnter={(n) => putBar({ holes: Math.round(n), hole: Math.min(bar.hole, Math.round(n) - 1) })}
          />
          <Length bar={bar} of="pitch" label="Hole to hole" least={5} most={100} />
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
                onEnter={(turned) => plates({ turned })}
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
                onEnter={(n) => plates({ teeth: Math.round(n) })}
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

/** Where the middle lies and how it is held. */
export const MiddleFields = memo(
  function MiddleFields({ bar }: Props) {
    const tape = useJobPart((j) => j.tape);
    return (
      <section className="section">
        <h2>The middle</h2>
        <div className="two-up">
          <Length bar={bar} of="height" label="Off the floor" least={50} most={1200} />
          <Length
            bar={bar}
            of="ahead"
            label="From the axle"
            least={-1500}
            most={1500}
            ways={['ahead', 'behind']}
          />
          <Length
            bar={bar}
            of="middle"
            label={bar.made === 'arms' ? 'Arm to arm' : 'Straight, bend to bend'}
            least={150}
            most={2200}
          />
          <Length bar={bar} of="bushings" label="Bushing to bushing" least={100} most={2200} />
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
            value={bar.bushingRate === null ? null : showRate(bar.bushingRate, tape)}
            least={50}
            most={1_000_000}
            unit={rateUnit(tape)}
            decimals={0}
            placeholder="nothing"
            onEnter={(shown) => putBar({ bushingRate: readRate(shown, tape) })}
          />
        </div>
        <label className="tick">
          <input
            type="checkbox"
            checked={bar.housing !== null}
            onChange={(e) => putBar({ housing: e.target.checked ? bar.od + 6.35 : null })}
          />
          Runs in a tube through the frame
        </label>
        {bar.housing !== null && (
          <LengthField
            field="roll/housing"
            label="Outside of that tube"
            showLabel
            mm={bar.housing}
            least={bar.od}
            most={200}
            onEnter={(housing, typed) => putBar({ housing }, 'roll/housing', typed)}
          />
        )}
      </section>
    );
  },
  barsAlikeIn('od', 'made', 'height', 'ahead', 'middle', 'bushings', 'bushingRate', 'housing'),
);

const MOST_DIPS = 3;

/** Dips and humps of the middle, for exhaust, differential and driveshaft. */
export const DipFields = memo(
  function DipFields({ bar }: Props) {
    const put = (i: number, change: Partial<BarDesign['dips'][number]>, field: string, typed: string) =>
      putBar({ dips: bar.dips.map((d, k) => (k === i ? { ...d, ...change } : d)) }, field, typed);
    return (
      <section className="section">
        <h2>Dips</h2>
        {bar.dips.map((dip, i) => (
          <div className="dip-row" key={i}>
            <LengthField
              field={`roll/dip/${i}/depth`}
              label="How deep"
              showLabel
              mm={dip.depth}
              least={-400}
              most={400}
              ways={['down', 'up']}
              onEnter={(depth, typed) => put(i, { depth }, `roll/dip/${i}/depth`, typed)}
            />
            <LengthField
              field={`roll/dip/${i}/width`}
              label="Wide at its bottom"
              showLabel
              mm={dip.width}
              least={20}
              most={1500}
              onEnter={(width, typed) => put(i, { width }, `roll/dip/${i}/width`, typed)}
            />
            <LengthField
              field={`roll/dip/${i}/at`}
              label="Its middle"
              showLabel
              mm={dip.at}
              least={-900}
              most={900}
              ways={['left', 'right']}
              onEnter={(at, typed) => put(i, { at }, `roll/dip/${i}/at`, typed)}
            />
            <Button
              aria-label={`Straighten dip ${i + 1}`}
              onClick={() => putBar({ dips: bar.dips.filter((_, k) => k !== i) })}
            >
              ×
            </Button>
          </div>
        ))}
        {bar.made === 'arms' ? (
          <p className="hint">
            A bar with arms of its own is mostly straight: it can then be turned end for end.
          </p>
        ) : null}
        <Button
          disabled={bar.dips.length >= MOST_DIPS}
          onClick={() => putBar({ dips: [...bar.dips, { at: 0, depth: 100, width: 200 }] })}
        >
          Dip the middle
        </Button>
      </section>
    );
  },
  barsAlikeIn('made', 'dips'),
);

/** The end links: how long, how they stand, what they are joined with, and what that comes to in travel. */
export function LinkFields({ bar, made }: Props & { made: BarResult | null }) {
  const tape = useJobPart((j) => j.tape);
  const foot = (change: Partial<BarDesign['foot']>, field: string, typed: string) =>
    putBar({ foot: { ...bar.foot, ...change } }, field, typed);
  return (
    <section className="section">
      <h2>End links</h2>
      <div className="two-up">
        <Length bar={bar} of="link" label="Eye to eye, at ride height" least={30} most={600} />
        <p className="hint">
          {sayLength(linkHeight(bar), tape)} of it upright. Set it with the car on its wheels, arms about
          level.
        </p>
        <LengthField
          field="roll/foot/out"
          label="Foot, from under its eye"
          showLabel
          mm={bar.foot.out}
          least={-400}
          most={400}
          ways={['outboard', 'inboard']}
          onEnter={(out, typed) => foot({ out }, 'roll/foot/out', typed)}
        />
        <LengthField
          field="roll/foot/ahead"
          label="Foot, from its eye"
          showLabel
          mm={bar.foot.ahead}
          least={-400}
          most={400}
          ways={['ahead', 'behind']}
          onEnter={(ahead, typed) => foot({ ahead }, 'roll/foot/ahead', typed)}
        />
      </div>
      <div className="joints-of-link">
        {(['bar', 'foot'] as const).map((end) => (
          <LinkEndFields key={end} bar={bar} end={end} made={made} />
        ))}
      </div>
    </section>
  );
}

const END_NAMES = { bar: 'at the bar', foot: 'at its foot' };

function LinkEndFields({ bar, end, made }: Props & { end: 'bar' | 'foot'; made: BarResult | null }) {
  const put = (change: Partial<LinkEnd>) =>
    putBar({ ends: { ...bar.ends, [end]: { ...bar.ends[end], ...change } } });
  const cocked = made?.links?.cocked.find((c) => c.end === end);
  return (
    <div>
      <h3>Joint {END_NAMES[end]}</h3>
      <Select<LinkEnd['joint']>
        aria-label={`Joint ${END_NAMES[end]}`}
        value={bar.ends[end].joint}
        options={LINK_JOINT_NAMES.map((value) => ({ value, label: LINK_JOINTS[value].name }))}
        onChange={(joint) => put({ joint })}
      />
      <Segmented<LinkEnd['bolt']>
        aria-label={`Bolt ${END_NAMES[end]}`}
        options={BOLTS.map((value) => ({ value, label: `bolt ${value}` }))}
        value={bar.ends[end].bolt}
        onChange={(bolt) => put({ bolt })}
      />
      {cocked && (
        <p className="hint" data-readout={`cocked-${end}`}>
          Cocked {formatDegrees(cocked.most)} at most, {cocked.at}; takes {formatDegrees(cocked.allowed)}.
        </p>
      )}
    </div>
  );
}
