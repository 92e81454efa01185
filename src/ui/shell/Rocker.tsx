'use client';
import { Slider } from 'antd';
import { useEffect, useState } from 'react';
import { formatLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { setRocker, useRocker } from '@/store/rocker';
import './rocker.css';
import { travelOf } from '@/core/job/jobValues';

type Motion = 'heave' | 'roll';
const PERIOD_MS = 3600;

/** Lifts and drops the wheels of the car in the bay: each alone, both together, or one up as the other falls. */
export function Rocker() {
  const tape = useJobPart((j) => j.tape);
  const { bump, droop } = useJobPart(travelOf);
  const { left, right } = useRocker();
  const [playing, setPlaying] = useState<Motion | null>(null);
  usePlay(playing, bump, droop);

  const atRide = left === 0 && right === 0;
  const rail = (side: 'left' | 'right', value: number) => (
    <div className="rail">
      <span className="rail-name">
        {side} <b>{value === 0 ? 'ride' : mark(value)}</b>
      </span>
      <Slider
        min={-droop}
        max={bump}
        step={(bump + droop) / 200}
        value={value}
        included={false}
        ariaLabelForHandle={`${side} wheel, up or down from ride height`}
        ariaValueTextFormatterForHandle={(v) =>
          `${formatLength(v ?? 0, tape)} ${tape === 'mm' ? 'mm' : 'inches'}`
        }
        marks={{ [-droop]: mark(-droop), 0: 'ride', [bump]: mark(bump) }}
        tooltip={{ open: false }}
        onChange={(v) => {
          setPlaying(null);
          setRocker(side === 'left' ? v : left, side === 'right' ? v : right);
        }}
      />
    </div>
  );
  const mark = (v: number) => `${v > 0 ? '+' : ''}${formatLength(v, tape)}`;
  const button = (label: string, hint: string, onClick: () => void, pressed?: boolean) => (
    <button type="button" title={hint} aria-pressed={pressed} onClick={onClick}>
      {label}
    </button>
  );
  return (
    <div className="rocker no-print" role="group" aria-label="Travel">
      {rail('left', left)}
      {rail('right', right)}
      <div className="rocker-buttons">
        {button(
          'ride',
          'Back to ride height',
          () => {
            setPlaying(null);
            setRocker(0, 0);
          },
          atRide && !playing,
        )}
        {button(
          'both',
          'Play both wheels together, droop to bump',
          () => setPlaying(playing === 'heave' ? null : 'heave'),
          playing === 'heave',
        )}
        {button(
          'roll',
          'Play one wheel up as the other goes down',
          () => setPlaying(playing === 'roll' ? null : 'roll'),
          playing === 'roll',
        )}
      </div>
    </div>
  );
}

function usePlay(playing: Motion | null, bump: number, droop: number): void {
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    const start = performance.now();
    const tick = (now: number) => {
      const swing = Math.sin((2 * Math.PI * (now - start)) / PERIOD_MS);
      const lift = (s: number) => (s > 0 ? s * bump : s * droop);
      setRocker(lift(swing), lift(playing === 'heave' ? swing : -swing));
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing, bump, droop]);
}
