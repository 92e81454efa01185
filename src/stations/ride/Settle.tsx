'use client';
import { Checkbox } from 'antd';
import { edit, useJob } from '@/store/jobStore';

const STEPS: [id: string, text: string][] = [
  ['pressures', 'Tyre pressures set, left like right'],
  ['load', 'Fuel, driver or ballast as it will be driven'],
  ['straight', 'Steering straight ahead, on level ground, brakes off'],
  ['loose', 'Joints snug, not torqued: rubber clamped in droop holds the car up'],
  ['bounce', 'Bounced hard at both ends, nobody under it'],
  ['roll', 'Rolled a car’s length forward and back, not touched again'],
];

/** How a car is brought to rest before it is believed. */
export function Settle() {
  const { settled } = useJob().ride;
  const toggle = (id: string) =>
    edit((j) => ({
      ...j,
      ride: {
        ...j.ride,
        settled: settled.includes(id) ? settled.filter((s) => s !== id) : [...settled, id],
      },
    }));
  return (
    <details
      className="approach"
      open={settled.length > 0 && settled.length < STEPS.length ? true : undefined}
    >
      <summary>
        Settle it first: {settled.length} of {STEPS.length}
      </summary>
      <ol className="settle">
        {STEPS.map(([id, text]) => (
          <li key={id}>
            <Checkbox checked={settled.includes(id)} onChange={() => toggle(id)}>
              {text}
            </Checkbox>
          </li>
        ))}
      </ol>
    </details>
  );
}
