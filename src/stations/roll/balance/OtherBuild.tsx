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
const put = (change: Partial<Build>): void => edit((job) => withOtherBuild(job, change));

const CARRIED: { value: Build['carried']; label: string }[] = [
  { value: 'independent', label: 'each wheel by itself' },
  { value: 'axle', label: 'both by one axle' },
];
const COIL: [key: 'wire' | 'coilOd', label: string, most: number][] = [
  ['wire', 'Wire of the coil, thick', 60],
  ['coilOd', 'Coil, outside', 300],
];
const BAR: [key: 'od' | 'middle' | 'lever' | 'arm', label: string, most: number][] = [
  ['od', 'Thickness of the bar', 80],
  ['middle', 'Its middle, corner to corner', 2000],
  ['lever', 'Arm, square to the middle', 800],
  ['arm', 'Arm, along itself', 900],
];

/** Springs and bar of the other end by tape: what they come to against roll, as soon as enough of them is known. */
export function OtherBuild({ name }: { name: string }) {
  const build = useJobPart((j) => j.roll.otherBuild) ?? { carried: 'independent' as const };
  const tape = useJobPart((j) => j.tape);
  const track = useJobPart((j) => j.rig.otherEnd!.track);
  const { springs, bar } = otherEndRates(build, track);
  const one = springRate(build);
  const say = (rate: number | null, of: string) =>
    rate === null ? `${of}: not enough measured yet` : `${of} ${ROLL_RATE.say(rate, tape)}`;
  return (
    <details
      className="approach other-build"
      open={build.rate !== undefined || build.wire !== undefined || undefined}
    >
      <summary>Work it out from what can be measured there</summary>
      <Pills
        legend="Wheels carried"
        options={CARRIED}
        value={build.carried}
        onPick={(carried) => put({ carried })}
      />
      <div className="two-up">
        <NumberField
          field="otherBuild/rate"
          label="Rate of one spring, if it is known"
          showLabel
          value={build.rate === undefined ? null : SPRING_RATE.shown(build.rate, tape)}
          least={1}
          most={20_000}
          unit={SPRING_RATE.sign(tape)}
          decimals={tape === 'mm' ? 1 : 0}
          placeholder="by its wire"
          onEnter={(shown) => put({ rate: SPRING_RATE.read(shown, tape) })}
          onClear={() => put({ rate: undefined })}
        />
        {build.rate === undefined &&
          COIL.map(([key, label, most]) => (
            <LengthField
              key={key}
              field={`otherBuild/${key}`}
              label={label}
              showLabel
              decimal={key === 'wire'}
              mm={build[key] ?? null}
              least={2}
              most={most}
              onEnter={(mm) => put({ [key]: mm })}
              onClear={() => put({ [key]: undefined })}
            />
          ))}
        {build.rate === undefined && (
          <NumberField
            field="otherBuild/turns"
            label="Turns that move, not those lying on their seats"
            showLabel
            value={build.turns ?? null}
            least={0.5}
            most={60}
            unit=""
            decimals={2}
            onEnter={(turns) => put({ turns })}
            onClear={() => put({ turns: undefined })}
          />
        )}
        {build.carried === 'axle' ? (
          <LengthField
            field="otherBuild/apart"
            label="Spring to spring, across the car"
            showLabel
            mm={build.apart ?? null}
            least={100}
            most={2000}
            onEnter={(apart) => put({ apart })}
            onClear={() => put({ apart: undefined })}
          />
        ) : (
          <NumberField
            field="otherBuild/leverage"
            label="Spring moves, of what its wheel moves"
            showLabel
            value={build.leverage ?? null}
            least={0.05}
            most={3}
            unit="to 1"
            decimals={3}
            onEnter={(leverage) => put({ leverage })}
            onClear={() => put({ leverage: undefined })}
          />
        )}
      </div>
      <p className="hint">
        {build.carried === 'axle'
          ? 'Measure between the middles of their seats on the axle.'
          : 'Jack the wheel up an inch, on its lower arm and with the car on stands: measure how much shorter the spring is.'}
      </p>
      <BarFields bar={build.bar} />
      <p data-readout="otherBuild">
        {one !== null && `One spring ${SPRING_RATE.say(one, tape)}. `}
        {say(springs, 'Springs')}. {build.bar ? say(bar, 'Bar') : 'No bar'}.{' '}
        {springs !== null &&
          bar !== null &&
          `Together ${ROLL_RATE.say(springs + bar, tape)}: the ${name} end is that now.`}
      </p>
    </details>
  );
}

function BarFields({ bar }: { bar: Bar | undefined }) {
  const set = (change: Partial<Bar>) =>
    edit((job) => withOtherBuild(job, { bar: told(job.roll.otherBuild?.bar, change) }));
  return (
    <>
      <p className="hint">Its sway bar, a solid one; nothing where it has none.</p>
      <div className="two-up">
        {BAR.map(([key, label, most]) => (
          <LengthField
            key={key}
            field={`otherBuild/bar/${key}`}
            label={label}
            showLabel
            mm={bar?.[key] ?? null}
            least={5}
            most={most}
            onEnter={(mm) => set({ [key]: mm })}
            onClear={() => set({ [key]: undefined })}
          />
        ))}
        <NumberField
          field="otherBuild/bar/leverage"
          label="Its eyes move, of what the wheels move"
          showLabel
          value={bar?.leverage ?? null}
          least={0.05}
          most={3}
          unit="to 1"
          decimals={3}
          onEnter={(leverage) => set({ leverage })}
          onClear={() => set({ leverage: undefined })}
        />
      </div>
    </>
  );
}
