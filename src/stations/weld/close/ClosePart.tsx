'use client';
import { Button, Progress, Select } from 'antd';
import { useEffect, useState } from 'react';
import type { FigureName } from '@/core/choose/figures';
import { placesOf, USUAL_CLOSENESS, type Closeness } from '@/core/choose/builds';
import { BUILDS, type Spread, type Spreads } from '@/core/choose/spread';
import { without } from '@/core/job/edits/omit';
import { capital } from '@/core/rig/names';
import { useJob } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { figureWord, sayRange } from '@/ui/choose/figureWords';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { MASS } from '@/core/units/unit';
import { startSpread } from '@/workers/choosing/choose';
import { useSpreads } from '@/workers/choosing/spreads';
import { useRun } from '@/workers/choosing/useRun';
import './close.css';

const SEED = 1;
/** kg */
const MOST_LOAD = 2000;
const FIELDS: [key: Exclude<keyof Closeness, 'only' | 'gauge' | 'load'>, label: string][] = [
  ['place', 'An eye is set within'],
  ['hole', 'Holes are larger than their bolts by'],
  ['cut', 'A bar without thread is cut within'],
  ['lean', 'The frame is level across, within'],
  ['settle', 'Springs settle within'],
  ['tire', 'The tyres’ radius is as drawn within'],
];
/** So many dimensions are named of each figure, and none that is worth less than that. */
const NAMED = 3;
const WORTH = 0.02;

/** How close is close enough: the car built thousands of times over by chance, and which dimension counts. */
export function ClosePart() {
  const job = useJob();
  const [closeness, setCloseness] = useState<Closeness>(USUAL_CLOSENESS);
  const sprung = (job.rig.springs ?? []).length > 0;
  const { of, found } = useSpreads();
  const { share, run, stop } = useRun<Spreads>();
  useEffect(() => {
    useSpreads.setState({ shown: true });
    return () => useSpreads.setState({ shown: false });
  }, []);

  async function build() {
    const outcome = await run((told) => startSpread(job, closeness, { builds: BUILDS, seed: SEED }, told));
    if (outcome) useSpreads.setState({ of: job.rig, found: outcome.ok ? outcome.result : outcome.message });
  }

  return (
    <>
      <CardHead title="How close is close enough">
        The car built {BUILDS.toLocaleString('en')} times by chance, as well as you build: nineteen of twenty
        come out between the two figures.
      </CardHead>
      <div className="close-fields">
        {FIELDS.map(([key, label]) => (
          <LengthField
            key={key}
            field={`close/${key}`}
            label={label}
            showLabel
            mm={closeness[key] ?? 0}
            least={0}
            most={100}
            onEnter={(mm) => setCloseness({ ...closeness, [key]: mm })}
          />
        ))}
        <NumberField
          field="close/gauge"
          label={job.rig.end === 'rear' ? 'The pinion is set within' : 'Caster is set within'}
          showLabel
          value={closeness.gauge ?? 0}
          least={0}
          most={10}
          unit="°"
          decimals={2}
          onEnter={(gauge) => setCloseness({ ...closeness, gauge })}
        />
        {sprung && (
          <NumberField
            field="close/load"
            label="What it carries here differs by"
            showLabel
            value={MASS.shown(closeness.load ?? 0, job.tape)}
            least={0}
            most={Math.floor(MASS.shown(MOST_LOAD, job.tape))}
            unit={MASS.sign(job.tape)}
            decimals={1}
            onEnter={(load) => setCloseness({ ...closeness, load: MASS.read(load, job.tape) })}
          />
        )}
      </div>
      {!sprung && <p className="hint">What it carries counts once its springs are told, at Roll.</p>}
      <ByPlace closeness={closeness} onChange={setCloseness} />
      {share === null ? (
        <Button type="primary" block className="close-go" onClick={() => void build()}>
          Build it {BUILDS.toLocaleString('en')} times
        </Button>
      ) : (
        <div className="close-running" role="status">
          <Progress percent={Math.round(100 * share)} aria-label="Builds made" />
          <Button onClick={stop}>Stop</Button>
        </div>
      )}
      {found !== null && of !== job.rig && (
        <p className="changed">The design has changed since: build it again.</p>
      )}
      {found !== null &&
        (typeof found === 'string' ? (
          <p className="field-problem" role="alert">
            {found}
          </p>
        ) : (
          <Ranges found={found} />
        ))}
    </>
  );
}

