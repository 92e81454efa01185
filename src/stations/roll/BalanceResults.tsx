'use client';
import type { Lever, RollResult } from '@/core/roll/analyse';
import { sayForce } from '@/core/units/force';
import { useJob } from '@/store/jobStore';
import { Readout, Readouts } from '@/ui/Card';

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

/** Where the load goes in a corner, and what each change would do to it. */
export function BalanceResults({ result }: { result: RollResult }) {
  const { tape } = useJob();
  const { balance } = result.answer;
  if (!balance)
    return (
      <p className="hint">
        For the balance of the car, Pellik wants its weight (Locate, Forces), springs, and the other end
        below.
      </p>
    );
  return (
    <section className="section">
      <h2>In a steady corner, at 1 g</h2>
      <Readouts>
        <Readout name="Leans" id="rollAngle">
          {balance.rollGradientDegPerG.toFixed(1)}°
        </Readout>
        <Readout name="Load that goes over, front · rear" id="transfers">
          {sayForce(balance.transferFront, tape)} · {sayForce(balance.transferRear, tape)}
        </Readout>
        <Readout name="Front’s share of it" id="frontShare">
          {percent(balance.frontShare)}
        </Readout>
        {(['front', 'rear'] as const).map((end) => (
          <Readout
            key={end}
            name={`${end === 'front' ? 'Front' : 'Rear'}: springs and bar · links · the axle`}
          >
            {(['elastic', 'geometric', 'unsprung'] as const)
              .map((part) => sayForce(balance.parts[end][part], tape).replace(/ \w+$/, ''))
              .join(' · ')}
          </Readout>
        ))}
      </Readouts>
      <h2>What each change would do</h2>
      <table className="fits levers">
        <thead>
          <tr>
            <th scope="col">one thing at a time</th>
            <th scope="col">balance</th>
            <th scope="col">lean</th>
          </tr>
        </thead>
        <tbody>
          {result.levers.map((lever) => (
            <LeverRow key={lever.id} lever={lever} />
          ))}
        </tbody>
      </table>
    </section>
  );
}

function LeverRow({ lever }: { lever: Lever }) {
  const word = Math.abs(lever.share) < 0.0005 ? 'no change' : lever.share > 0 ? 'tighter' : 'looser';
  return (
    <tr data-lever={lever.id}>
      <th scope="row">{lever.label}</th>
      <td>{word === 'no change' ? word : `${percent(Math.abs(lever.share))} ${word}`}</td>
      <td>
        {lever.roll > 0 ? '+' : '−'}
        {Math.abs(lever.roll).toFixed(2)}°
      </td>
    </tr>
  );
}
