'use client';
import { otherEndRates, springRate, type OtherBuild as Build } from '@/core/balance/otherEndBuild';
import { told } from '@/core/job/edits/omit';
import { withOtherBuild } from '@/core/job/edits/roll';
import { ROLL_RATE, SPRING_RATE } from '@/core/units/unit';
import { edit, useJobPart } from '@/store/jobStore';
import { Pills } from '@/ui/cards/Pills';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';

type Bar = NonNullable<Build['bar']>;
const put = (change: Partial<Build>) => edit((job) => withOtherBuild(job, change));
const putBar = (change: Partial<Bar>) =>
  edit((job) => withOtherBuild(job, { bar: told(job.roll.otherBuild?.bar, change) }));

const CARRIED: { value: Build['carried']; label: string }[] = [
  { value: 'independent', label: 'each wheel by itself' },
  { value: 'axle', label: 'both by one axle' },
];
const BAR: [key: 'od' | 'middle' | 'lever' | 'arm', label: string, most: number][] = [
  ['od', 'Thickness of the bar', 80],
  ['middle', 'Its middle, corner to corner', 2000],
  ['lever', 'Arm, square to the middle', 800],
  ['arm', 'Arm, along itself', 900],
];

type TapedProps = {
  name: string;
  label: string;
  value: number | undefined;
  most: number;
  onPut: (value: number | undefined) => void;
};

/** Something of that end by tape, as far as it was measured. */
const Taped = ({ name, label, value, most, onPut, decimal }: TapedProps & { decimal?: boolean }) => (
  <LengthField
    field={`otherBuild/${name}`}
    label={label}
    showLabel
    decimal={decimal}
    mm={value ?? null}
    least={2}
    most={most}
    onEnter={onPut}
    onClear={() => onPut(undefined)}
  />
);

/** A count or a ratio of that end, as far as it was told. */
const Counted = ({ name, label, value, most, onPut, unit }: TapedProps & { unit: string }) => (
  <NumberField
    field={`otherBuild/${name}`}
    label={label}
    showLabel
    value={value ?? null}
    least={0.05}
    most={most}
    unit={unit}
    decimals={3}
    onEnter={onPut}
    onClear={() => onPut(undefined)}
  />
);

/** Springs and bar of the other end by tape: what they come to against roll, as soon as enough of them is known. */
export function OtherBuild({ name }: { name: string }) {
  const build = useJobPart((j) => j.roll.otherBuild) ?? { carried: 'independent' as const };
  const { carried, rate, wire, coilOd, turns, apart, leverage, bar } = build;
  return (
    <details className="approach other-build" open={rate !== undefined || wire !== undefined || undefined}>
      <summary>Work it out from what can be measured there</summary>
      <Pills
        legend="Wheels carried"
        options={CARRIED}
        value={carried}
        onPick={(to) => put({ carried: to })}
      />
      <div className="two-up">
        <SpringRate rate={rate} />
        {rate === undefined && (
          <>
            <Taped
              name="wire"
              label="Wire of the coil, thick"
              value={wire}
              most={60}
              decimal
              onPut={(v) => put({ wire: v })}
            />
            <Taped
              name="coilOd"
              label="Coil, outside"
              value={coilOd}
              most={300}
              onPut={(v) => put({ coilOd: v })}
            />
            <Counted
              name="turns"
              label="Turns that move, not those lying on their seats"
              value={turns}
              most={60}
              unit=""
              onPut={(v) => put({ turns: v })}
            />
          </>
        )}
        {carried === 'axle' ? (
          <Taped
            name="apart"
            label="Spring to spring, across the car"
            value={apart}
            most={2000}
            onPut={(v) => put({ apart: v })}
          />
        ) : (
          <Counted
            name="leverage"
            label="Spring moves, of what its wheel moves"
            value={leverage}
            most={3}
            unit="to 1"
            onPut={(v) => put({ leverage: v })}
          />
        )}
      </div>
      <p className="hint">
        {carried === 'axle'
          ? 'Measure between the middles of their seats on the axle.'
          : 'Jack the wheel up an inch, on its lower arm and with the car on stands: measure how much shorter the spring is.'}
      </p>
      <p className="hint">Its sway bar, a solid one; nothing where it has none.</p>
      <div className="two-up">
        {BAR.map(([key, label, most]) => (
          <Taped
            key={key}
            name={`bar/${key}`}
            label={label}
            value={bar?.[key]}
            most={most}
            onPut={(v) => putBar({ [key]: v })}
          />
        ))}
        <Counted
          name="bar/leverage"
          label="Its eyes move, of what the wheels move"
          value={bar?.leverage}
          most={3}
          unit="to 1"
          onPut={(v) => putBar({ leverage: v })}
        />
      </div>
      <Comes build={build} name={name} />
    </details>
  );
}

function SpringRate({ rate }: { rate: number | undefined }) {
  const tape = useJobPart((j) => j.tape);
  return (
    <NumberField
      field="otherBuild/rate"
      label="Rate of one spring, if it is known"
      showLabel
      value={rate === undefined ? null : SPRING_RATE.shown(rate, tape)}
      least={1}
      most={20_000}
      unit={SPRING_RATE.sign(tape)}
      decimals={tape === 'mm' ? 1 : 0}
      placeholder="by its wire"
      onEnter={(shown) => put({ rate: SPRING_RATE.read(shown, tape) })}
      onClear={() => put({ rate: undefined })}
    />
  );
}

/** What it all comes to, or what is not enough yet. */
function Comes({ build, name }: { build: Build; name: string }) {
  const tape = useJobPart((j) => j.tape);
  const track = useJobPart((j) => j.rig.otherEnd!.track);
  const { springs, bar } = otherEndRates(build, track);
  const one = springRate(build);
  const say = (of: string, rate: number | null) =>
    rate === null ? `${of}: not enough measured yet` : `${of} ${ROLL_RATE.say(rate, tape)}`;
  return (
    <p data-readout="otherBuild">
      {one !== null && `One spring ${SPRING_RATE.say(one, tape)}. `}
      {say('Springs', springs)}. {build.bar ? say('Bar', bar) : 'No bar'}.{' '}
      {springs !== null &&
        bar !== null &&
        `Together ${ROLL_RATE.say(springs + bar, tape)}: the ${name} end is that now.`}
    </p>
  );
}
