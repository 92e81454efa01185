import { useMemo } from 'react';
import { turnEffects, type TurnEffect } from '@/core/ride/turns/turnEffects';
import { capital } from '@/core/rig/names';
import { formatDecimal } from '@/core/units/length';
import { useJob } from '@/store/jobStore';

/** Less than this is nothing that could be read on the floor, mm and degrees. */
const NOTHING = { mm: 0.05, degrees: 0.005 };

type Column = {
  head: string;
  of: (effect: TurnEffect) => number;
  ways: [string, string];
  unit: 'mm' | 'degrees';
};

const COLUMNS: Column[] = [
  { head: 'sideways', of: (e) => e.left, ways: ['left', 'right'], unit: 'mm' },
  { head: 'left wheel', of: (e) => e.ahead, ways: ['ahead', 'back'], unit: 'mm' },
];
const WHEELBASE: Record<'front' | 'rear', Column> = {
  rear: { head: 'wheelbase', of: (e) => e.forward, ways: ['shorter', 'longer'], unit: 'mm' },
  front: { head: 'wheelbase', of: (e) => e.forward, ways: ['longer', 'shorter'], unit: 'mm' },
};
const ABOUT_TUBE: Record<'front' | 'rear', Column> = {
  rear: { head: 'nose', of: (e) => e.noseDown, ways: ['down', 'up'], unit: 'degrees' },
  front: { head: 'caster', of: (e) => -e.noseDown, ways: ['more', 'less'], unit: 'degrees' },
};

/** What one turn of each threaded bar does to everything that is set, solved for this car as it is wound now. */
export function TurnTable() {
  const job = useJob();
  const effects = useMemo(() => turnEffects(job), [job]);
  if (effects.length === 0) return null;
  const { tape } = job;
  const { end } = job.rig;
  const columns = [...COLUMNS, WHEELBASE[end], ABOUT_TUBE[end]];
  const say = ({ of, ways, unit }: Column, effect: TurnEffect) => {
    const by = of(effect);
    if (Math.abs(by) < NOTHING[unit]) return '–';
    const size = unit === 'mm' ? formatDecimal(Math.abs(by), tape) : `${Math.abs(by).toFixed(2)}°`;
    return `${size} ${ways[by > 0 ? 0 : 1]}`;
  };
  return (
    <>
      <table className="fits turn-table">
        <caption>One turn longer, {tape === 'mm' ? 'mm' : 'in'}</caption>
        <thead>
          <tr>
            <td />
            {columns.map(({ head }) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {effects.map((effect) => (
            <tr key={effect.id} data-turn={effect.id}>
              <th scope="row">
                {capital(effect.name)}
                {effect.fights && ' *'}
              </th>
              {columns.map((column) => (
                <td key={column.head}>{say(column, effect)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {effects.some(({ fights }) => fights) && (
        <p className="hint">* By itself it loads the other bars: turn its like on the other side with it.</p>
      )}
    </>
  );
}
