'use client';
import { enter } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import type { Job } from '@/core/job/jobSchema';
import { applyReadings } from '@/core/job/applyReadings';

type Props = {
  field: string;
  label: string;
  mm: number;
  least: number;
  most: number;
  /** the cut with this length in its place */
  put: (cut: Job['cut'], mm: number) => Job['cut'];
  showLabel?: boolean;
  decimal?: boolean;
};

/** A length that belongs to the cut. The bar in the bay is drawn from it, so the rig follows. */
export function CutLength({ put, ...field }: Props) {
  return (
    <LengthField
      {...field}
      onEnter={(mm, typed) => enter(field.field, typed, (j) => applyReadings({ ...j, cut: put(j.cut, mm) }))}
    />
  );
}
