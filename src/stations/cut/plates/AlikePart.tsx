'use client';
import type { ReactNode } from 'react';
import type { Drawing } from '@/core/fabricate/drawing';
import { withAlike } from '@/core/job/edits/parts/parts';
import type { AlikePart as Part, Parts } from '@/core/job/slices/parts';
import { enter } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { FlatPicture } from '@/ui/flat/FlatPicture';

type Sizes<P extends Part> = Required<NonNullable<Parts[P]>>;
export type SizeField<P extends Part> = [
  key: keyof Sizes<P> & string,
  label: string,
  least: number,
  most: number,
];

type Props<P extends Part> = {
  part: P;
  title: string;
  /** what the picture shows */
  shows: string;
  drawing: Drawing;
  sizes: Record<string, number>;
  fields: SizeField<P>[];
  children: ReactNode;
};

/** A flat part that a job has some of, all alike: its picture, its sizes, and what goes with it. */
export function AlikePart<P extends Part>({
  part,
  title,
  shows,
  drawing,
  sizes,
  fields,
  children,
}: Props<P>) {
  return (
    <section className="section alike-part">
      <h2>{title}</h2>
      <FlatPicture drawing={drawing} name={shows} words />
      <div className="cut-tube">
        {fields.map(([key, label, least, most]) => (
          <LengthField
            key={key}
            field={`parts/${part}/${key}`}
            label={label}
            showLabel
            mm={sizes[key]!}
            least={least}
            most={most}
            onEnter={(mm, typed) =>
              enter(`parts/${part}/${key}`, typed, (j) =>
                withAlike(j, part, { [key]: mm } as NonNullable<Parts[P]>),
              )
            }
          />
        ))}
      </div>
      {children}
    </section>
  );
}
