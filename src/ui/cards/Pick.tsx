'use client';
import { Choice } from './Choice';

type Props<T extends string> = {
  legend: string;
  name: string;
  /** title and what it costs, by choice */
  options: Record<T, [title: string, cost: string]>;
  /** null while neither was picked */
  value: T | null;
  onPick: (v: T) => void;
};

/** Two schools side by side, what each gives up, and which one is set. */
export function Pick<T extends string>({ legend, name, options, value, onPick }: Props<T>) {
  const ways = Object.entries(options) as [T, [string, string]][];
  return (
    <section className="section">
      <h2>{legend}</h2>
      <Choice
        label={legend}
        name={name}
        options={ways.map(([key, [title, hint]]) => ({ value: key, title, hint }))}
        value={value}
        onPick={onPick}
      />
    </section>
  );
}
