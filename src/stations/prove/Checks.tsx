'use client';
import { isShort, margin, weakestFirst } from '@/core/prove/prove';
import { CHECKS, type Check } from '@/core/prove/types';
import { sayAmount, sayFactor, sayWanted } from '@/core/prove/verdicts';
import { useJobPart } from '@/store/jobStore';

/** What the values of a formula are called, where their letter does not say it. */
const WORDS: Record<string, string> = {
  force: 'force in the bar or link',
  R: 'pull on one bushing R',
  a: 'lever a',
  m: 'bolt to bend m',
  n: 'bolt to edge n',
  od: 'diameter',
  S_y: 'yield S_y',
  S_u: 'strength S_u',
  F_EXX: 'wire F_EXX',
  d: 'diameter d',
  p: 'pitch p',
  h: 'hole h',
  t: 'plate t',
  w: 'width w',
  L: 'length L',
  e: 'off the line e',
  g: 'spacer g',
  t_1: 'tab t_1',
  t_2: 'middle t_2',
  b: 'span b',
  reach: 'eye out',
  share: 'share welded',
};

/** Longer than this the bar of a check is full: it holds many times over. */
const FULL = 3;

/** Every check of a part, the weakest first; opened, its formula with this part’s values. */
export function Checks({ checks }: { checks: Check[] }) {
  const tape = useJobPart((j) => j.tape);
  const order = [...checks].sort(weakestFirst);
  return (
    <ul className="checks">
      {order.map((check) => {
        const { factor, wanted, demand, capacity, unit } = check;
        const short = isShort(check);
        return (
          <li key={check.check} data-check={check.check} data-short={short}>
            <details>
              <summary>
                <span>{CHECKS[check.check]}</span>
                <span className="check-bar" aria-hidden>
                  <i style={{ width: `${(100 * Math.min(FULL, margin(check))) / FULL}%` }} />
                  <b style={{ left: `${100 / FULL}%` }} />
                </span>
                <span className="check-factor">
                  {short && <em>short </em>}
                  {sayFactor(factor, wanted)} of {sayWanted(wanted)}
                </span>
              </summary>
              <p>
                “{check.case}” asks{' '}
                {Number.isFinite(demand) ? sayAmount(demand, unit, tape) : 'more than there is'}; it has{' '}
                {sayAmount(capacity, unit, tape)}.
              </p>
              <p className="formula">{check.formula}</p>
              <dl>
                {Object.entries(check.inputs).map(([name, value]) => (
                  <div key={name}>
                    <dt>{WORDS[name] ?? name}</dt>
                    <dd>{typeof value === 'number' ? sayValue(value) : value}</dd>
                  </div>
                ))}
              </dl>
              <p className="hint">In newton and millimetres. Source: {check.source}.</p>
            </details>
          </li>
        );
      })}
    </ul>
  );
}

/** Four figures of it. */
const sayValue = (value: number): string =>
  Number.isFinite(value)
    ? Number(value.toPrecision(4)).toLocaleString('en-US', { maximumFractionDigits: 6 })
    : 'without end';
