'use client';
import type { Balance } from '@/core/balance/loadTransfer';
import type { Corner } from '@/core/balance/steadyCorner';
import { useJob } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { Readout, Readouts, useGuessed } from '@/ui/cards/Readouts';
import { CornerField } from '@/ui/fields/CornerField';
import { Verdicts } from '@/ui/cards/Verdicts';
import { AfterLaps } from './AfterLaps';
import { CornerChart } from './CornerChart';
import { sayLifts } from './leverWords';
import { Levers } from './Levers';
import { OtherEnd } from './OtherEnd';
import type { PartProps } from '@/stations/roll/part';
import { RollSchools } from './RollSchools';
import { FORCE } from '@/core/units/unit';

const ENDS = ['front', 'rear'] as const;
const over = ({ wheels }: Corner, end: (typeof ENDS)[number]) =>
  (wheels[end].outside - wheels[end].inside) / 2;
/** What goes through links and axle grows with the corner; what the springs take is the rest, on a stop or with a wheel in the air too. */
function partsOf(corner: Corner, { parts }: Balance, end: (typeof ENDS)[number]): number[] {
  const links = parts[end].geometric * corner.g;
  const axle = parts[end].unsprung * corner.g;
  return [over(corner, end) - links - axle, links, axle];
}
const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

/** Where the load goes in a corner, what each change would do to it, and the schools. */
export function BalancePart({ result, verdicts }: PartProps) {
  const { tape, cornerG, rig, roll } = useJob();
  const guessed = useGuessed('tyres');
  const missing = [
    ...(rig.masses ? [] : ['its weight (Locate, Forces)']),
    ...(roll.springs ? [] : ['its springs']),
    ...(rig.otherEnd ? [] : ['the other end, below']),
  ];
  const balance = result?.balance;
  const corner = result?.corner;
  const tuning = result?.tuning;
  return (
    <>
      <CardHead title="Roll: balance">
        What stands on each tyre in a steady corner, and what each change does to it.
      </CardHead>
      <Verdicts tried="roll" verdicts={verdicts} />
      <section className="section">
        <CornerField field="roll/cornerG" label="Tyres hold, in a steady corner" />
        <p className="hint">A street tyre about 0.8, a soft one on a dry course 1.1 or more.</p>
        {missing.length > 0 && (
          <p className="hint">For the balance of the car, Pellik wants {missing.join(', ')}.</p>
        )}
        {balance && corner && (
          <>
            <Readouts>
              <Readout name={`Leans, at ${cornerG} g`} of="rollAngle">
                {corner.rollDeg.toFixed(1)}°
              </Readout>
              <Readout name="Front’s share of what goes over" of="frontShare" term="goesOver">
                {percent(corner.frontShare)}
              </Readout>
              <Readout name="Goes over, front · rear" of="transfers">
                {ENDS.map((end) => FORCE.say(over(corner, end), tape)).join(' · ')}
              </Readout>
              {ENDS.map((end) => (
                <Readout
                  key={end}
                  of={`parts-${end}`}
                  name={`of it ${end}: ${corner.stop > 0 && end === rig.end ? 'springs, bar, stop' : 'springs and bar'} · links · the axle`}
                >
                  {partsOf(corner, balance, end)
                    .map((part) => FORCE.say(part, tape).replace(/ \w+$/, ''))
                    .join(' · ')}
                </Readout>
              ))}
              {result.wheelLiftG && (
                <Readout name="Inside wheel lifts, front · rear" of="lifts">
                  {sayLifts(result.wheelLiftG)}
                </Readout>
              )}
              {tuning?.launch && (
                <Readout name="At a hard launch, left rear over right" of="launch">
                  {FORCE.say(tuning.launch.difference, tape)}
                </Readout>
              )}
            </Readouts>
            <h3>On each tyre</h3>
            <div {...guessed} className={`tyres ${guessed.className ?? ''}`} data-readout="tyres">
              <span />
              <span className="figure head">inside</span>
              <span className="figure head">outside</span>
              {ENDS.map((end) => (
                <TyreRow key={end} end={end} loads={corner.wheels[end]} />
              ))}
            </div>
            {tuning && <CornerChart corners={tuning.corners} />}
          </>
        )}
      </section>
      {tuning && corner && <AfterLaps tuning={tuning} />}
      {tuning && corner && <Levers tuning={tuning} without={result.without} corner={corner} />}
      {tuning && corner && <RollSchools schools={tuning.schools} />}
      <OtherEnd />
    </>
  );
}

function TyreRow({ end, loads }: { end: 'front' | 'rear'; loads: { inside: number; outside: number } }) {
  const { tape } = useJob();
  return (
    <>
      <span>{end}</span>
      <span className="figure">{loads.inside < 1 ? 'off the ground' : FORCE.say(loads.inside, tape)}</span>
      <span className="figure">{FORCE.say(loads.outside, tape)}</span>
    </>
  );
}
