'use client';
import type { Coil } from '@/core/springs/springDesign';
import { useJobPart } from '@/store/jobStore';
import { putSprings } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { StandFields } from './StandFields';
import { SPRING_RATE } from '@/core/units/unit';

export function CoilFields({ springs }: { springs: Coil }) {
  const tape = useJobPart((j) => j.tape);
  return (
    <>
      <div className="two-up">
        <NumberField
          field="roll/rate"
          label="Rate"
          showLabel
          value={SPRING_RATE.shown(springs.rate, tape)}
          least={1}
          most={20_000}
          unit={SPRING_RATE.sign(tape)}
          decimals={tape === 'mm' ? 1 : 0}
          onEnter={(shown, typed) => putSprings({ rate: SPRING_RATE.read(shown, tape) }, 'roll/rate', typed)}
        />
        <LengthField
          field="roll/springOd"
          label="Outside of its coils"
          showLabel
          mm={springs.od}
          least={20}
          most={300}
          onEnter={(od, typed) => putSprings({ od }, 'roll/springOd', typed)}
        />
        <LengthField
          field="roll/free"
          label="Free length, unloaded"
          showLabel
          mm={springs.free}
          least={30}
          most={1500}
          placeholder="not known"
          onEnter={(free, typed) => putSprings({ free }, 'roll/free', typed)}
          onClear={() => putSprings({ free: null }, 'roll/free', null)}
        />
        <LengthField
          field="roll/solid"
          label="Length with its coils closed"
          showLabel
          mm={springs.solid}
          least={20}
          most={1000}
          placeholder="not known"
          onEnter={(solid, typed) => putSprings({ solid }, 'roll/solid', typed)}
          onClear={() => putSprings({ solid: null }, 'roll/solid', null)}
        />
      </div>
      <StandFields name="roll/spring" stands={springs} onPut={putSprings} />
    </>
  );
}
