'use client';
import { Button, Segmented } from 'antd';
import { memo, useEffect } from 'react';
import type { RollPart } from '@/core/roll/analyse';
import { showDragged, useDragged, useJob } from '@/store/jobStore';
import { useRocker } from '@/store/rocker';
import { forget, useWhatIf } from '@/store/edits/rollEdits';
import { setPreferences, usePreferences } from '@/store/preferences';
import { Caution } from '@/ui/cards/Card';
import { StationStripe } from '@/ui/stripe/StationStripe';
import { askRoll, useRoll } from '@/workers/roll';
import { BalancePart } from '@/stations/roll/balance/BalancePart';
import { BarPart } from '@/stations/roll/bar/BarPart';
import { SetUpSheet } from '@/stations/roll/paper/SetUpSheet';
import { SpringsPart } from '@/stations/roll/springs/SpringsPart';
import './roll.css';

const PARTS: { value: RollPart; label: string }[] = [
  { value: 'springs', label: 'Springs' },
  { value: 'bar', label: 'Sway bar' },
  { value: 'balance', label: 'Balance' },
];
const CARDS = { springs: SpringsPart, bar: BarPart, balance: BalancePart };

/** Springs, sway bar and the balance of the car: whether it needs a bar, which, and what every change does. */
export function RollCard() {
  const job = useJob();
  const rocker = useRocker();
  const whatIf = useWhatIf();
  const part = usePreferences((s) => s.roll);
  const { result, verdicts: said, problem, job: about, part: asked } = useRoll();
  useEffect(() => void askRoll({ job, rocker, part, whatIf }), [job, rocker, part, whatIf]);
  // While something is dragged the worker is at it before the fields have been drawn.
  useEffect(
    () =>
      useDragged.subscribe(
        ({ job: dragged }) => dragged && void askRoll({ job: dragged, rocker, part, whatIf }),
      ),
    [rocker, part, whatIf],
  );
  useEffect(() => useRoll.subscribe(({ job: answered }) => answered && showDragged(answered)), []);
  // What was thought about belongs to one visit of one car.
  useEffect(() => forget, [job.id]);
  const current = about?.id === job.id && asked === part && !problem ? result : null;
  const verdicts = current ? said : [];
  const Part = CARDS[part];
  return (
    <>
      <WhichPart part={part} />
      {problem && about?.id === job.id && (
        <p className="field-problem" role="alert">
          The bar cannot be worked out: {problem}.
        </p>
      )}
      {part === 'bar' && job.roll.bar ? (
        <Part result={current} verdicts={verdicts} />
      ) : (
        <>
          <div className="no-print">
            <Part result={current} verdicts={verdicts} />
            <Button className="print-sheet" onClick={() => window.print()}>
              Print the set-up sheet
            </Button>
          </div>
          <SetUpSheet result={current} />
        </>
      )}
      <Caution>
        Springs and bars hold energy: undo end links first, with the car on its wheels. Never weld to a sway
        bar: it is spring steel.
      </Caution>
      <StationStripe
        station="roll"
        title="Springs and bar settled"
        note="Draw it when what is fitted is what stands here."
        disabled={!job.roll.springs && !job.roll.bar}
      />
    </>
  );
}

/** Kept as it is while what stands under it follows a drag. */
const WhichPart = memo(function WhichPart({ part }: { part: RollPart }) {
  return (
    <Segmented<RollPart>
      aria-label="What to settle"
      block
      value={part}
      onChange={(next) => setPreferences({ roll: next })}
      options={PARTS}
      className="roll-parts-of no-print"
    />
  );
});
