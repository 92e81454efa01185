'use client';
import { Button } from 'antd';
import { onItsWeight } from '@/core/job/jobValues';
import { judgePlace } from '@/core/bench/judge/place';
import { useJob } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/cards/Card';
import { StationStripe } from '@/ui/stripe/StationStripe';
import { Verdicts } from '@/ui/cards/Verdicts';
import { AsPlaced } from './AsPlaced';
import { Centring } from './Centring';
import { Heights } from './Heights';
import { HeldBy } from './HeldBy';
import { Removal } from './Removal';
import { Rests } from './Rests';
import { Stands } from './Stands';
import './place.css';

/** Where the axle shall live, and how it is held there while everything else is built to it. */
export function PlaceCard() {
  const job = useJob();
  const verdicts = judgePlace(job);
  const { left, right } = job.place.held;
  const known = left !== undefined && right !== undefined;
  const onTires = onItsWeight(job);
  return (
    <div className="place">
      <CardHead title="Hold the axle where it will live">
        {onTires
          ? 'On its tyres, settled, at the height it is built for; wheels chocked, so that nothing rolls.'
          : 'Frame on stands at a height of your choice; the axle on rests that let it go up and down, not fore and aft.'}
      </CardHead>
      <HeldBy />
      <Stands />
      {!known && (
        <p className="ride-wait">
          Measure the frame {onTires ? 'as it stands on its tyres' : 'on its stands'}, both sides, straight
          above the axle.
        </p>
      )}
      {known && !onTires && <Rests />}
      <Verdicts verdicts={verdicts} />
      {known && <AsPlaced />}
      <Centring />
      <Heights />
      <Removal />
      <Caution>
        Stands on solid level ground, the car never on a jack alone, wheels under the sills as a second catch.
        The axle is heavy: a strap over it until its links hold it. Springs hold energy; undo them slack.
      </Caution>
      <div className="tools no-print">
        <Button onClick={() => window.print()}>Print this sheet</Button>
      </div>
      <StationStripe
        station="place"
        title="Axle held in its place"
        note="Draw it when both ends sit at their heights, level and square to the frame."
        disabled={!known || verdicts.some((v) => v.state === 'stop')}
      />
    </div>
  );
}
