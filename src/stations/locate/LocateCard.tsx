'use client';
import { useState } from 'react';
import { PANHARD } from '@/core/layouts/patterns';
import { edit, useJobPart } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/Card';
import { LengthField } from '@/ui/LengthField';
import { StationStripe } from '@/ui/StationStripe';
import { useAnalysis } from '@/workers/analysis';
import { EndsTable } from './EndsTable';
import { Results } from './Results';
import { Schools } from './Schools';
import { TravelCurve } from './TravelCurve';
import './locate.css';

const LINK_NAMES: Record<string, string> = {
  'lower-left': 'Lower link, left',
  'lower-right': 'Lower link, right',
  upper: 'Upper link',
};

/** Lays out the bar that holds the axle sideways: level, long, parallel, clear through the travel. */
export function LocateCard() {
  return (
    <>
      <CardHead title="Panhard bar">
        Level at ride height, as long as will fit, parallel to the axle, clear through the travel.
      </CardHead>
      <EndsTable memberId={PANHARD} />
      <Problem />
      <Results />
      <TravelCurve />
      <ShiftLimit />
      <Schools />
      <Links />
      <Caution>
        The bar and its brackets hold the axle under the car: their design and welds are life-critical. What
        Pellik works out is an aid to judgement, not an approval.
      </Caution>
      <StationStripe
        station="locate"
        title="Bar laid out"
        note="Draw it when you mean to build it like this."
      />
    </>
  );
}

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

function Links() {
  const [open, setOpen] = useState(false);
  const ids = useJobPart((j) => j.rig.members.map((m) => m.id)).filter((id) => id !== PANHARD);
  return (
    <details className="section" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>The three links</summary>
      {open && (
        <>
          <p className="hint">
            They stand in the usual pattern until you type where yours are. The bar’s own figures hardly
            change with them; roll steer does.
          </p>
          {ids.map((id) => (
            <div key={id} className="link-block">
              <h3>{LINK_NAMES[id] ?? id}</h3>
              <EndsTable memberId={id} />
            </div>
          ))}
        </>
      )}
    </details>
  );
}
