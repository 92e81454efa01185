'use client';
import { Button, Segmented } from 'antd';
import { SPRING_KINDS, type SpringDesign } from '@/core/springs/springDesign';
import { sayLength } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { startSprings } from '@/store/edits/rollEdits';
import { CardHead } from '@/ui/cards/Card';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { Verdicts } from '@/ui/cards/Verdicts';
import { AirFields } from './AirFields';
import { AirHeights } from './AirHeights';
import { CoilFields } from './CoilFields';
import { FindSpring } from './FindSpring';
import { LeafFields } from './LeafFields';
import { RideChart } from './RideChart';
import type { PartProps } from '@/stations/roll/part';
import { ShockFields, StopFields } from './ShockAndStop';
import { FORCE, ROLL_RATE, SPRING_RATE } from '@/core/units/unit';

const KINDS: Record<SpringDesign['kind'], string> = { coil: 'Coil', leaf: 'Leaf', air: 'Air' };

/** The pair of springs, what they stand on beside them, and what it comes to at the tyres. */
export function SpringsPart({ result, verdicts }: PartProps) {
  const job = useJob();
  const { springs } = job.roll;
  const { tape } = job;
  const leaves = job.rig.members.some((m) => m.type === 'leaf');
  const start = (kind: SpringDesign['kind']) => void startSprings(kind);
  const head = (
    <CardHead title="Roll: springs">
      How stiff, how much travel, and whether it stands where it should.
    </CardHead>
  );
  if (!springs)
    return (
      <>
        {head}
        <section className="section">
          <h2>Springs</h2>
          <p>Not told yet. Start from a usual pair and put its figures right.</p>
          <Button type="primary" onClick={() => start(leaves ? 'leaf' : 'coil')}>
            Start from a usual pair
          </Button>
        </section>
      </>
    );
  const ride = result?.ride;
  const answer = result?.springs[0];
  const leverage = `Spring moves, for 1 ${tape === 'mm' ? 'mm' : 'in'} of both wheels`;
  return (
    <>
      {head}
      <Verdicts tried="roll" verdicts={verdicts} />
      <Readouts>
        {ride && (
          <>
            <Readout name="Bounces, a second" of="frequency" term="bounces">
              {ride.frequency.toFixed(2)}
            </Readout>
            <Readout name="At the tyre, each" of="wheelRate">
              {SPRING_RATE.say(ride.wheelRate, tape)}
            </Readout>
            <Readout name={leverage} of="leverage" term="leverage">
              {ride.ratio.toFixed(2)}
            </Readout>
            <Readout name="Carries at rest, each tyre" of="standing">
              {FORCE.say(ride.standing, tape)}
            </Readout>
            {springs.kind === 'coil' && (
              <Readout name="Free length it wants" of="free">
                {sayLength(ride.wanted.free!, tape)}
              </Readout>
            )}
          </>
        )}
        {result && result.springs.length > 0 && (
          <Readout name="Against roll, the pair" of="springsRollRate" term="againstRoll">
            {ROLL_RATE.say(
              result.springs.reduce((sum, s) => sum + s.rollRate, 0),
              tape,
            )}
          </Readout>
        )}
        {!ride && answer && (
          <>
            <Readout name="At the tyre, each" of="wheelRate">
              {SPRING_RATE.say(answer.wheelRate, tape)}
            </Readout>
            <Readout name={leverage} of="leverage">
              {answer.motionRatio.toFixed(2)}
            </Readout>
          </>
        )}
      </Readouts>
      {!ride && answer && (
        <p className="hint">
          With the car’s weight (Locate, Forces) it also tells how often it bounces, how much travel a bump
          takes, and whether it stands level.
        </p>
      )}
      {ride && <RideChart ride={ride} />}
      {ride && <AirHeights ride={ride} />}
      <section className="section">
        <h2>Springs, each</h2>
        <Segmented<SpringDesign['kind']>
          aria-label="Kind of spring"
          options={SPRING_KINDS.map((value) => ({ value, label: KINDS[value] }))}
          value={springs.kind}
          onChange={(kind) => kind !== springs.kind && start(kind)}
        />
        {springs.kind === 'coil' && <CoilFields springs={springs} />}
        {springs.kind === 'leaf' && <LeafFields springs={springs} />}
        {springs.kind === 'air' && <AirFields springs={springs} />}
      </section>
      {ride && springs.kind === 'coil' && <FindSpring springs={springs} ride={ride} />}
      <ShockFields />
      <StopFields />
    </>
  );
}
