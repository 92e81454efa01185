'use client';
import { armInUse } from '@/core/roll/design';
import { handbookRate } from '@/core/roll/swayBar';
import type { RollResult } from '@/core/roll/analyse';
import { sayForce } from '@/core/units/force';
import { formatLength } from '@/core/units/format';
import { sayRate, sayRollRate } from '@/core/units/rates';
import { useJob } from '@/store/jobStore';
import { Readout, Readouts } from '@/ui/Card';

/** What the bar does, and what it is doing where the rocker stands. */
export function BarResults({ result }: { result: RollResult }) {
  const job = useJob();
  const { bar } = job.roll;
  const answer = result.answer.swayBars?.[0];
  if (!bar || !answer) return null;
  const { tape } = job;
  const lever = armInUse(bar);
  const arm = Math.hypot(lever, (bar.eyes - bar.middle) / 2);
  const handbook = bar.wall === null ? handbookRate(bar.od, lever, bar.middle, arm) : null;
  return (
    <section className="section">
      <Readouts>
        <Readout name="Bar, one eye against the other" id="barRate">
          {sayRate(answer.rate, tape)}
        </Readout>
        {handbook !== null && (
          <Readout name="By the handbook formula" id="handbook">
            {sayRate(handbook, tape)}
          </Readout>
        )}
        <Readout name="Against roll" id="barRollRate">
          {sayRollRate(answer.rollRate, tape)}
        </Readout>
        <Readout name="Twist of the middle · bending" id="barShare">
          {Math.round(100 * answer.torsionShare)} % · {Math.round(100 * (1 - answer.torsionShare))} %
        </Readout>
        {result.now && (
          <Readout name="Now, by the rocker: eyes apart · pull at each" id="barNow">
            {formatLength(Math.abs(result.now.apart), tape)} {tape === 'mm' ? 'mm' : 'in'} ·{' '}
            {sayForce(result.now.force, tape)}
          </Readout>
        )}
      </Readouts>
      <p className="hint">
        Move the rocker: both wheels together ask nothing of the bar, one wheel alone half of what both
        against each other do.{' '}
        {handbook !== null &&
          `The handbook takes the bar as held at its corners and knows neither overhang nor dip: ${Math.round(100 * (handbook / answer.rate - 1))} % off here.`}
      </p>
    </section>
  );
}
