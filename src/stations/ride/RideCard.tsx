'use client';
import { Button } from 'antd';
import { InputError } from '@/core/rig/read';
import { disagree, onGround } from '@/core/ride/onGround';
import { leafSquare } from '@/core/ride/leafSquare';
import { toeHolds } from '@/core/ride/steering';
import { sayLength } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/cards/Card';
import { StationStripe } from '@/ui/stripe/StationStripe';
import { Adjusters } from './adjusters/Adjusters';
import { Advice } from './Advice';
import { AsSetSheet } from './AsSetSheet';
import { Front } from './Front';
import { GroundReadings } from './GroundReadings';
import { Rounds } from './Rounds';
import { Settle } from './Settle';
import './ride.css';
import type { Job } from '@/core/job/jobSchema';
import { settingOf, type Setting } from '@/core/ride/alignment';

/** On the ground: read how the axle stands, work the bars that set it, read again until it is right; then write it down. */
export function RideCard() {
  const job = useJob();
  const found = setting(job);
  const ground = onGround(job);
  const front = job.rig.end === 'front';
  const right =
    found !== null &&
    typeof found !== 'string' &&
    ground.offset !== null &&
    found.centred &&
    found.square &&
    leafSquare(job) === null &&
    found.pinionSet &&
    toeHolds(job);
  return (
    <>
      <CardHead title="Centre the axle on the ground">
        Weight on the tyres, settled. Read, turn, read again.
      </CardHead>
      <Settle />
      <GroundReadings />
      {disagree(ground) && <Disagreement />}
      {found === null && (
        <p className="ride-wait">
          Measure both gaps from sidewall to frame rail, square across, level with the hub.
        </p>
      )}
      {typeof found === 'string' && (
        <p className="field-problem" role="alert">
          {found}
        </p>
      )}
      {found && typeof found !== 'string' && <Advice found={found} />}
      <SquareOnLeaves />
      <Front />
      <Rounds />
      <Adjusters />
      <AsSetSheet />
      <Caution>
        Nobody under a car that is being bounced. After any change here: jam nuts with two wrenches, thread
        locker only when it is final, a paint line across nut and tube. Alignment on a rack before driving at
        speed; first drive slow, in a closed place.
      </Caution>
      <div className="tools no-print">
        <Button onClick={() => window.print()}>Print the record</Button>
      </div>
      <StationStripe
        station="ride"
        title={front ? 'Axle centred, toe set, jam nuts tight' : 'Axle centred, jam nuts tight'}
        note={
          front
            ? 'Draw it when both gaps agree, toe is read and as wanted, and the nuts are locked and painted.'
            : 'Draw it when both gaps agree and the nuts are locked and painted.'
        }
        disabled={!right}
      />
    </>
  );
}

/** What the readings ask for; null while nothing was read; a sentence where the geometry gives no answer. */
function setting(job: Job): Setting | string | null {
  const { offset } = onGround(job);
  try {
    const found = settingOf(job);
    if (found || offset === null) return found;
    return `The axle sits ${sayLength(Math.abs(offset.value), job.tape)} too far ${offset.value > 0 ? 'left' : 'right'}. No bar of this layout moves it sideways: shift a bracket, or the seats of the springs.`;
  } catch (error) {
    if (error instanceof InputError)
      return `No length of these bars does it: ${error.expected}. Look at their ends on Locate.`;
    throw error;
  }
}

/** No bar squares an axle on leaf springs: it is shifted on them. */
function SquareOnLeaves() {
  const job = useJob();
  const back = leafSquare(job);
  if (back === null) return null;
  const far = sayLength(Math.abs(back), job.tape);
  const [left, right] = back > 0 ? ['back', 'forward'] : ['forward', 'back'];
  return (
    <p className="ride-disagree" role="status" data-part="square-on-leaves">
      The axle is out of square, and no bar of this layout squares it: it is shifted on its springs. {far}{' '}
      {left} on the left spring, or {far} {right} on the right: a slotted plate, an offset centre pin, or the
      spring’s fixed eye moved. Look for a sheared centre pin, a worn eye and a bent perch first. U-bolts
      slack for it, tight with the car on its weight.
    </p>
  );
}

function Disagreement() {
  const job = useJob();
  const { bodyOnFrame } = onGround(job);
  const to = bodyOnFrame!.value > 0 ? 'left' : 'right';
  return (
    <p className="ride-disagree" role="status">
      Frame and fenders disagree: the body sits {sayLength(Math.abs(bodyOnFrame!.value), job.tape)} to the{' '}
      {to} on its frame. Believe the frame: links and tyres run to it. Shift the body on its mounts if it
      shows, or believe the fenders and let the car run that much to one side.
    </p>
  );
}
