'use client';
import { Button } from 'antd';
import { usualOtherEnd } from '@/core/balance/otherEnd';
import { withOtherBuild } from '@/core/job/edits/roll';
import type { Rig } from '@/core/rig/schema';
import { edit, enter, useJob } from '@/store/jobStore';
import { putRoll } from '@/store/edits/rollEdits';
import { OtherBuild } from './OtherBuild';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { ROLL_RATE } from '@/core/units/unit';

type Other = NonNullable<Rig['otherEnd']>;

/** Springs and bar that were measured count anew against another track. */
const put = (field: string, typed: string, part: Partial<Other>) =>
  enter(field, typed, (j) => {
    const changed = { ...j, rig: { ...j.rig, otherEnd: { ...j.rig.otherEnd!, ...part } } };
    return part.track !== undefined && j.roll.otherBuild ? withOtherBuild(changed, {}) : changed;
  });

/** The end of the car that is not being built: a balance has two sides. */
export function OtherEnd() {
  const { rig, tape, roll } = useJob();
  const name = rig.end === 'rear' ? 'front' : 'rear';
  const other = rig.otherEnd;
  if (!other)
    return (
      <section className="section">
        <h2>The {name} end</h2>
        <p>Not told yet: without it there is no balance to speak of.</p>
        <Button onClick={() => edit((j) => ({ ...j, rig: { ...j.rig, otherEnd: usualOtherEnd(j.rig) } }))}>
          Start from a usual {name} end
        </Button>
      </section>
    );
  return (
    <section className="section">
      <h2>The {name} end</h2>
      <div className="two-up">
        <LengthField
          field="other/rollCentreHeight"
          label="Roll centre, off the floor"
          showLabel
          mm={other.rollCentreHeight}
          least={-300}
          most={700}
          onEnter={(mm, typed) => put('other/rollCentreHeight', typed, { rollCentreHeight: mm })}
        />
        <NumberField
          field="other/rollRate"
          label="Springs and bar, against roll"
          showLabel
          value={ROLL_RATE.shown(other.rollRate, tape)}
          least={1}
          most={10_000}
          unit={ROLL_RATE.sign(tape)}
          decimals={0}
          onEnter={(shown, typed) => put('other/rollRate', typed, { rollRate: ROLL_RATE.read(shown, tape) })}
        />
        <NumberField
          field="other/bar"
          label="of it, its sway bar"
          showLabel
          value={ROLL_RATE.shown(roll.otherBar, tape)}
          least={0}
          most={10_000}
          unit={ROLL_RATE.sign(tape)}
          decimals={0}
          onEnter={(shown, typed) =>
            putRoll(
              () => ({ otherBar: Math.min(ROLL_RATE.read(shown, tape), other.rollRate) }),
              'other/bar',
              typed,
            )
          }
        />
        <LengthField
          field="other/track"
          label="Track"
          showLabel
          mm={other.track}
          least={700}
          most={2600}
          onEnter={(mm, typed) => put('other/track', typed, { track: mm })}
        />
      </div>
      <OtherBuild name={name} />
    </section>
  );
}
