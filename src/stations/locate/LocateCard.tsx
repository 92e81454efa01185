'use client';
import { Button, Segmented } from 'antd';
import { lazy, Suspense } from 'react';
import { setPreferences, usePreferences, type LocatePart } from '@/store/preferences';
import { Opening } from '@/ui/Opening';
import { Caution } from '@/ui/cards/Card';
import { StationStripe } from '@/ui/stripe/StationStripe';
import { useLocate } from '@/workers/locate';
import { LinksPart } from '@/stations/locate/members/LinksPart';
import { MountSheet } from '@/stations/locate/members/MountSheet';
import { RoomPart } from '@/stations/locate/room/RoomPart';
import { SidewaysPart } from '@/stations/locate/sideways/SidewaysPart';
import './locate.css';

// What is opened now and then is fetched then.
const ForcesPart = lazy(async () => ({ default: (await import('./forces/ForcesPart')).ForcesPart }));
const HeightsPart = lazy(async () => ({ default: (await import('./heights/HeightsPart')).HeightsPart }));
const FindPart = lazy(async () => ({ default: (await import('./find/FindPart')).FindPart }));
const WaysPart = lazy(async () => ({ default: (await import('./ways/WaysPart')).WaysPart }));
const WaysSheet = lazy(async () => ({ default: (await import('./ways/WaysSheet')).WaysSheet }));

const PARTS: { value: LocatePart; label: string }[] = [
  { value: 'bar', label: 'Sideways' },
  { value: 'links', label: 'Lengthwise' },
  { value: 'room', label: 'Room' },
  { value: 'forces', label: 'Forces' },
  { value: 'heights', label: 'Heights' },
  { value: 'find', label: 'Find' },
  { value: 'ways', label: 'Ways' },
];
const CARDS = {
  bar: SidewaysPart,
  links: LinksPart,
  room: RoomPart,
  forces: ForcesPart,
  heights: HeightsPart,
  find: FindPart,
  ways: WaysPart,
};

/** Lays out what holds the axle: sideways, lengthwise; the room it needs to move; and what its members carry. */
export function LocateCard() {
  const focus = usePreferences((s) => s.focus);
  const Part = CARDS[focus];
  return (
    <>
      <div className="no-print">
        <Segmented<LocatePart>
          aria-label="What to lay out"
          block
          value={focus}
          onChange={(next) => setPreferences({ focus: next })}
          options={PARTS}
          className="locate-focus"
        />
        <Problem />
        <Opening>
          <Part />
        </Opening>
        <Button className="print-sheet" onClick={() => window.print()}>
          {focus === 'ways' ? 'Print the ways' : 'Print where the mounts stand'}
        </Button>
        <Caution>
          What holds the axle under the car is life-critical, its brackets and welds too. What Pellik works
          out is an aid to judgement, not an approval.
        </Caution>
        <StationStripe
          station="locate"
          title="Layout settled"
          note="Draw it when you mean to build it like this."
        />
      </div>
      <Suspense>{focus === 'ways' ? <WaysSheet /> : <MountSheet />}</Suspense>
    </>
  );
}

/** Said where the geometry as it stands cannot be moved at all; what is shown beside it is how it last could. */
function Problem() {
  const problem = useLocate((s) => s.problem);
  if (!problem) return null;
  return (
    <p className="field-problem" role="alert">
      This cannot be drawn in motion: {problem}. The figures below are from before.
    </p>
  );
}
