'use client';
import { Radio } from 'antd';
import { dequal } from 'dequal/lite';
import { memo } from 'react';
import { useStable } from '@/ui/useStable';

type Props<T extends string> = {
  /** of the whole, for those who hear it */
  label: string;
  name: string;
  options: { value: T; title: string; hint: string }[];
  value: T | null;
  onPick: (value: T) => void;
};

/** One of a few ways, each with what speaks for it and what it costs. */
export function Choice<T extends string>({ onPick, ...shown }: Props<T>) {
  const pick = useStable((value: string) => onPick(value as T));
  return <Ways {...shown} onPick={pick} />;
}

/** Drawn again only when its words change: what it costs is said anew at every step of a drag. */
const Ways = memo(function Ways({ label, name, options, value, onPick }: Props<string>) {
  return (
    <Radio.Group
      className="choice"
      aria-label={label}
      name={name}
      value={value}
      onChange={(e) => onPick(e.target.value as string)}
    >
      {options.map((option) => (
        <Radio key={option.value} value={option.value}>
          <b>{option.title}</b>
          <span className="hint">{option.hint}</span>
        </Radio>
      ))}
    </Radio.Group>
  );
}, dequal);
