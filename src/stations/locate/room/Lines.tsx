'use client';
import { Button } from 'antd';
import type { Job } from '@/core/job/jobSchema';
import { capital } from '@/core/rig/names';
import type { Point } from '@/core/geometry/vector';
import { COORDINATES } from '@/stations/locate/members/places';
import { freeName } from '@/store/edits/obstacleEdits';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { Caution } from '@/ui/cards/Card';

type Line = Job['lines'][number];

const changed = (job: Job, id: string, change: (line: Line) => Line[]): Job => ({
  ...job,
  lines: job.lines.flatMap((line) => (line.id === id ? change(line) : [line])),
});

/** A brake hose as it commonly runs: from the frame over the axle to its middle; of a front axle to the left wheel. */
function usualLine({ rig, lines }: Job): Line {
  const { tireRadius: r, track, end } = rig;
  const front = end === 'front';
  return {
    id: freeName('brake hose', lines),
    frame: front ? [120, Math.round(0.3 * track), r + 200] : [160, 60, r + 180],
    axle: front ? [60, Math.round(0.44 * track), r + 40] : [40, 140, r + 60],
    length: 380,
  };
}

/** Hoses, lines and cables: they must reach at full droop and lock, and not hang into what turns. */
export function Lines() {
  const lines = useJobPart((j) => j.lines);
  return (
    <section className="section">
      <h2>Hoses, lines and cables</h2>
      {lines.map((line) => (
        <OneLine key={line.id} line={line} />
      ))}
      <Button
        className="add-part"
        disabled={lines.length >= 20}
        onClick={() => edit((j) => ({ ...j, lines: [...j.lines, usualLine(j)] }))}
      >
        Add a hose, line or cable
      </Button>
      {lines.length > 0 && (
        <Caution>
          A brake hose that is pulled, twisted or rubbed fails: look at each at full droop, full bump and both
          locks, by hand, before the car moves.
        </Caution>
      )}
    </section>
  );
}

const ENDS = [
  ['frame', 'end on the frame'],
  ['axle', 'end on the axle'],
] as const;

function OneLine({ line }: { line: Line }) {
  const { id, length } = line;
  return (
    <div className="thing-block">
      <div className="link-head">
        <h3>{capital(id)}</h3>
        <Button
          type="text"
          size="small"
          aria-label={`Remove ${id}`}
          onClick={() => edit((j) => changed(j, id, () => []))}
        >
          remove
        </Button>
      </div>
      {ENDS.map(([end, name]) => (
        <div key={end} className={`ends-row thing-point ${end === 'frame' ? 'chassis' : ''}`}>
          <h3>{name}</h3>
          {COORDINATES.map(({ axis, name: place, ways, sign, least, most }) => (
            <div key={axis}>
              <span className="place" aria-hidden>
                {place}
              </span>
              <LengthField
                field={`line/${id}/${end}/${axis}`}
                label={`${id}, ${name}, ${place}`}
                mm={sign * line[end][axis]}
                least={least}
                most={most}
                ways={ways}
                onEnter={(mm, typed) =>
                  enter(`line/${id}/${end}/${axis}`, typed, (j) =>
                    changed(j, id, (l) => [
                      { ...l, [end]: l[end].map((v, k) => (k === axis ? sign * mm : v)) as Point },
                    ]),
                  )
                }
              />
            </div>
          ))}
        </div>
      ))}
      <LengthField
        field={`line/${id}/length`}
        label="its length, along itself"
        showLabel
        mm={length}
        least={20}
        most={3000}
        onEnter={(mm, typed) =>
          enter(`line/${id}/length`, typed, (j) => changed(j, id, (l) => [{ ...l, length: mm }]))
        }
      />
    </div>
  );
}
