'use client';
import { Select } from 'antd';
import { extent, scaleLinear } from 'd3';
import { useState } from 'react';
import { FEELS, type Drive, type Outing, type Phase } from '@/core/job/slices/work/drive';
import type { Tape } from '@/core/units/tape';
import { sayLength } from '@/core/units/length';
import { useJob } from '@/store/jobStore';
import { PHASE_WORDS } from './words';

const SIZE = { width: 400, height: 200 };
const EDGE = { left: 70, right: 16, top: 14, bottom: 34 };
const CORNERS: Phase[] = ['entry', 'middle', 'exit'];

/** A quantity of an outing, by its name: what was set, or what came of it. */
type Quantity = { name: string; of: (outing: Outing) => number | null; say: (value: number) => string };

/** How any setting goes with what was felt or timed: a dot an outing. */
export function Against() {
  const { drive, tape } = useJob();
  const sets = settingsThatVary(drive, tape);
  const outcomes = outcomesOf(drive);
  const [set, setSet] = useState<string>();
  const [outcome, setOutcome] = useState<string>();
  const x = sets.find(({ name }) => name === set) ?? sets[0];
  const y = outcomes.find(({ name }) => name === outcome) ?? outcomes[0];
  if (!x || !y)
    return (
      <p className="hint">
        Where a setting was changed and a feel or a number written, they are drawn against each other here.
      </p>
    );
  const dots = drive.outings.flatMap((one): [number, number][] => {
    const [u, v] = [x.of(one), y.of(one)];
    return u === null || v === null ? [] : [[u, v]];
  });
  return (
    <figure className="against">
      <div className="two-up">
        <label>
          What was set
          <Select
            aria-label="What was set"
            value={x.name}
            options={sets.map(({ name }) => ({ value: name, label: name }))}
            onChange={setSet}
          />
        </label>
        <label>
          Against
          <Select
            aria-label="Against"
            value={y.name}
            options={outcomes.map(({ name }) => ({ value: name, label: name }))}
            onChange={setOutcome}
          />
        </label>
      </div>
      <Dots dots={dots} x={x} y={y} />
    </figure>
  );
}

function Dots({ dots, x, y }: { dots: [number, number][]; x: Quantity; y: Quantity }) {
  const across = widened(dots.map(([u]) => u));
  const up = widened(dots.map(([, v]) => v));
  const atX = scaleLinear(across, [EDGE.left, SIZE.width - EDGE.right]);
  const atY = scaleLinear(up, [SIZE.height - EDGE.bottom, EDGE.top]);
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      role="img"
      aria-label={`${y.name} against ${x.name}, ${dots.length} outings`}
    >
      <line x1={EDGE.left} x2={EDGE.left} y1={EDGE.top} y2={SIZE.height - EDGE.bottom} className="frame" />
      <line
        x1={EDGE.left}
        x2={SIZE.width - EDGE.right}
        y1={SIZE.height - EDGE.bottom}
        y2={SIZE.height - EDGE.bottom}
        className="frame"
      />
      {each(dots.map(([u]) => u)).map((u) => (
        <text key={u} x={atX(u)} y={SIZE.height - 12} textAnchor="middle">
          {x.say(u)}
        </text>
      ))}
      {each(dots.map(([, v]) => v)).map((v) => (
        <text key={v} x={EDGE.left - 6} y={atY(v) + 5} textAnchor="end">
          {y.say(v)}
        </text>
      ))}
      {dots.map(([u, v], i) => (
        <circle key={i} cx={atX(u)} cy={atY(v)} r={6} />
      ))}
    </svg>
  );
}

/** From the least to the most, with room beside; so many at most are written. */
const WRITTEN = 4;
const each = (values: number[]): number[] => {
  const all = [...new Set(values)].sort((a, b) => a - b);
  return all.length <= WRITTEN ? all : [all[0]!, all.at(-1)!];
};
function widened(values: number[]): [number, number] {
  const [least = 0, most = 1] = extent(values) as [number?, number?];
  const room = (most - least || 1) * 0.15;
  return [least - room, most + room];
}

/** Settings that were not the same in all outings: lengths, and what is a number in words. */
function settingsThatVary({ setUps, outings }: Drive, tape: Tape): Quantity[] {
  const names = new Set(outings.flatMap(({ setUp }) => Object.keys(setUps[setUp]?.settings ?? {})));
  return [...names].flatMap((name): Quantity[] => {
    const of = ({ setUp }: Outing): number | null => {
      const value = setUps[setUp]?.settings[name];
      const number = typeof value === 'string' ? Number(value) : value;
      return typeof number === 'number' && Number.isFinite(number) ? number : null;
    };
    const values = new Set(outings.map(of).filter((v) => v !== null));
    const isLength = outings.some(({ setUp }) => typeof setUps[setUp]?.settings[name] === 'number');
    return values.size > 1 ? [{ name, of, say: (v) => (isLength ? sayLength(v, tape) : String(v)) }] : [];
  });
}

/** Feels of the corner, from tight to loose, and every number that was written more than once. */
function outcomesOf({ outings }: Drive): Quantity[] {
  const feels = CORNERS.map((phase): Quantity => ({
    name: PHASE_WORDS[phase],
    of: ({ feel }) => {
      const at = (FEELS.corner as readonly string[]).indexOf(feel[phase] ?? '');
      return at < 0 ? null : at - 2;
    },
    say: (v) => ['very tight', 'tight', 'good', 'loose', 'very loose'][v + 2] ?? '',
  }));
  const times = [...new Set(outings.flatMap((one) => one.times.map(({ what }) => what)))].map(
    (what): Quantity => ({
      name: what,
      of: (one) => one.times.find((time) => time.what === what)?.value ?? null,
      say: String,
    }),
  );
  return [...feels, ...times].filter(({ of }) => outings.filter((one) => of(one) !== null).length > 1);
}
