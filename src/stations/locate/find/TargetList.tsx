'use client';
import { Button, Select } from 'antd';
import { useMemo } from 'react';
import { MOST_TARGETS, type Target } from '@/core/choose/brief';
import { cornerFigures, isOfCorner, WANTED, wantedFigures, type WantedName } from '@/core/choose/wanted';
import { namesOfGuesses } from '@/core/bench/figures';
import { orNone } from '@/core/rig/read';
import { useAtRest, useJob, useJobPart } from '@/store/jobStore';
import { FIGURE_WORDS, figureWord } from '@/ui/choose/figureWords';
import { NumberField } from '@/ui/fields/NumberField';
import { QuantityField } from '@/ui/fields/QuantityField';

const BOUNDS = [
  ['least', 'at least'],
  ['most', 'at most'],
  ['near', 'as near as can be to'],
] as const;
const MOST_MM = 5000;

type Props = { targets: Target[]; onChange: (targets: Target[]) => void };

/** What is wanted: figures with their bounds, or what they should be near. */
export function TargetList({ targets, onChange }: Props) {
  const job = useAtRest(useJob());
  const { end } = job.rig;
  const known = useMemo(() => orNone(() => wantedFigures(job, false)), [job]);
  // What this car has no such figure of cannot be wanted of it.
  const left = WANTED.filter(
    (figure) =>
      targets.every((target) => target.figure !== figure) &&
      (isOfCorner(figure) || !known || known[figure] !== null),
  );
  const put = (i: number, change: Partial<Target>) =>
    onChange(targets.map((target, k) => (k === i ? { ...target, ...change } : target)));
  return (
    <section className="section">
      <h2>What is wanted</h2>
      {targets.map((target, i) => (
        <fieldset key={target.figure} className="find-row" data-target={target.figure}>
          <legend>{figureWord(target.figure, end)}</legend>
          {BOUNDS.map(([bound, label]) => (
            <Bound
              key={bound}
              figure={target.figure}
              bound={bound}
              label={label}
              value={target[bound] ?? null}
              onPut={(value) => put(i, { [bound]: value })}
            />
          ))}
          <Button onClick={() => onChange(targets.filter((_, k) => k !== i))}>Take out</Button>
          {isOfCorner(target.figure) && <InTheCorner />}
        </fieldset>
      ))}
      {left.length > 0 && targets.length < MOST_TARGETS && (
        <Select<WantedName | null>
          aria-label="Something wanted"
          virtual={false}
          placeholder="Something wanted…"
          value={null}
          options={left.map((value) => ({ value, label: figureWord(value, end) }))}
          onChange={(figure) => figure && onChange([...targets, { figure }])}
        />
      )}
    </section>
  );
}

/** The corner that is spoken of; what of the car in it is guessed, or that it cannot be told. */
function InTheCorner() {
  const g = useJobPart((j) => j.cornerG);
  const isKnown = useJobPart((j) => cornerFigures(j).lean !== null);
  const guessed = useJobPart((j) => namesOfGuesses(j, 'frontShare').join('; '));
  if (!isKnown)
    return (
      <p className="hint">
        Not known yet: it takes springs and the other end of the car, told at Roll, and its weights, read at
        Record.
      </p>
    );
  return (
    <p className="hint">
      In a corner of {g} g, as at Roll.{guessed && ` It hangs on what is guessed: ${guessed}.`}
    </p>
  );
}

type BoundProps = {
  figure: WantedName;
  bound: string;
  label: string;
  value: number | null;
  onPut: (value: number | undefined) => void;
};

function Bound({ figure, bound, label, value, onPut }: BoundProps) {
  const field = `find/${figure}/${bound}`;
  const { unit } = FIGURE_WORDS[figure];
  if (unit === 'length')
    return (
      <QuantityField
        field={field}
        label={label}
        showLabel
        unit="length"
        least={-MOST_MM}
        most={MOST_MM}
        value={value}
        placeholder="–"
        onEnter={(mm) => onPut(mm)}
        onClear={() => onPut(undefined)}
      />
    );
  const sign = { percent: '%', share: '%', angle: '°', ratio: '°/°' }[unit];
  const per = unit === 'share' ? 100 : 1;
  return (
    <NumberField
      field={field}
      label={label}
      showLabel
      value={value === null ? null : value * per}
      least={-500}
      most={500}
      unit={sign}
      decimals={unit === 'ratio' ? 3 : 1}
      placeholder="–"
      onEnter={(v) => onPut(v / per)}
      onClear={() => onPut(undefined)}
    />
  );
}
