'use client';
import { withBodies } from '@/core/job/bodies/bodies';
import { withPlaced } from '@/core/job/placed';
import { withMeasuredAgain } from '@/core/job/edits/readings';
import { travelOf } from '@/core/job/jobValues';
import type { ShaftFindings } from '@/core/locate/types';
import { sayTravel } from '@/core/locate/verdicts/words';
import type { Rig } from '@/core/rig/schema';
import { formatDegrees } from '@/core/units/length';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { Frac } from '@/ui/figures/Frac';
import { NumberField } from '@/ui/fields/NumberField';
import { Verdicts } from '@/ui/cards/Verdicts';
import { useLocateResult } from '@/workers/locate';
import { useVerdicts } from '@/stations/locate/useVerdicts';
import { Chart } from '@/stations/locate/charts/Chart';
import { MountsTable } from '@/stations/locate/members/MountsTable';
import { ArmsGive, BodySizes } from './BodySizes';
import { ComesOut } from './ComesOut';
import { Lines } from './Lines';
import { RoomField } from './RoomField';
import { Obstacles } from './Obstacles';
import { DRIVESHAFT } from '@/core/rig/mounts';

/** The driveshaft as the axle moves, and the room between things: tank, exhaust, springs, shocks, whatever is in the way. */
export function RoomPart() {
  const shaft = useJobPart((j) => j.rig.driveshaft !== undefined);
  const result = useLocateResult();
  const verdicts = useVerdicts();
  return (
    <>
      <CardHead title="Shaft and room">
        What clears at rest hits at bump: fingers should fit everywhere, at every height of the axle.
      </CardHead>
      {result?.links.shaft && <ShaftResults shaft={result.links.shaft} />}
      {result && <Verdicts tried="locate" verdicts={verdicts.room} />}
      {shaft && <Chart focus="room" offered={['plunge', 'rearJoint', 'frontJoint']} />}
      <Obstacles />
      <Lines />
      <ComesOut />
      <BodySizes />
      <ArmsGive />
      {shaft && <Driveshaft />}
    </>
  );
}

function ShaftResults({ shaft }: { shaft: ShaftFindings }) {
  const tape = useJobPart((j) => j.tape);
  const travel = useJobPart(travelOf);
  return (
    <Readouts>
      <Readout name="Joints at ride height, transmission · pinion" of="joints" term="joints">
        {formatDegrees(shaft.front)} · {formatDegrees(shaft.rear)}
      </Readout>
      <Readout name={`Largest, ${sayTravel(shaft.mostAt, travel, tape)}`} of="jointMost">
        {formatDegrees(shaft.most)}
      </Readout>
      <Readout name="Slip yoke goes in · comes out" of="plunge" term="plunge">
        <Frac mm={shaft.in} tape={tape} /> · <Frac mm={shaft.out} tape={tape} unit />
      </Readout>
    </Readouts>
  );
}

type Angle = 'transmissionAngleDeg' | 'pinionAngleDeg';

function Driveshaft() {
  return (
    <section className="section">
      <h2>Driveshaft, joint to joint</h2>
      <MountsTable memberId={DRIVESHAFT} holes={false} />
      <div className="two-up">
        <AngleField which="transmissionAngleDeg" />
        <AngleField which="pinionAngleDeg" />
      </div>
      <h2>Slip yoke, measured at ride height</h2>
      <div className="two-up">
        <RoomField of="room" way="in" label="It can go in" />
        <RoomField of="room" way="out" label="It can come out, still engaged" />
      </div>
      <p className="hint">
        Set with the shaft in and the car on its weight: paint the yoke at the seal, push it home, measure;
        then pull it as far out as its splines should ever be.
      </p>
    </section>
  );
}

type End = Rig['end'];

/** The tail of the transmission leans with the engine, nose of the engine up: down at the back. The pinion's nose looks forward; of a front axle, back. */
const WAYS: Record<End, Record<Angle, readonly [string, string]>> = {
  rear: { transmissionAngleDeg: ['up', 'down'], pinionAngleDeg: ['down', 'up'] },
  front: { transmissionAngleDeg: ['down', 'up'], pinionAngleDeg: ['up', 'down'] },
};
const LABELS: Record<End, Record<Angle, string>> = {
  rear: { transmissionAngleDeg: 'Transmission tail points', pinionAngleDeg: 'Pinion nose points' },
  front: { transmissionAngleDeg: 'Transfer case output points', pinionAngleDeg: 'Pinion nose points' },
};

function AngleField({ which }: { which: Angle }) {
  const end = useJobPart((j) => j.rig.end);
  const value = useJobPart((j) => j.rig.driveshaft![which]);
  const field = `driveshaft/${which}`;
  return (
    <NumberField
      field={field}
      label={LABELS[end][which]}
      showLabel
      value={value}
      least={-30}
      most={30}
      unit="°"
      decimals={2}
      ways={WAYS[end][which]}
      onEnter={(deg, typed) =>
        enter(field, typed, (j) => {
          const driveshaft: Rig['driveshaft'] = { ...j.rig.driveshaft!, [which]: deg };
          return withBodies({ ...withPlaced(j, []), rig: { ...j.rig, driveshaft } });
        })
      }
      onClear={() => edit((j) => withMeasuredAgain(j, field))}
    />
  );
}
