'use client';
import { Button, Checkbox, Select } from 'antd';
import { BEHIND } from '@/core/drive/causes';
import { withOutingSaid, withoutOuting } from '@/core/drive/setUps';
import { FEELS_OF, PHASES, SYMPTOMS, type Feel, type Outing, type Phase } from '@/core/job/slices/work/drive';
import { without } from '@/core/job/edits/omit';
import { DISTANCE, PRESSURE } from '@/core/units/unit';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { NumberField } from '@/ui/fields/NumberField';
import { Input, TextArea } from '@/ui/fields/textInput';
import { Photos } from '@/ui/photos/Photos';
import { CORNER_WORDS, FEEL_WORDS, PHASE_WORDS } from '../words';
import { Times } from './Times';

const TEXTS = [
  ['place', 'Where', 120],
  ['surface', 'Surface', 80],
  ['weather', 'Weather', 80],
  ['tyres', 'Tyres', 120],
  ['fuel', 'Fuel', 80],
  ['load', 'Load', 80],
] as const;

/** What is written of an outing. */
export function OutingFields({ outing, onGone }: { outing: Outing; onGone: () => void }) {
  const tape = useJobPart((j) => j.tape);
  const { id } = outing;
  const put = (change: Partial<Omit<Outing, 'id' | 'setUp'>>) => edit((j) => withOutingSaid(j, id, change));
  const putFeel = (phase: Phase, feel: Feel | undefined) =>
    put({ feel: feel ? { ...outing.feel, [phase]: feel } : without(outing.feel, phase) });
  const field = (key: string) => `outing/${id}/${key}`;
  return (
    <div className="outing-fields">
      <div className="two-up">
        {TEXTS.map(([key, label, most]) => (
          <label key={key}>
            {label}
            <Input
              value={outing[key] ?? ''}
              maxLength={most}
              data-outing-text={key}
              onChange={(e) => put({ [key]: e.target.value || (key === 'place' ? '' : undefined) })}
            />
          </label>
        ))}
      </div>
      <h2>How it felt</h2>
      <div className="two-up">
        {PHASES.map((phase) => (
          <label key={phase}>
            {PHASE_WORDS[phase]}
            <Select<Feel>
              aria-label={PHASE_WORDS[phase]}
              allowClear
              placeholder="–"
              value={outing.feel[phase]}
              onChange={(feel) => putFeel(phase, feel)}
              options={FEELS_OF[phase].map((value) => ({ value, label: FEEL_WORDS[value] }))}
            />
          </label>
        ))}
      </div>
      <h2>What was heard or seen</h2>
      <Checkbox.Group
        className="noises"
        value={outing.noises}
        onChange={(noises) => put({ noises: SYMPTOMS.filter((s) => noises.includes(s)) })}
        options={SYMPTOMS.map((value) => ({ value, label: BEHIND[value].title }))}
      />
      <h2>Tyre pressures and distance</h2>
      <div className="two-up">
        {(Object.keys(CORNER_WORDS) as (keyof typeof CORNER_WORDS)[]).map((corner) => (
          <NumberField
            key={corner}
            field={field(corner)}
            label={CORNER_WORDS[corner]}
            showLabel
            value={of(outing.pressures?.[corner], (v) => PRESSURE.shown(v, tape))}
            least={0}
            most={PRESSURE.shown(2, tape)}
            unit={PRESSURE.sign(tape)}
            decimals={1}
            onEnter={(value, typed) =>
              enter(field(corner), typed, (j) =>
                withOutingSaid(j, id, {
                  pressures: { ...outing.pressures, [corner]: PRESSURE.read(value, tape) },
                }),
              )
            }
            onClear={() =>
              enter(field(corner), null, (j) =>
                withOutingSaid(j, id, { pressures: without(outing.pressures ?? {}, corner) }),
              )
            }
          />
        ))}
        <NumberField
          field={field('distance')}
          label="Driven"
          showLabel
          value={of(outing.distance, (v) => DISTANCE.shown(v, tape))}
          least={0}
          most={10_000}
          unit={DISTANCE.sign(tape)}
          decimals={0}
          onEnter={(value, typed) =>
            enter(field('distance'), typed, (j) =>
              withOutingSaid(j, id, { distance: DISTANCE.read(value, tape) }),
            )
          }
          onClear={() =>
            enter(field('distance'), null, (j) => withOutingSaid(j, id, { distance: undefined }))
          }
        />
      </div>
      <Times outing={outing} />
      <label>
        Notes
        <TextArea
          rows={3}
          maxLength={4000}
          value={outing.note}
          onChange={(e) => put({ note: e.target.value })}
        />
      </label>
      <Photos item={`outing/${id}`} label={`outing, ${outing.place}`} />
      <div className="tools">
        <Button
          danger
          onClick={() => {
            edit((j) => withoutOuting(j, id));
            onGone();
          }}
        >
          Take this outing out
        </Button>
      </div>
    </div>
  );
}

const of = (value: number | undefined, shown: (v: number) => number): number | null =>
  value === undefined ? null : shown(value);
