'use client';
import { Button } from 'antd';
import { memo } from 'react';
import { usualBar, usualBladeBar, usualStripBar, type BarDesign } from '@/core/swaybar/swayBarDesign';
import type { Rig } from '@/core/rig/schema';
import { useJobPart } from '@/store/jobStore';
import { putRoll, startBar } from '@/store/edits/rollEdits';
import { CardHead } from '@/ui/cards/Card';
import { FollowsInSight } from '@/ui/cards/FollowsInSight';
import { Verdicts } from '@/ui/cards/Verdicts';
import { ArmFields } from './ArmFields';
import { BarChart } from './BarChart';
import type { BarProps } from './BarLength';
import { BarResults } from './BarResults';
import { BarSheet } from '@/stations/roll/paper/BarSheet';
import { BendTable } from '@/stations/roll/paper/BendTable';
import { Clocking } from './Clocking';
import { DipFields } from './DipFields';
import { FindBar } from './FindBar';
import { LinkFields } from './LinkFields';
import { MiddleFields } from './MiddleFields';
import { StockFields } from './StockFields';
import type { PartProps } from '@/stations/roll/part';
import { Stow } from './Stow';

/** The sway bar, as a builder would say it; or none, which is a school of its own. */
export function BarPart(props: PartProps) {
  const bar = useJobPart((j) => j.roll.bar);
  return bar ? <FittedBar bar={bar} {...props} /> : <NoBar {...props} />;
}

const HEAD = (
  <CardHead title="Roll: sway bar">
    A spring between the wheels. Fit one for a reason; drag it in the bay by its diamonds.
  </CardHead>
);

function NoBar({ verdicts }: PartProps) {
  const fit = (make: (rig: Rig) => BarDesign) => void startBar(make);
  return (
    <>
      {HEAD}
      <Verdicts tried="roll" verdicts={verdicts} />
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
}

function FittedBar({ bar, result, verdicts }: PartProps & BarProps) {
  const made = result?.bar;
  return (
    <>
      <div className="no-print">
        {HEAD}
        <Verdicts tried="roll" verdicts={verdicts} />
        {made && (
          <FollowsInSight>
            <BarResults made={made} corner={result.corner} />
          </FollowsInSight>
        )}
        {made && (
          <FollowsInSight>
            <BarChart made={made} />
          </FollowsInSight>
        )}
        <FollowsInSight>
          <StockFields bar={bar} />
          <ArmFields bar={bar} />
          <MiddleFields bar={bar} />
          <DipFields bar={bar} />
        </FollowsInSight>
        <FollowsInSight>
          <LinkFields bar={bar} cocked={made?.links?.cocked ?? null} />
          <Stow bar={bar} without={result?.without ?? null} />
          {bar.made === 'one-piece' && <BendTable bar={bar} />}
        </FollowsInSight>
        <FollowsInSight>
          <Clocking measured={bar.measured} />
          <FindBar bar={bar} rollRate={made?.rollRate ?? null} even={result?.neutralRollRate ?? null} />
          {bar.housing !== null && (
            <p className="hint">
              Order: the bar goes into its tube before the second arm goes on; the tube through the frame is
              welded empty, trued, and only then takes the bar.
            </p>
          )}
        </FollowsInSight>
        <LastButtons />
      </div>
      <BarSheet bar={bar} />
    </>
  );
}

const LastButtons = memo(function LastButtons() {
  return (
    <div className="starts">
      <Button onClick={() => window.print()}>Print the bar sheet</Button>
      <Button onClick={() => putRoll(() => ({ bar: null }))}>Run without a bar</Button>
    </div>
  );
});
