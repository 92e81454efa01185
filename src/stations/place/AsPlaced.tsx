'use client';
import type { Agreement } from '@/core/survey/agreement';
import { asFound } from '@/core/record/asFound';
import { datumName, wayOf } from '@/core/survey/quantities/datums';
import { schoolsOf } from '@/core/place/heights';
import { placeKey } from '@/core/place/placeChecks';
import { finer } from '@/core/units/tape';
import { sayLength } from '@/core/units/length';
import { without } from '@/core/job/edits/omit';
import { useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { useJobAgreement } from '@/workers/choosing/search';
import { putPlace } from './place';
import { SIDES, type Side } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import { onItsWeight } from '@/core/job/jobValues';

const WHAT: [key: 'rest' | 'datum' | 'diagonal', label: string, most: number][] = [
  ['rest', 'Floor to the underside of the tube', 2000],
  ['datum', 'Datum to the middle of the axle', 4000],
  ['diagonal', 'Datum to the other end of the axle', 5000],
];

/** The axle as it sits on its rests now, measured. */
export function AsPlaced() {
  const job = useJob();
  const wanted = wantedDistance(job, useJobAgreement(job) ?? null);
  return (
    <section className="section no-print">
      <h2>As it sits now</h2>
      {WHAT.filter(([what]) => what !== 'rest' || !onItsWeight(job)).map(([what, label, most]) => (
        <div className="as-placed" key={what}>
          <span>
            {label.replace('Datum', datumName(job.record.datum, job.rig.end))}
            {what === 'datum' && wanted !== null && (
              <span className="hint">wanted: {sayLength(wanted, finer(job.tape))}, both sides</span>
            )}
          </span>
          {SIDES.map((side) => {
            const field = `place/${placeKey(what, side)}`;
            return (
              <LengthField
                key={side}
                field={field}
                label={`${label}, ${side}`}
                mm={job.place.measured[placeKey(what, side)] ?? null}
                least={0}
                most={most}
                placeholder={side}
                onEnter={(mm, typed) =>
                  putPlace(field, typed, (p) => ({ measured: { ...p.measured, [placeKey(what, side)]: mm } }))
                }
                onClear={() =>
                  putPlace(field, null, (p) => ({ measured: without(p.measured, placeKey(what, side)) }))
                }
              />
            );
          })}
        </div>
      ))}
    </section>
  );
}

/** Where the axle should be from the datum so that its wheels stand in the middle of their openings, mm; null until both are known. */
function wantedDistance(job: Job, agreement: Agreement | null): number | null {
  const found = asFound(job.readings, agreement, job.record.datum, job.rig.end);
  const value = (id: string) => found.find((f) => f.id === id)?.value;
  const middle = (side: Side) => value(`middle.${side}`);
  const [left, right] = [middle('left'), middle('right')];
  if (left === undefined || right === undefined) return null;
  const openings = SIDES.flatMap((side) => value(`opening.${side}`) ?? []);
  const ahead = openings.length ? openings.reduce((a, b) => a + b, 0) / openings.length : 0;
  const school = schoolsOf(job)[job.place.school]?.driving ?? 0;
  const way = wayOf(job.record.datum, job.rig.end);
  // Moving the axle ahead shortens its distance from a datum that stands ahead of it.
  return (left + right) / 2 + way * (ahead - school);
}
