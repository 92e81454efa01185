'use client';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import { putBar } from '@/store/edits/rollEdits';
import type { Ways } from '@/core/units/ways';
import { LengthField } from '@/ui/fields/LengthField';

export type BarProps = { bar: BarDesign };
type LengthKey = 'od' | 'eyes' | 'middle' | 'arm' | 'rise' | 'pitch' | 'height' | 'bushings' | 'ahead';

/** What does not show a value of the bar need not be drawn again when that is dragged. */
export const barsAlikeIn =
  (...keys: (keyof BarDesign)[]) =>
  ({ bar: a }: BarProps, { bar: b }: BarProps): boolean =>
    keys.every((key) => a[key] === b[key]);

/** A length of the bar. */
export function BarLength({
  bar,
  of,
  label,
  least,
  most,
  ways,
}: BarProps & { of: LengthKey; label: string; least: number; most: number; ways?: Ways }) {
  return (
    <LengthField
      field={`roll/${of}`}
      label={label}
      showLabel
      mm={bar[of]}
      least={least}
      most={most}
      ways={ways}
      onEnter={(mm, typed) => putBar({ [of]: mm }, `roll/${of}`, typed)}
    />
  );
}
