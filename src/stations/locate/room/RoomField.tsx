'use client';
import { without } from '@/core/job/edits/omit';
import { enter, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';

type Props = {
  /** of the slip yoke, or of a torque arm's slider */
  of: 'room' | 'slider';
  way: 'in' | 'out';
  label: string;
};

/** How far something that slides can go one way from ride height. */
export function RoomField({ of, way, label }: Props) {
  const mm = useJobPart((j) => j.shaft[of]?.[way] ?? null);
  const field = of === 'room' ? `shaft/${way}` : `shaft/${of}/${way}`;
  return (
    <LengthField
      field={field}
      label={label}
      showLabel
      mm={mm}
      least={0}
      most={300}
      placeholder="measure"
      onEnter={(value, typed) =>
        enter(field, typed, (j) => ({
          ...j,
          shaft: { ...j.shaft, [of]: { ...j.shaft[of], [way]: value } },
        }))
      }
      onClear={() =>
        enter(field, null, (j) => ({ ...j, shaft: { ...j.shaft, [of]: without(j.shaft[of] ?? {}, way) } }))
      }
    />
  );
}
