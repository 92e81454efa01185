'use client';
import { LAYOUT_NAMES } from '@/core/rig/names';
import { formatDegrees } from '@/core/units/length';
import { sayGive } from '@/core/locate/verdicts/linkVerdicts';
import { reachedPoints } from '@/core/locate/travel/travelCurve';
import type { LocateResult } from '@/core/locate/types';
import type { Tape } from '@/core/units/tape';
import { sayInstantCentre, sayTravel } from '@/core/locate/verdicts/words';
import { travelOf } from '@/core/job/jobValues';
import { useJobPart } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { Verdicts } from '@/ui/cards/Verdicts';
import { useLocateResult } from '@/workers/locate';
import { useVerdicts } from '@/stations/locate/useVerdicts';
import { Chart } from '@/stations/locate/charts/Chart';
import { Braking } from './Braking';
import { GravityHeight } from '@/stations/locate/GravityHeight';
import { RoomField } from '@/stations/locate/room/RoomField';
import { HoleChoices } from './HoleChoices';
import { Members } from './Members';
import { MountsTable } from './MountsTable';
import { PlusMinus } from '@/stations/locate/PlusMinus';
import { STEERING } from '@/core/rig/mounts';

/** The members that hold the axle lengthwise and stop it turning: how it pulls, steers and turns its pinion. */
export function LinksPart() {
  const layout = useJobPart((j) => j.layout);
  const end = useJobPart((j) => j.rig.end);
  const steering = useJobPart((j) => j.rig.steering !== undefined);
  const slider = useJobPart((j) => j.rig.members.some((m) => m.type === 'slider-arm'));
  return (
    <>
      <CardHead title={LAYOUT_NAMES[layout][0]}>{LAYOUT_NAMES[layout][1]}</CardHead>
      <LinkResults />
      <Chart
        focus="links"
        offered={
          end === 'rear'
            ? ['antiSquat', 'rollSteer', 'pinion', 'steer']
            : ['bumpSteer', 'rollSteer', 'caster', 'steer']
        }
      />
      <Members />
      <HoleChoices />
      {steering && (
        <section className="section">
          <h2>Drag link</h2>
          <MountsTable memberId={STEERING} />
        </section>
      )}
      {slider && (
        <section className="section">
          <h2>Slider of the torque arm, measured at ride height</h2>
          <div className="two-up">
            <RoomField of="slider" way="in" label="It can go in" />
            <RoomField of="slider" way="out" label="It can come out, still engaged" />
          </div>
        </section>
      )}
      {end === 'rear' && <GravityHeight />}
      {end === 'rear' && <Braking />}
    </>
  );
}

function LinkResults() {
  const tape = useJobPart((j) => j.tape);
  const rear = useJobPart((j) => j.rig.end === 'rear');
  const travel = useJobPart(travelOf);
  const result = useLocateResult();
  const verdicts = useVerdicts();
  if (!result) return null;
  const { links } = result;
  const [meet, meetUp] = sayInstantCentre(links.instantCentre, tape);
  const moves = meetOverTravel(result.curve, tape);
  return (
    <>
      <Readouts>
        {rear && links.antiSquat !== null && (
          <Readout name="Anti-squat" of="antiSquat" term="antiSquat">
            {Math.round(links.antiSquat)} %<PlusMinus of="antiSquat" unit="%" />
          </Readout>
        )}
        {rear && links.antiLift !== null && (
          <Readout name="Anti-lift, braking" of="antiLift">
            {Math.round(links.antiLift)} %
          </Readout>
        )}
        {links.rollSteer !== null && (
          <Readout name="Steers, for a degree of roll" of="rollSteer" term="rollSteer">
            {formatDegrees(Math.abs(links.rollSteer), 2)}
            <PlusMinus of="rollSteer" unit="°" /> {rear && steeringWord(links.rollSteer)}
          </Readout>
        )}
        {links.steering && (
          <Readout name="Bumps steer it, at most" of="bumpSteer" term="bumpSteer">
            {links.steering.wheels === null
              ? 'out of reach'
              : formatDegrees(Math.max(links.steering.wheels.both, links.steering.wheels.one))}
          </Readout>
        )}
        <Readout
          name={rear ? 'Pinion turns, droop to bump' : 'Caster changes, droop to bump'}
          of="pinion"
          term={rear ? 'pinion' : 'caster'}
        >
          {formatDegrees(links.pinion)}
        </Readout>
        <Readout name="Lines of the members meet" of="instantCentre" term="instantCentre">
          {meet}
          <PlusMinus of="crossing" />
          {meetUp && `, ${meetUp}`}
        </Readout>
        {moves &&
          (['droop', 'bump'] as const).map((end) => (
            <Readout key={end} name={`at ${end}`} of="instantCentreMoves">
              {moves[end]}
            </Readout>
          ))}
        {links.bind && (
          <Readout name={`Must give, ${sayTravel(links.bind.at, travel, tape)}`} of="bind" term="bind">
            {sayGive(links.bind.give, tape)}
          </Readout>
        )}
      </Readouts>
      <Verdicts tried="locate" verdicts={verdicts.lengthwise} />
    </>
  );
}

/** Where the lines of the members meet as far down and as far up as the axle goes, in words; null where they meet in one place. */
function meetOverTravel(curve: LocateResult['curve'], tape: Tape): Record<'droop' | 'bump', string> | null {
  const words = reachedPoints(curve).map((p) => sayInstantCentre(p.instantCentre, tape).join(', '));
  return new Set(words).size > 1 ? { droop: words[0]!, bump: words.at(-1)! } : null;
}

function steeringWord(rollSteer: number): string {
  if (Math.abs(rollSteer) < 0.005) return '';
  return rollSteer > 0 ? 'steadying' : 'loosening';
}
