'use client';
import { DRAG_LINK, pointing, steeringOf } from '@/core/ride/steering';
import { SIDES } from '@/core/geometry/side';
import { formatDegrees } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { ReadField } from '../ReadField';
import { RodAdjuster } from './RodAdjuster';
import { RodAdvice } from './RodAdvice';

const sayPointing = (deg: number): string =>
  Math.abs(deg) < 0.005
    ? 'straight ahead'
    : `${formatDegrees(Math.abs(deg), 2)} to the ${deg > 0 ? 'left' : 'right'}`;

/** Where the front wheels point with the steering wheel straight, from a string along either side, and the drag link that mends it. */
export function Straight() {
  const job = useJob();
  const setting = steeringOf(job);
  const straight = setting?.straight ?? null;
  const read = pointing(job);
  const hasLink = job.rig.steering !== undefined;
  return (
    <section className="section" data-part="straight">
      <h2>Steering wheel straight</h2>
      <div className="two-up">
        {SIDES.flatMap((side) =>
          (['front', 'rear'] as const).map((edge) => (
            <ReadField
              key={`${side}.${edge}`}
              name={`straight.${side}.${edge}`}
              label={`${side === 'left' ? 'Left' : 'Right'} string to the ${edge} of the tyre`}
              least={0}
              most={600}
            />
          )),
        )}
      </div>
      <p className="hint">
        Steering wheel held on its mark. A string along either side, even off both hubs of the rear axle; from
        it to the front and the back of each front tyre, at hub height.
      </p>
      <Readouts>
        {read !== null && (
          <Readout name="Front wheels point" of="pointing">
            {sayPointing(read)}
          </Readout>
        )}
      </Readouts>
      {straight && !straight.holds && setting?.toe?.rod && setting.heldBy && (
        <p className="hint">
          The drag link holds the {setting.heldBy} wheel, so the toe comes on the other: once it is set, the
          two point {sayPointing(straight.now)}.
        </p>
      )}
      {straight?.rod && <RodAdvice rod={straight.rod}>After it: {sayPointing(straight.after)}.</RodAdvice>}
      {straight && !straight.holds && !straight.rod && (
        <p className="hint" role="status">
          {hasLink
            ? 'No length of this drag link does it: look at its ends on Locate.'
            : 'The box is on the axle: move its arm on its splines, or the steering wheel on its shaft.'}
        </p>
      )}
      {hasLink && <RodAdjuster id={DRAG_LINK} ends={['box', 'wheel']} />}
    </section>
  );
}
