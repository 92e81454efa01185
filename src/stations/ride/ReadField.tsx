'use client';
import { without } from '@/core/job/edits/omit';
import { enter, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';

type Props = { name: string; label: string; least: number; most: number };

/** A length read on the ground, kept by its name. */
export function ReadField({ name, label, least, most }: Props) {
  const mm = useJobPart((j) => j.ride.read[name] ?? null);
  const field = `ride/${name}`;
  return (
    <LengthField
      field={field}
      label={label}
      showLabel
      mm={mm}
      least={least}
      most={most}
      placeholder="measure"
      onEnter={(value, typed) =>
        enter(field, typed, (j) => ({ ...j, ride: { ...j.ride, read: { ...j.ride.read, [name]: value } } }))
      }
      onClear={() =>
        enter(field, null, (j) => ({ ...j, ride: { ...j.ride, read: without(j.ride.read, name) } }))
      }
    />
  );
}
