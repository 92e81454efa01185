'use client';
import { Button } from 'antd';
import { useEffect } from 'react';
import { withoutMembers } from '@/core/job/edits/members/kits';
import { lateralBarOf, PANHARD } from '@/core/rig/roles';
import { inputOf, isGuess } from '@/core/provenance/inputs';
import { formatLength, sayLength } from '@/core/units/length';
import { finer, upToLine } from '@/core/units/tape';
import { edit, enter, useAtRest, useJob, useJobPart } from '@/store/jobStore';
import { CardHead } from '@/ui/cards/Card';
import { FollowsInSight } from '@/ui/cards/FollowsInSight';
import { LengthField } from '@/ui/fields/LengthField';
import { Bends } from '@/stations/locate/members/Bends';
import { Chart } from '@/stations/locate/charts/Chart';
import { EyeToEye } from '@/stations/locate/members/EyeToEye';
import { Joints } from '@/stations/locate/members/Joints';
import { Members } from '@/stations/locate/members/Members';
import { MountsTable } from '@/stations/locate/members/MountsTable';
import { askBestBar, useBestBar } from '@/workers/locate';
import { LateralResults } from './LateralResults';
import { Schools } from './Schools';
import { capital, memberName } from '@/core/rig/names';

/** What holds the axle sideways: a bar across the car, or in some layouts a crank, or links that lean. */
export function SidewaysPart() {
  const end = useJobPart((j) => j.rig.end);
  const hasBar = useJobPart((j) => lateralBarOf(j.rig) !== null);
  return hasBar ? (
    <>
      <CardHead title={capital(memberName(PANHARD, end))}>
        Level at ride height, as long as will fit, parallel to the axle, clear through the travel.
      </CardHead>
      <FollowsInSight>
        <MountsTable memberId={PANHARD} />
        <EyeToEye member={PANHARD} />
      </FollowsInSight>
      <FollowsInSight>
        <Joints member={PANHARD} />
        <Bends member={PANHARD} />
      </FollowsInSight>
      <LateralResults />
      <Chart focus="bar" offered={['shift', 'roll']} />
      <FollowsInSight>
        <ShiftLimit />
        <Schools />
        <TakeOff />
      </FollowsInSight>
    </>
  ) : (
    <>
      <CardHead title="Held sideways">
        No bar across the car here: a crank with two links, links that lean against each other, or leaf
        springs alone.
      </CardHead>
      <LateralResults />
      <Chart focus="bar" offered={['shift', 'roll', 'steer']} />
      <ShiftLimit />
      <Members />
    </>
  );
}

/** Any axle can be looked at without its bar; what is left says what it holds. */
function TakeOff() {
  const name = useJobPart((j) => memberName(PANHARD, j.rig.end));
  const others = useJobPart((j) => j.rig.members.length > 1);
  if (!others) return null;
  return (
    <section className="section">
      <Button onClick={() => edit((j) => withoutMembers(j, [PANHARD]))}>Take the {name} off</Button>
    </section>
  );
}

const allow = (mm: number, typed: string): void =>
  enter('shiftLimit', typed, (j) => ({ ...j, locate: { ...j.locate, shiftLimit: mm } }));

function ShiftLimit() {
  const shiftLimit = useJobPart((j) => j.locate.shiftLimit);
  return (
    <section className="section">
      <h2>Sideways movement you allow</h2>
      <LengthField
        field="shiftLimit"
        label="Sideways movement allowed over the travel"
        mm={shiftLimit}
        least={0.5}
        most={100}
        onEnter={allow}
      />
      <Best />
    </section>
  );
}

/** What the longest bar could do on this car, and so what can be asked of one. */
function Best() {
  const job = useAtRest(useJob());
  const { jobId, best } = useBestBar();
  useEffect(() => void askBestBar(job), [job]);
  if (!best || jobId !== job.id) return null;
  const { tape } = job;
  const say = (mm: number) => sayLength(mm, finer(tape));
  const half = upToLine(1.5 * best.level, tape);
  const asked = !isGuess(inputOf(job, 'shiftLimit'));
  return (
    <p className={asked ? 'hint' : 'proposal'} data-part="best-bar">
      <span>
        The longest bar that fits between these tyres, {say(best.length)}, moves the axle {say(best.level)} if
        it is level at ride height, {say(best.middle)} if it is level in the middle of the travel.
      </span>
      {!asked && (
        <Button onClick={() => allow(half, formatLength(half, tape))}>
          Allow {sayLength(half, tape)}: half as much again
        </Button>
      )}
    </p>
  );
}
