'use client';
import { Slider } from 'antd';
import { useState } from 'react';
import type { Target } from '@/core/choose/brief';
import type { WantedName } from '@/core/choose/wanted';
import type { Answer } from '@/core/choose/answer';
import { useJobPart } from '@/store/jobStore';
import { figureWord, sayFigure } from '@/ui/choose/figureWords';
import { Place } from './Place';

/** Fewer places than this are seen side by side as well. */
const FEW = 3;
const STEPS = 100;

/** The places that none beats in all that is wanted: more of one figure is less of another, and a slider for each walks along them. */
export function Edge({ targets, edge }: { targets: Target[]; edge: Answer[] }) {
  const { tape, end } = useJobPart((j) => ({ tape: j.tape, end: j.rig.end }));
  const wanted = targets.filter(({ near }) => near !== undefined).map(({ figure }) => figure);
  const [at, setAt] = useState(0);
  if (edge.length < FEW || wanted.length < 2) return null;
  const here = edge[Math.min(at, edge.length - 1)]!;
  const valuesOf = (figure: WantedName) => edge.map(({ figures }) => figures[figure]!);
  return (
    <section className="find-edge" data-part="edge">
      <h2>More of one is less of another</h2>
      <p className="hint">
        {edge.length} places that no other beats in all that is wanted. Slide one, and the others follow.
      </p>
      {wanted.map((figure) => {
        const values = valuesOf(figure);
        const [least, most] = [Math.min(...values), Math.max(...values)];
        const say = (v: number) => sayFigure(figure, v, tape);
        return (
          <label key={figure} className="edge-row">
            <span>
              {figureWord(figure, end)} <b data-edge={figure}>{say(here.figures[figure]!)}</b>
            </span>
            <Slider
              aria-label={figureWord(figure, end)}
              min={least}
              max={most}
              step={(most - least) / STEPS || 1}
              value={here.figures[figure]!}
              tooltip={{ open: false }}
              onChange={(to) => setAt(nearest(values, to, at))}
            />
            <span className="hint edge-ends">
              <span>{say(least)}</span>
              <span>{say(most)}</span>
            </span>
          </label>
        );
      })}
      <Place name="Here" answer={here} targets={targets} />
    </section>
  );
}

/** Which of some values is nearest to one; of those as near, that which is the fewest places away. */
function nearest(values: number[], to: number, from: number): number {
  const off = (i: number) => Math.abs(values[i]! - to);
  return values.reduce(
    (best, _, i) =>
      off(i) < off(best) - 1e-9 || (off(i) <= off(best) + 1e-9 && Math.abs(i - from) < Math.abs(best - from))
        ? i
        : best,
    0,
  );
}
