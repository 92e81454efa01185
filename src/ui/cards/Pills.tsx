'use client';
import { Radio } from 'antd';
import { dequal } from 'dequal/lite';
import { memo } from 'react';
import { useStable } from '@/ui/useStable';

type Props<T extends string> = {
  legend: string;
  /** what each is called */
  options: { value: T; label: string }[];
  value: T;
  onPick: (value: T) => void;
};

/** One of a few short names, in a row. */
export function Pills<T extends string>({ onPick, ...shown }: Props<T>) {
  const pick = useStable((value: string) => onPick(value as T));
  return <Row {...shown} onPick={pick} />;
}

const Row = memo(function Row({ legend, options, value, onPick }: Props<string>) {
  return (
    <fieldset className="pills">
      <legend>{legend}</legend>
      <Radio.Group
        optionType="button"
        buttonStyle="solid"
        aria-label={legend}
        name={legend}
        options={options}
        value={value}
        onChange={(e) => onPick(e.target.value as string)}
      />
    </fieldset>
  );
}, dequal);
