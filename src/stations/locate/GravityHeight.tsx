'use client';
import type { Lifted } from '@/core/balance/gravityHeight';
import { withLifted } from '@/core/job/edits/made';
import { weighedHeight } from '@/core/locate/weighedHeight';
import { inputOf, isGuess } from '@/core/provenance/inputs';
import { formatLength, sayLength } from '@/core/units/length';
import { MASS } from '@/core/units/unit';
import { edit, enter, useJobPart } from '@/store/jobStore';
import { Caution } from '@/ui/cards/Card';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';

const takeHeight = (mm: number, typed: string): void =>
  enter('cgHeight', typed, (j) => ({ ...j, rig: { ...j.rig, cgHeight: mm } }));

/** Against which anti-squat and the moving of weight count. */
export function GravityHeight() {
  const cgHeight = useJobPart((j) => j.rig.cgHeight ?? 0);
  return (
    <section className="section">
      <h2>Height of the centre of gravity</h2>
      <LengthField
        field="cgHeight"
        label="Height of the centre of gravity"
        mm={cgHeight}
        least={200}
        most={1500}
        onEnter={takeHeight}
      />
      <p className="hint">About the height of the camshaft on most cars. Anti-squat counts against it.</p>
      <ByScales />
    </section>
  );
}

const WEIGHTS: [key: 'level' | 'lifted', label: string][] = [
  ['level', 'On the end that stays down, level'],
  ['lifted', 'On it, the other end lifted'],
];

/** The height by two weighings, and a touch that takes it. */
function ByScales() {
  const tape = useJobPart((j) => j.tape);
  const lifted = useJobPart((j) => j.locate.lifted) ?? {};
  const height = useJobPart((j) => weighedHeight(j)?.value ?? null);
  const put = (change: Partial<Lifted>) => edit((j) => withLifted(j, change));
  const weighed = useJobPart((j) => !isGuess(inputOf(j, 'weights')));
  return (
    <details className="approach" open={Object.keys(lifted).length > 0 || undefined}>
      <summary>Weigh it: lift one end on the scales</summary>
      <div className="two-up">
        {WEIGHTS.map(([key, label]) => (
          <NumberField
            key={key}
            field={`lifted/${key}`}
            label={label}
            showLabel
            value={lifted[key] === undefined ? null : MASS.shown(lifted[key], tape)}
            least={1}
            most={20_000}
            unit={MASS.sign(tape)}
            decimals={0}
            onEnter={(shown) => put({ [key]: MASS.read(shown, tape) })}
            onClear={() => put({ [key]: undefined })}
          />
        ))}
        <LengthField
          field="lifted/by"
          label="The other axle lifted by"
          showLabel
          mm={lifted.by ?? null}
          least={50}
          most={1500}
          onEnter={(by) => put({ by })}
          onClear={() => put({ by: undefined })}
        />
      </div>
      <p className="hint">
        Springs held by blocks or solid links in place of the shocks, tyres hard, tank full or empty, nobody
        in it. The more it is lifted the better it comes out: two feet are better than one.
      </p>
      {height !== null && !weighed && (
        <p className="hint">
          First what the whole car weighs, on four scales (Record) or typed: the height counts against it.
        </p>
      )}
      {height !== null && weighed && (
        <button
          type="button"
          className="remedy"
          onClick={() => takeHeight(height, formatLength(height, tape))}
        >
          Take {sayLength(height, tape)} off the floor
        </button>
      )}
      <Caution>
        A lifted car rolls and falls: stands rated for it under the axle, the wheels on the scales blocked
        both ways, nobody under it or in it.
      </Caution>
    </details>
  );
}
