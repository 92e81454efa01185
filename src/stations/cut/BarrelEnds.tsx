'use client';
import { Checkbox } from 'antd';
import { BAR_ENDS, type BarCut, type BarEndName } from '@/core/cut/barCut';
import { holeSaw, saddleDepth } from '@/core/fabricate/saddle';
import { withParts } from '@/core/job/edits/parts';
import { sayLength } from '@/core/units/length';
import { MM_PER_INCH } from '@/core/units/tape';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';

/** A barrel for a bushing, outside (common practice, no published source). */
const USUAL_BARREL = 1.75 * MM_PER_INCH;

/** Less than this no notcher is turned, degrees. */
const SQUARE = 0.25;

/** How a hole saw stands to the tube. */
const sayLean = (deg: number): string =>
  deg < SQUARE
    ? 'square to the tube'
    : `turned ${deg.toFixed(1)}° from square, as the bar leans from its bolt`;

/** Which ends of a bar are welded to a barrel instead of threaded, and how the tube is notched for it. */
export function BarrelEnds({ part, sawn }: { part: string; sawn: BarCut }) {
  const tape = useJobPart((j) => j.tape);
  const { barrels, section } = sawn.bar;
  const round = section.shape !== 'flat';
  const put = (end: BarEndName, od: number | null) => {
    const next = { ...barrels, [end]: od === null ? null : { od } };
    return {
      barrels: {
        ...(next.frame && { frame: next.frame }),
        ...(next.axle && { axle: next.axle }),
      },
    };
  };
  return (
    <section className="section cut-barrels">
      <h2>Ends welded to a barrel</h2>
      {BAR_ENDS.map((end) => {
        const barrel = barrels[end];
        const cut = sawn.ends[end];
        return (
          <div key={end}>
            <Checkbox
              checked={barrel !== null}
              onChange={(e) =>
                edit((j) =>
                  withParts(j, { bars: { [part]: put(end, e.target.checked ? USUAL_BARREL : null) } }),
                )
              }
            >
              {end} end
            </Checkbox>
            {barrel && (
              <LengthField
                field={`parts/${part}/barrels/${end}`}
                label={`Barrel at the ${end} end, outside`}
                showLabel
                mm={barrel.od}
                least={10}
                most={200}
                onEnter={(od, typed) =>
                  enter(`parts/${part}/barrels/${end}`, typed, (j) =>
                    withParts(j, { bars: { [part]: put(end, od) } }),
                  )
                }
              />
            )}
            {barrel && round && section.od > barrel.od + 1e-9 && (
              <p className="field-problem" role="alert">
                The tube is wider than this barrel, {sayLength(section.od, tape)}: it cannot be notched to it.
                Cut it square and cap it, or take a larger barrel.
              </p>
            )}
            {cut.kind === 'saddle' && (
              <p className="hint" data-saddle={end}>
                Notch {sayLength(saddleDepth(cut.saddle).depth, tape)} deep; the rule of a quarter of the
                diameter says {sayLength(saddleDepth(cut.saddle).rule, tape)}. Hole saw{' '}
                {sayLength(holeSaw(cut.saddle).size, tape)}, {sayLean(holeSaw(cut.saddle).angleDeg)}, through
                its middle. Bevel its outside before welding; weld with a mock-up bushing, not the real one.
              </p>
            )}
          </div>
        );
      })}
    </section>
  );
}
