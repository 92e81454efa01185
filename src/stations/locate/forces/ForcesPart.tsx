'use client';
import { Pills } from '@/ui/cards/Pills';
import { Button } from 'antd';
import { useEffect } from 'react';
import { USUAL_MASSES } from '@/core/job/applyReadings';
import { memberName } from '@/core/rig/names';
import type { LocateResult } from '@/core/locate/types';
import type { Rig } from '@/core/rig/schema';
import { withMeasuredAgain } from '@/core/job/edits/readings';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { setPreferences, usePreferences } from '@/store/preferences';
import { CardHead } from '@/ui/cards/Card';
import { useGuessed, WhatDashedMeans } from '@/ui/cards/Readouts';
import { CornerField } from '@/ui/fields/CornerField';
import { NumberField } from '@/ui/fields/NumberField';
import { useLocateResult } from '@/workers/locate';
import { GravityHeight } from '@/stations/locate/GravityHeight';
import { OwnLoads } from './OwnLoads';
import { FORCE, MASS } from '@/core/units/unit';

type Masses = NonNullable<Rig['masses']>;

/** What each member carries when the car pulls, brakes, corners or hits something; and the masses that it follows from. */
export function ForcesPart() {
  const masses = useJobPart((j) => j.rig.masses ?? null);
  const result = useLocateResult();
  return (
    <>
      <CardHead title="What the members carry">
        At ride height, from the car’s weight. Pick a case: the bay shows each bar pulled or pushed.
      </CardHead>
      {masses === null && (
        <div className="section">
          <p>Weigh the car first, or start from the figures of a middling one and put them right.</p>
          <Button
            type="primary"
            onClick={() => edit((j) => ({ ...j, rig: { ...j.rig, masses: USUAL_MASSES } }))}
          >
            Start from usual weights
          </Button>
        </div>
      )}
      {result && <Cases loads={result.loads} />}
      <OwnLoads />
      {masses !== null && <MassFields masses={masses} />}
      {masses !== null && <GravityHeight />}
    </>
  );
}

/** Every case by its name; of the one picked, each member's force. */
function Cases({ loads }: { loads: LocateResult['loads'] }) {
  const end = useJobPart((j) => j.rig.end);
  const picked = usePreferences((s) => s.load);
  const tape = useJobPart((j) => j.tape);
  const guessed = useGuessed('forces');
  const chosen = loads.find((l) => l.load.name === picked) ?? loads[0];
  const name = chosen?.load.name ?? null;
  useEffect(() => {
    if (name !== null) setPreferences({ load: name });
  }, [name]);
  if (!chosen) return null;
  return (
    <section className="section">
      <Pills
        legend="Case"
        options={loads.map(({ load }) => ({ value: load.name, label: load.name }))}
        value={chosen.load.name}
        onPick={(load) => setPreferences({ load })}
      />
      {chosen.answer ? (
        <table {...guessed} className={`rounds forces-table ${guessed.className ?? ''}`}>
          <thead>
            <tr>
              <th>member</th>
              <th>force</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {Object.entries(chosen.answer.members).map(([id, force]) => (
              <tr key={id} data-force={id}>
                <td>{memberName(id, end)}</td>
                <td className="figure">{FORCE.say(Math.abs(force), tape)}</td>
                <td>{Math.abs(force) < 5 ? '' : force > 0 ? 'pulled' : 'pushed'}</td>
              </tr>
            ))}
            <tr>
              <td>springs, left · right</td>
              <td className="figure" colSpan={2}>
                {FORCE.say(chosen.answer.springLeft, tape)} · {FORCE.say(chosen.answer.springRight, tape)}
              </td>
            </tr>
          </tbody>
        </table>
      ) : (
        <p className="field-problem" role="alert">
          The members and springs cannot carry this case as they stand.
        </p>
      )}
      <WhatDashedMeans />
      <p className="hint">
        Less what the axle’s own weight, and its own mass as it gathers speed, takes of it. Arms and leaves:
        the whole force at their frame joint. Cornering shares the car’s roll between both ends by their
        weight.
      </p>
    </section>
  );
}

function MassFields({ masses }: { masses: Masses }) {
  const tape = useJobPart((j) => j.tape);
  const ratio = useJobPart((j) => j.shaft.ratio);
  const put = (key: keyof Masses, value: number, typed: string) =>
    enter(`masses/${key}`, typed, (j) => ({
      ...j,
      rig: { ...j.rig, masses: { ...j.rig.masses!, [key]: value } },
    }));
  const mass = (key: 'total' | 'unsprungFront' | 'unsprungRear', label: string, least: number) => (
    <NumberField
      field={`masses/${key}`}
      label={label}
      showLabel
      value={MASS.shown(masses[key], tape)}
      least={least}
      most={20_000}
      unit={MASS.sign(tape)}
      decimals={0}
      onEnter={(shown, typed) => put(key, MASS.read(shown, tape), typed)}
      onClear={() => edit((j) => withMeasuredAgain(j, `masses/${key}`))}
    />
  );
  return (
    <section className="section">
      <h2>The car’s weight</h2>
      <div className="two-up">
        {mass('total', 'Whole car, as driven', 100)}
        <NumberField
          field="masses/frontFraction"
          label="On the front wheels"
          showLabel
          value={100 * masses.frontFraction}
          least={5}
          most={95}
          unit="%"
          decimals={1}
          onEnter={(shown, typed) => put('frontFraction', shown / 100, typed)}
          onClear={() => edit((j) => withMeasuredAgain(j, 'masses/frontFraction'))}
        />
        {mass('unsprungFront', 'Front axle, wheels, brakes', 5)}
        {mass('unsprungRear', 'Rear axle, wheels, brakes', 5)}
        <CornerField field="cornerG" label="Cornering, steady" />
        <NumberField
          field="shaft/ratio"
          label="Axle ratio"
          showLabel
          value={ratio}
          least={1}
          most={20}
          unit="to 1"
          decimals={2}
          onEnter={(ratio, typed) =>
            enter('shaft/ratio', typed, (j) => ({ ...j, shaft: { ...j.shaft, ratio } }))
          }
        />
      </div>
    </section>
  );
}
