'use client';
import { enter, useJobPart } from '@/store/jobStore';
import { NumberField } from './NumberField';

/** How hard the car corners: loads at Locate and the balance at Roll are reckoned with the same. */
export function CornerField({ field, label }: { field: string; label: string }) {
  const cornerG = useJobPart((j) => j.cornerG);
  return (
    <NumberField
      field={field}
      label={label}
      showLabel
      value={cornerG}
      least={0.1}
      most={3}
      unit="g"
      decimals={2}
      onEnter={(cornerG, typed) => enter(field, typed, (j) => ({ ...j, cornerG }))}
    />
  );
}
