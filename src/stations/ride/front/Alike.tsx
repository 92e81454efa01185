'use client';
import { dragLinkMatch } from '@/core/locate/steering/dragLinkMatch';
import { formatDegrees } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { Readout, Readouts } from '@/ui/cards/Readouts';
import { Frac } from '@/ui/figures/Frac';

/** The drag link beside the track bar: the nearer the two are in length and angle, the less a bump steers. */
export function Alike() {
  const { rig, tape } = useJob();
  const alike = dragLinkMatch(rig);
  if (!alike) return null;
  return (
    <section className="section">
      <h2>Drag link against track bar</h2>
      <Readouts>
        <Readout name="Drag link · track bar, eye to eye" of="alikeLength">
          <Frac mm={alike.dragLink.length} tape={tape} /> · <Frac mm={alike.bar.length} tape={tape} unit />
        </Readout>
        <Readout name="Drag link · track bar, left end up" of="alikeTilt">
          {formatDegrees(alike.dragLink.leftUpDeg)} · {formatDegrees(alike.bar.leftUpDeg)}
        </Readout>
        {!alike.sameSide && (
          <Readout name="Drag link · track bar, frame end" of="alikeSide">
            {alike.dragLink.frameSide} · {alike.bar.frameSide}: they swing against each other
          </Readout>
        )}
      </Readouts>
      <p className="hint">
        A longer or shorter track bar moves the axle under a steering box that stays: set toe and
        straight-ahead again after it. The nearer the two are in length and angle, the less a bump steers.
      </p>
    </section>
  );
}
