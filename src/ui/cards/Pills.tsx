'use client';
import { Radio } from 'antd';

type Props<T extends string> = {
  legend: string;
  /** what each is called */
  options: { value: T; label: string }[];
  value: T;
  onPick: (value: T) => void;
};

/** One of a few short names, in a row. */
export function Pills<T extends string>({ legend, options, value, onPick }: Props<T>) {
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
        onChange={(e) => onPick(e.target.value as T)}
      />
    </fieldset>
  );
}
