'use client';
import { Button } from 'antd';
import { withFrameMoved } from '@/core/job/edits/frameHeight';
import type { Job } from '@/core/job/jobSchema';
import type { Moved } from '@/core/locate/heights';
import type { Gap } from '@/core/locate/types';
import { memberName } from '@/core/rig/names';
import { lateralBarOf } from '@/core/rig/roles';
import { sayLength } from '@/core/units/length';
import { sayGive } from '@/core/locate/verdicts/linkVerdicts';
import { edit, useJob } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { HeightsTable } from './HeightsTable';

/** A change of length that is worth a word, mm: half a line of a fine tape. */
const TOLD = 0.4;

/** What moving the frame to the height that is built for does, before it is done; and what would put each thing back. */
export function MoveFrame({ by, moved }: { by: number; moved: Moved }) {
  const job = useJob();
  const { tape } = job;
  const way = `${sayLength(Math.abs(by), tape)} ${by < 0 ? 'down' : 'up'}`;
  return (
    <div className="move-frame" data-readout="moveFrame">
      <p>
        What is on the frame is drawn {sayLength(Math.abs(by), tape)} {by < 0 ? 'higher' : 'lower'} than the
        car is to stand.
      </p>
      <HeightsTable
        id="moved"
        tape={tape}
        columns={[
          { name: 'as drawn', values: moved.before },
          { name: 'moved', values: moved.after },
        ]}
      />
      <ul className="back-list">
        {putsBack(job, by, moved).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <Button
        type="primary"
        onClick={() => {
          setRocker(0, 0);
          edit((j) => withFrameMoved(j, by));
        }}
      >
        Move what is on the frame {way}
      </Button>
      <p className="hint">
        The bump stops stay where they are: travel changes with the height. Measure bump and droop again at
        Record, or type what they are to be.
      </p>
    </div>
  );
}

/** Which hole, or how far on its bracket, puts the bar back as it was; which bars must be cut or turned longer for the axle to stay. */
function putsBack(job: Job, by: number, { lengths, closest }: Moved): string[] {
  const { tape, rig, holes } = job;
  const bar = lateralBarOf(rig);
  const name = (id: string) => memberName(id, rig.end);
  const row = bar && holes[`${bar.id}/chassis`];
  const steps = row ? Math.abs(by) / row.pitch : null;
  const inHoles =
    steps !== null && Math.abs(steps - Math.round(steps)) * row!.pitch < 1 ? Math.round(steps) : null;
  const back = by < 0 ? 'up' : 'down';
  const gap = ({ a, b, distance }: Gap) =>
    `${name(a)} to ${name(b)}, ${distance < 0 ? `into each other by ${sayLength(-distance, tape)}` : sayLength(distance, tape)}`;
  const long = lengths.filter(({ by: mm }) => Math.abs(mm) >= TOLD);
  return [
    ...(bar
      ? [
          inHoles
            ? `${inHoles} ${inHoles === 1 ? 'hole' : 'holes'} ${back} at its frame end puts the ${name(bar.id)} back as it leans now.`
            : `Its frame end ${sayLength(Math.abs(by), tape)} ${back} on the frame puts the ${name(bar.id)} back as it leans now.`,
        ]
      : []),
    ...(long.length
      ? [
          `For the axle to stay where it is: ${long
            .map(
              ({ member, by: mm }) =>
                `${name(member)} ${sayGive(Math.abs(mm), tape)} ${mm > 0 ? 'longer' : 'shorter'}`,
            )
            .join(', ')}.`,
        ]
      : ['No bar changes its length enough to tell.']),
    ...(closest.before && closest.after
      ? [`The tightest place over the travel: now ${gap(closest.before)}; then ${gap(closest.after)}.`]
      : []),
  ];
}
