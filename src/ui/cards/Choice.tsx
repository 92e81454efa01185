'use client';
import { Radio } from 'antd';
import type { ReactNode } from 'react';

type Props<T extends string> = {
  /** of the whole, for those who hear it */
  label: string;
  name: string;
  options: { value: T; title: string; hint: ReactNode }[];
  value: T | null;
  onPick: (value: T) => void;
};

/** One of a few ways, each with what speaks for it and what it costs. */
export function Choice<T extends string>({ label, name, options, value, onPick }: Props<T>) {
  return (
    <Radio.Group
      className="choice"
      aria-label={label}
      name={name}
      value={value}
      onChange={(e) => onPick(e.target.value as T)}
    >
      {options.map((option) => (
        <Radio key={option.value} value={option.value}>
          <b>{option.title}</b>
          <span className="hint">{option.hint}</span>
        </Radio>
      ))}
    </Radio.Group>
  );
}
