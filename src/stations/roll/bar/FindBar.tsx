'use client';
import { Button } from 'antd';
import { memo, useState } from 'react';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import type { Candidate, Found } from '@/core/swaybar/stockSearch';
import { formatDecimal, formatLength, sayLength } from '@/core/units/length';
import { useAtRest, useJobPart, jobOnBench } from '@/store/jobStore';
import { putBar } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { memberName } from '@/core/rig/names';
import type { Outcome } from '@/workers/outcome';
import { searchBars } from '@/workers/choosing/search';
import type { Job } from '@/core/job/jobSchema';
import { MASS, ROLL_RATE, STRESS } from '@/core/units/unit';

type Looked = { of: Job; outcome: Outcome<Found> } | 'going' | null;

type Props = {
  bar: BarDesign;
  rollRate: number | null;
  /** how much more of it would make the car even */
  even: number | null;
};

/** Looks through the stock sizes for bars of a wanted stiffness that clear, and last; of the bar as it was before it was taken in hand. */
export function FindBar(props: Props) {
  return <Search {...useAtRest(props)} />;
}

const Search = memo(function Search({ bar, rollRate, even }: Props) {
  const tape = useJobPart((j) => j.tape);
  const [wanted, setWanted] = useState<number | null>(null);
  const [arms, setArms] = useState({ least: 150, most: 350 });
  const [search, setSearch] = useState<Looked>(null);
  const aim = wanted ?? rollRate;
  const evenRate =
    rollRate !== null && even !== null && Number.isFinite(even) && rollRate + even > 0
      ? rollRate + even
      : null;
  async function look() {
    const job = jobOnBench();
    if (aim === null || !job) return;
    setSearch('going');
    const outcome = await searchBars({ ...job, roll: { ...job.roll, bar } }, { rollRate: aim, ...arms });
    setSearch({ of: job, outcome });
  }
  return (
    <section className="section">
      <h2>Find a bar</h2>
      <div className="two-up">
        <NumberField
          field="find/rate"
          label="Wanted, against roll"
          showLabel
          value={aim === null ? null : ROLL_RATE.shown(aim, tape)}
          least={1}
          most={50_000}
          unit={ROLL_RATE.sign(tape)}
          decimals={0}
          onEnter={(shown) => setWanted(ROLL_RATE.read(shown, tape))}
        />
        {evenRate !== null && (
          <Button onClick={() => setWanted(evenRate)}>
            As an even car wants: {ROLL_RATE.say(evenRate, tape)}
          </Button>
        )}
        {(['least', 'most'] as const).map((key) => (
          <LengthField
            key={key}
            field={`find/${key}`}
            label={key === 'least' ? 'Arms no shorter than' : 'Arms no longer than'}
            showLabel
            mm={arms[key]}
            least={60}
            most={700}
            onEnter={(mm) => setArms({ ...arms, [key]: mm })}
          />
        ))}
        <Button disabled={aim === null || search === 'going'} onClick={() => void look()}>
          {search === 'going' ? 'Looking…' : 'Look through the stock sizes'}
        </Button>
      </div>
      {search !== null &&
        search !== 'going' &&
        (search.outcome.ok ? (
          <Results found={search.outcome.result} stale={search.of.roll.bar !== bar} />
        ) : (
          <p className="field-problem" role="alert">
            Nothing can be looked for: {search.outcome.message}.
          </p>
        ))}
    </section>
  );
});

function Results({ found, stale }: { found: Found; stale: boolean }) {
  const tape = useJobPart((j) => j.tape);
  const { candidates, outOfReach, overworked, inTheWay } = found;
  return (
    <>
      {candidates.length === 0 && (
        <p data-readout="noBar">
          No stock size does it with such arms.{' '}
          {overworked > inTheWay
            ? 'Most would be worked too hard: allow longer arms, or ask for less.'
            : inTheWay > 0
              ? 'They hit something: move the bar or dip it first.'
              : 'Allow longer or shorter ones.'}
        </p>
      )}
      {candidates.length > 0 && (
        <table className="candidates">
          <thead>
            <tr>
              <th scope="col">size</th>
              <th scope="col">arm</th>
              <th scope="col">{STRESS.sign(tape)}</th>
              <th scope="col">{MASS.sign(tape)}</th>
              <th scope="col">nearest</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {candidates.map((candidate) => (
              <Row key={`${candidate.design.od} ${candidate.design.wall}`} candidate={candidate} />
            ))}
          </tbody>
        </table>
      )}
      <p className="hint">
        {stale && 'Found for the bar as it was. '}
        Left out: {outOfReach} that such arms make too stiff or too soft, {overworked} worked too hard at the
        farthest roll, {inTheWay} that hit something.
      </p>
    </>
  );
}

function Row({ candidate: { design, stress, mass, nearest } }: { candidate: Candidate }) {
  const tape = useJobPart((j) => j.tape);
  const end = useJobPart((j) => j.rig.end);
  const size = tape === 'mm' ? formatDecimal(design.od, tape) : formatLength(design.od, 'in32');
  return (
    <tr data-candidate={design.od.toFixed(2)}>
      <th scope="row">
        {size} {design.wall === null ? 'solid' : `× ${formatDecimal(design.wall, tape)}`}
      </th>
      <td>{formatLength(design.arm, tape)}</td>
      <td>{Math.round(STRESS.shown(stress, tape))}</td>
      <td>{MASS.shown(mass, tape).toFixed(1)}</td>
      <td>{nearest ? `${memberName(nearest.body, end)}, ${sayLength(nearest.distance, tape)}` : ''}</td>
      <td>
        <Button
          aria-label={`Take it: ${size} ${design.wall === null ? 'solid' : 'tube'}`}
          onClick={() =>
            putBar({ od: design.od, wall: design.wall, arm: design.arm, ahead: design.ahead, hole: 0 })
          }
        >
          Take it
        </Button>
      </td>
    </tr>
  );
}
