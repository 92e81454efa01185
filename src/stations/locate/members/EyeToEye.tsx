'use client';
import { distance } from '@/core/geometry/vector';
import { withMade, withOpens } from '@/core/job/edits/made';
import { linksOf } from '@/core/rig/members/members';
import { memberName } from '@/core/rig/names';
import { pairOf } from '@/core/rig/roles';
import { edit, useJobPart } from '@/store/jobStore';
import { usePreferences } from '@/store/preferences';
import { Frac } from '@/ui/figures/Frac';
import { LengthField } from '@/ui/fields/LengthField';

/** How long a link is drawn from eye to eye, and how long the one is that the builder has. */
export function EyeToEye({ member }: { member: string }) {
  const tape = useJobPart((j) => j.tape);
  const name = useJobPart((j) => memberName(member, j.rig.end));
  const drawn = useJobPart(({ rig }) => {
    const { chassis, axle } = linksOf(rig).find(({ id }) => id === member)!;
    return distance(chassis, axle);
  });
  const made = useJobPart((j) => j.locate.made?.[member] ?? null);
  const alike = usePreferences((s) => s.alike);
  const opens = useJobPart((j) => j.locate.opens?.[member] ?? null);
  const ids = alike ? pairOf(member) : [member];
  const put = (mm: number | null) => edit((j) => withMade(j, ids, mm));
  const putOpens = (mm: number | null) => edit((j) => withOpens(j, ids, mm));
  return (
    <div className="eye-to-eye">
      <span>
        Eye to eye, drawn <Frac mm={drawn} tape={tape} unit />
      </span>
      <label htmlFor={`field-made/${member}`}>
        {made === null ? 'have one already?' : opens === null ? 'yours is' : 'yours, wound in'}
      </label>
      <LengthField
        field={`made/${member}`}
        label={`${name}: length of the bar that you have, eye to eye`}
        placeholder="its length"
        mm={made}
        least={40}
        most={3000}
        onEnter={put}
        onClear={() => put(null)}
      />
      {made !== null && (
        <>
          <label htmlFor={`field-opens/${member}`} className="opens">
            wound out, if it has thread
          </label>
          <LengthField
            field={`opens/${member}`}
            label={`${name}: length of the bar that you have, wound out as far as its thread may be`}
            placeholder="no thread"
            mm={opens}
            least={made}
            most={3000}
            onEnter={putOpens}
            onClear={() => putOpens(null)}
          />
        </>
      )}
    </div>
  );
}
