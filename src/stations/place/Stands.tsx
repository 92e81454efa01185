'use client';
import { Button } from 'antd';
import { layoutRadius } from '@/core/place/heights';
import { finer } from '@/core/units/tape';
import { frameToMove } from '@/core/job/edits/frameHeight';
import { sayLength } from '@/core/units/length';
import { without } from '@/core/job/edits/omit';
import { useJob } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { putPlace } from './place';
import { SIDES } from '@/core/geometry/side';
import { drivingHeight, onItsWeight } from '@/core/job/jobValues';

/** The frame as it stands, the height it will have, and the tyre. */
export function Stands() {
  const job = useJob();
  const { held } = job.place;
  const toMove = frameToMove(job);
  return (
    <section className="section">
      <h2>{onItsWeight(job) ? 'As it stands on its tyres' : 'On its stands'}</h2>
      <div className="gaps">
        {SIDES.map((side) => (
          <LengthField
            key={side}
            field={`place/held.${side}`}
            label={`Floor to frame, ${side}`}
            showLabel
            mm={held[side] ?? null}
            least={0}
            most={2000}
            placeholder="measure"
            onEnter={(mm, typed) =>
              putPlace(`place/held.${side}`, typed, (p) => ({ held: { ...p.held, [side]: mm } }))
            }
            onClear={() => putPlace(`place/held.${side}`, null, (p) => ({ held: without(p.held, side) }))}
          />
        ))}
        <LengthField
          field="place/rideHeight"
          label="It will be, driving"
          showLabel
          mm={drivingHeight(job)}
          least={0}
          most={1500}
          onEnter={(mm, typed) => putPlace('place/rideHeight', typed, () => ({ rideHeight: mm }))}
          onClear={() => putPlace('place/rideHeight', null, () => ({ rideHeight: undefined }))}
        />
      </div>
      {Math.abs(toMove) > 0.05 && (
        <p className="hint" data-readout="toMove">
          What is on the frame is drawn {sayLength(Math.abs(toMove), job.tape)}{' '}
          {toMove < 0 ? 'higher' : 'lower'} than that. Locate, under Heights, shows what moving it changes,
          and moves it.
        </p>
      )}
      <details className="approach">
        <summary>Tyre radius used: {sayLength(layoutRadius(job), finer(job.tape))}</summary>
        <div className="approach-body">
          <LengthField
            field="place/tireDiameter"
            label="Tyre not on yet? Its diameter; half of it is used"
            showLabel
            mm={job.place.tireDiameter ?? null}
            least={300}
            most={1400}
            placeholder="as recorded"
            onEnter={(mm, typed) => putPlace('place/tireDiameter', typed, () => ({ tireDiameter: mm }))}
            onClear={() => putPlace('place/tireDiameter', null, () => ({ tireDiameter: undefined }))}
          />
          {job.place.tireDiameter !== undefined && (
            <Button onClick={() => putPlace('place/tireDiameter', null, () => ({ tireDiameter: undefined }))}>
              Use the radius as recorded
            </Button>
          )}
          <p className="hint">
            A tyre under load stands lower than half of its diameter. Laid out with the frame flat on the
            ground, half of the diameter is right; for a car that drives, the loaded radius is.
          </p>
        </div>
      </details>
    </section>
  );
}
