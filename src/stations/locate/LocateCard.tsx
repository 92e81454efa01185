'use client';
import { Segmented } from 'antd';
import { PANHARD } from '@/core/layouts/patterns';
import { setFocus, useFocus, type Focus } from '@/store/focus';
import { edit, useJobPart } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/Card';
import { LengthField } from '@/ui/LengthField';
import { StationStripe } from '@/ui/StationStripe';
import { useAnalysis } from '@/workers/analysis';
import { LinksPart } from './LinksPart';
import { MountsTable } from './MountsTable';
import { Results } from './Results';
import { Schools } from './Schools';
import { TravelCurve } from './TravelCurve';
import './locate.css';

const PARTS: { value: Focus; label: string }[] = [
  { value: 'bar', label: 'Across the car' },
  { value: 'links', label: 'Fore and aft' },
];

/** Lays out what holds the axle: the bar across the car, and the members that hold it lengthwise. */
export function LocateCard() {
  const focus = useFocus((s) => s.focus);
  return (
    <>
      <Segmented<Focus>
        aria-label="What to lay out"
        block
        value={focus}
        onChange={setFocus}
        options={PARTS}
        className="locate-focus"
      />
      {focus === 'bar' ? <BarPart /> : <LinksPart />}
      <Caution>
        What holds the axle under the car is life-critical, its brackets and welds too. What Pellik works out
        is an aid to judgement, not an approval.
      </Caution>
      <StationStripe
        station="locate"
        title="Layout settled"
        note="Draw it when you mean to build it like this."
      />
    </>
  );
}

function BarPart() {
  const end = useJobPart((j) => j.rig.end);
  return (
    <>
      <CardHead title={end === 'front' ? 'Track bar' : 'Panhard bar'}>
        Level at ride height, as long as will fit, parallel to the axle, clear through the travel.
      </CardHead>
      <MountsTable memberId={PANHARD} />
      <Problem />
      <Results />
      <TravelCurve offered={['shift', 'roll']} />
      <ShiftLimit />
      <Schools />
    </>
  );
}

/** Said where the geometry as it stands cannot be moved at all. */
function Problem() {
  const problem = useAnalysis((s) => s.problem);
  if (!problem) return null;
  return (
    <p className="field-problem" role="alert">
      This cannot be drawn in motion: {problem}.
    </p>
  );
}

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
        onEnter={(mm, typed) =>
          edit((j) => ({
            ...j,
            locate: { ...j.locate, shiftLimit: mm },
            typed: { ...j.typed, shiftLimit: typed },
          }))
        }
      />
    </section>
  );
}