type ByPlaceProps = { closeness: Closeness; onChange: (closeness: Closeness) => void };

/** Places that are set better or worse than the others: in a jig, or where no tape goes. */
function ByPlace({ closeness, onChange }: ByPlaceProps) {
  const { rig } = useJob();
  const { only = {}, place } = closeness;
  const places = placesOf(rig);
  const told = places.filter(({ id }) => only[id] !== undefined);
  const left = places.filter(({ id }) => only[id] === undefined);
  return (
    <section data-part="by-place">
      {told.map(({ id, name }) => (
        <div key={id} className="by-place">
          <LengthField
            field={`close/only/${id}`}
            label={`${capital(name)}, within`}
            showLabel
            mm={only[id]!}
            least={0}
            most={100}
            onEnter={(mm) => onChange({ ...closeness, only: { ...only, [id]: mm } })}
          />
          <Button onClick={() => onChange({ ...closeness, only: without(only, id) })}>As the others</Button>
        </div>
      ))}
      <Select<string | null>
        aria-label="A place that is set better or worse"
        placeholder="A place that is set better or worse…"
        showSearch
        optionFilterProp="label"
        value={null}
        options={left.map(({ id: value, name }) => ({ value, label: capital(name) }))}
        onChange={(id) => id && onChange({ ...closeness, only: { ...only, [id]: place } })}
      />
    </section>
  );
}

function Ranges({ found: { figures, ranked, failed, builds } }: { found: Spreads }) {
  const { tape, rig } = useJob();
  return (
    <section data-part="spread">
      {failed > 0 && (
        <p className="changed">
          {failed} of {builds} could not be put together at all.
        </p>
      )}
      <ul className="ranges">
        {(Object.entries(figures) as [FigureName, Spread][]).map(([figure, spread]) => {
          const named = (ranked[figure] ?? []).filter(({ share }) => share >= WORTH).slice(0, NAMED);
          const said = sayRange(figure, spread, tape);
          const rest = 1 - named.reduce((sum, { share }) => sum + share, 0);
          return (
            <li key={figure} data-spread={figure}>
              <h2>{figureWord(figure, rig.end)}</h2>
              <p>
                {said.low} to {said.high} <span className="hint">drawn {said.designed}</span>
              </p>
              <Range spread={spread} />
              <p className="hint">
                {named.map(({ name, share }) => `${name}, ${share.toFixed(2)} of it`).join('; ')}
                {named.length > 0 && rest > 0.005 && `; all the rest ${rest.toFixed(2)}`}.
                {unlike(spread) &&
                  ' Not in proportion: a dimension twice as far off does not count just twice.'}
              </p>
            </li>
          );
        })}
      </ul>
      <p className="hint">
        Taken as drawn: bars with a thread are set to what is between their eyes. Level across: over the
        track. With {rig.end === 'rear' ? 'the pinion’s angle' : 'caster'}, all that the axle carries turns.
        What was measured of the car counts with its own uncertainty. The same every time it is built; no
        build of yours is promised.
      </p>
    </section>
  );
}

/** How far the first order may be from what the builds came to, and still be in proportion. */
const PROPORTION = 0.1;
const unlike = ({ deviation, firstOrder }: Spread): boolean =>
  Math.abs(deviation - firstOrder) > PROPORTION * Math.max(deviation, firstOrder);

/** From the low to the high, and where it is drawn. */
function Range({ spread: { low, high, designed } }: { spread: Spread }) {
  const [least, most] = [Math.min(low, designed), Math.max(high, designed)];
  const room = (most - least || 1) * 0.2;
  const at = (v: number) => `${(100 * (v - least + room)) / (most - least + 2 * room)}%`;
  return (
    <div className="range" aria-hidden>
      <i style={{ left: at(low), right: `calc(100% - ${at(high)})` }} />
      <b style={{ left: at(designed) }} />
    </div>
  );
}
