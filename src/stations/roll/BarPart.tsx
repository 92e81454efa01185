'use client';
import { Button } from 'antd';
import { usualBar, usualBladeBar, usualStripBar, type BarDesign } from '@/core/roll/barDesign';
import { useJob } from '@/store/jobStore';
import { putRoll } from '@/store/roll';
import { CardHead } from '@/ui/Card';
import { Verdicts } from '@/ui/Verdicts';
import { BarChart } from './BarChart';
import { ArmFields } from './ArmFields';
import { BarResults } from './BarResults';
import { BarSheet } from './BarSheet';
import { BendTable } from './BendTable';
import { Clocking } from './Clocking';
import { DipFields } from './DipFields';
import { FindBar } from './FindBar';
import { LinkFields } from './LinkFields';
import { MiddleFields } from './MiddleFields';
import { StockFields } from './StockFields';
import type { PartProps } from './part';
import { Stow } from './Stow';

/** The sway bar, as a builder would say it; or none, which is a school of its own. */
export function BarPart({ result, verdicts }: PartProps) {
  const job = useJob();
  const { bar } = job.roll;
  const fit = (make: (rig: typeof job.rig) => BarDesign) => putRoll(() => ({ bar: make(job.rig) }));
  const head = (
    <CardHead title="Roll: sway bar">
      A spring between the wheels. Fit one for a reason; drag it in the bay by its diamonds.
    </CardHead>
  );
  if (!bar)
    return (
      <>
        {head}
        <Verdicts verdicts={verdicts} />
        <section className="section">
          <h2>No sway bar</h2>
          <p>
            With a well-set bar across the car, springs and shocks, many want no more behind; others trim the
            balance with one, and run softer springs for it.
          </p>
          <div className="starts">
            <Button type="primary" onClick={() => fit(usualBar)}>
              Fit a bar
            </Button>
            <Button onClick={() => fit(usualBladeBar)}>Fit a straight one with flat arms</Button>
            <Button onClick={() => fit(usualStripBar)}>Fit a tube through the frame</Button>
          </div>
        </section>
      </>
    );
  const made = result?.bar;
  return (
    <>
      <div className="no-print">
        {head}
        <Verdicts verdicts={verdicts} />
        {made && <BarResults made={made} corner={result.corner} />}
        {made && <BarChart made={made} />}
        <StockFields bar={bar} />
        <ArmFields bar={bar} />
        <MiddleFields bar={bar} />
        <DipFields bar={bar} />
        <LinkFields bar={bar} made={made ?? null} />
        <Stow bar={bar} without={result?.without ?? null} />
        {bar.made === 'one-piece' && <BendTable bar={bar} />}
        <Clocking measured={bar.measured} />
        <FindBar bar={bar} rollRate={made?.rollRate ?? null} even={result?.even ?? null} />
        {bar.housing !== null && (
          <p className="hint">
            Order: the bar goes into its tube before the second arm goes on; the tube through the frame is
            welded empty, trued, and only then takes the bar.
          </p>
        )}
        <div className="starts">
          <Button onClick={() => window.print()}>Print the bar sheet</Button>
          <Button onClick={() => putRoll(() => ({ bar: null }))}>Run without a bar</Button>
        </div>
      </div>
      <BarSheet job={job} bar={bar} />
    </>
  );
}
