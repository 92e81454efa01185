'use client';
import type { BarResult } from '@/core/swaybar/swayBarOverTravel';
import { armInUse } from '@/core/swaybar/swayBarDesign';
import type { Corner } from '@/core/balance/steadyCorner';
import { massOf } from '@/core/swaybar/mass';
import { handbookRate } from '@/core/swaybar/handbookRate';
import { formatLength } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { FORCE, MASS, ROLL_RATE, SPRING_RATE, STRESS } from '@/core/units/unit';

/** What the bar does, and what it is doing where the rocker stands. */
export function BarResults({ made, corner }: { made: BarResult; corner: Corner | null }) {
  const { tape, roll, cornerG } = useJob();
  const bar = roll.bar!;
  const lever = armInUse(bar);
  const arm = Math.hypot(lever, (bar.eyes - bar.middle) / 2);
  const plain = bar.wall === null && bar.made === 'one-piece' && lever > 0;
  const handbook = plain ? handbookRate(bar.od, lever, bar.middle, arm) : null;
  return (
    <section className="section">
      <Readouts>
        <Readout name="Against roll" of="barRollRate" term="againstRoll">
          {ROLL_RATE.say(made.rollRate, tape)}
        </Readout>
        {corner && (
          <Readout name={`At ${cornerG} g: leans · front’s share of what goes over`} of="barBalance">
            {corner.rollDeg.toFixed(1)}° · {(100 * corner.frontShare).toFixed(1)} %
          </Readout>
        )}
        {made.now && (
          <Readout name="Now, by the rocker: eyes apart · pull at each" of="barNow">
            {formatLength(Math.abs(made.now.apart), tape)} {tape === 'mm' ? 'mm' : 'in'} ·{' '}
            {FORCE.say(made.now.force, tape)}
          </Readout>
        )}
        <Readout name="One eye against the other" of="barRate">
          {SPRING_RATE.say(made.rate, tape)}
        </Readout>
        {handbook !== null && (
          <Readout name="By the handbook formula" of="handbook">
            {SPRING_RATE.say(handbook, tape)}
          </Readout>
        )}
        <Readout name="Worked, for a degree of roll" of="barStress">
          {STRESS.say(made.maxStress, tape)}
        </Readout>
        {made.carried && (
          <Readout name="At the farthest roll: each link · each bracket" of="barCarried" term="brackets">
            {FORCE.say(made.carried.link, tape)} · {FORCE.say(made.carried.bushing, tape)}
          </Readout>
        )}
        <Readout name="Twist of the middle · bending" of="barShare" term="twist">
          {Math.round(100 * made.torsionShare)} % · {Math.round(100 * (1 - made.torsionShare))} %
        </Readout>
        <Readout name="Weight of the bar" of="barMass">
          {MASS.shown(massOf(bar), tape).toFixed(1)} {MASS.sign(tape)}
        </Readout>
      </Readouts>
      <p className="hint">
        Move the rocker: both wheels together ask nothing of the bar, one wheel alone half of what both
        against each other do.{' '}
        {handbook !== null &&
          `The handbook takes the bar as held rigidly at its corners and knows neither overhang, dip nor soft bushings: ${percentOff(handbook / made.rate)} here.`}
      </p>
    </section>
  );
}

function percentOff(ratio: number): string {
  const off = Math.round(100 * (ratio - 1));
  return off === 0 ? 'it agrees' : `${Math.abs(off)} % ${off > 0 ? 'too stiff' : 'too soft'}`;
}
