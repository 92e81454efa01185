'use client';
import { withAlike } from '@/core/job/edits/parts/parts';
import { springPlateOf } from '@/core/job/made/springPlate';
import { angleOf } from '@/core/job/made/sway/angle';
import type { SwayPart } from '@/core/job/made/sway/parts';
import { strapOf } from '@/core/job/made/sway/strap';
import type { Parts } from '@/core/job/slices/parts';
import { swayFaultsOf } from '@/core/prove/faults/swayFaults';
import { edit, enter, useJob, useJobPart } from '@/store/jobStore';
import { GradeField } from '@/ui/fields/GradeField';
import { LengthField } from '@/ui/fields/LengthField';
import { EndLinkFields } from './EndLinkFields';

type Size = [key: string, label: string, least: number, most: number];
type OfPlate = Exclude<SwayPart, 'sway-bar/link'>;
type Plate = 'strap' | 'angle' | 'springPlate';

/** The sizes that each part's strength hangs on; all others are at Cut, with its drawing. */
const SIZES: Record<OfPlate, { part: Plate; sizes: Size[] }> = {
  'sway-bar/strap': {
    part: 'strap',
    sizes: [
      ['thickness', 'Strap, thickness', 1, 12],
      ['width', 'Strap, width', 10, 100],
      ['foot', 'Feet, out from its sides', 10, 100],
      ['bolt', 'Bolts', 4, 20],
    ],
  },
  'sway-bar/angle': {
    part: 'angle',
    sizes: [
      ['thickness', 'Angle, thickness', 1, 15],
      ['under', 'Leg under the strap, outside', 15, 150],
      ['against', 'Other leg, outside', 15, 150],
    ],
  },
  'sway-bar/ear': { part: 'springPlate', sizes: [['plate', 'Plate', 2, 40]] },
};

/** What something that the sway bar pulls at is made of. */
export function SwayFields({ part }: { part: SwayPart }) {
  const fault = useJobPart((j) => swayFaultsOf(j)[part]);
  return (
    <>
      {fault && (
        <p className="field-problem" role="alert">
          {fault}
        </p>
      )}
      {part === 'sway-bar/link' ? <EndLinkFields /> : <PlateFields part={part} />}
    </>
  );
}

function PlateFields({ part: of }: { part: OfPlate }) {
  const job = useJob();
  const { part, sizes } = SIZES[of];
  const strap = strapOf(job);
  const made: Record<Plate, object | null> = { strap, angle: angleOf(job), springPlate: springPlateOf(job) };
  const values = made[part] as Record<string, number> | null;
  if (!values) return null;
  return (
    <div className="prove-fields">
      {sizes.map(([key, label, least, most]) => (
        <LengthField
          key={key}
          field={`parts/${part}/${key}`}
          label={label}
          showLabel
          mm={values[key]!}
          least={least}
          most={most}
          onEnter={(mm, typed) =>
            enter(`parts/${part}/${key}`, typed, (j) =>
              withAlike(j, part, { [key]: mm } as NonNullable<Parts[Plate]>),
            )
          }
        />
      ))}
      {strap && part !== 'springPlate' && (
        <GradeField
          label="Grade of its bolts"
          grade={strap.grade}
          onPick={(grade) => edit((j) => withAlike(j, 'strap', { grade }))}
        />
      )}
      <p className="hint">Its other sizes, and its drawing, are at Cut.</p>
    </div>
  );
}
