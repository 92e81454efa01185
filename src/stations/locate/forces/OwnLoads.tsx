'use client';
import { Button } from 'antd';
import { Input } from '@/ui/fields/textInput';
import type { LoadCase } from '@/core/statics/equilibrium';
import { edit, useJobPart } from '@/store/jobStore';
import { setPreferences } from '@/store/preferences';
import { NumberField } from '@/ui/fields/NumberField';
import { SIDES } from '@/core/geometry/side';
import type { Job } from '@/core/job/jobSchema';
import { FORCE } from '@/core/units/unit';

const DIRECTIONS = [
  { axis: 0, name: 'lengthwise', ways: ['forward', 'back'] },
  { axis: 1, name: 'sideways', ways: ['left', 'right'] },
  { axis: 2, name: 'up', ways: undefined },
] as const;

const changeLoads = (change: (loads: LoadCase[]) => LoadCase[]) =>
  edit((j: Job) => ({ ...j, rig: { ...j.rig, loads: change(j.rig.loads ?? []) } }));

/** The builder's own cases: what the ground does to each tyre. */
export function OwnLoads() {
  const loads = useJobPart((j) => j.rig.loads ?? []);
  const { track, tireRadius } = useJobPart((j) => ({ track: j.rig.track, tireRadius: j.rig.tireRadius }));
  function add() {
    const name = `My case ${loads.length + 1}`;
    const seat = (s: number): [number, number, number] => [0, s * 0.3 * track, tireRadius];
    const fresh: LoadCase = {
      name,
      wheel: { left: [0, 0, 4000], right: [0, 0, 4000] },
      springs: { left: seat(1), right: seat(-1) },
      shaftTorque: 0,
    };
    changeLoads((list) => [...list, fresh]);
    setPreferences({ load: name });
  }
  return (
    <section className="section">
      {loads.map((load, i) => (
        <OneLoad key={i} load={load} index={i} />
      ))}
      <Button onClick={add}>Add a case of your own</Button>
    </section>
  );
}

function OneLoad({ load, index }: { load: LoadCase; index: number }) {
  const tape = useJobPart((j) => j.tape);
  const put = (change: (l: LoadCase) => LoadCase) =>
    changeLoads((list) => list.map((l, i) => (i === index ? change(l) : l)));
  return (
    <div className="thing-block">
      <div className="link-head">
        <Input
          aria-label={`Name of case ${index + 1}`}
          value={load.name}
          maxLength={60}
          onChange={(e) => {
            put((l) => ({ ...l, name: e.target.value }));
            setPreferences({ load: e.target.value });
          }}
        />
        <Button
          type="text"
          size="small"
          aria-label={`Remove ${load.name}`}
          onClick={() => changeLoads((list) => list.filter((_, i) => i !== index))}
        >
          remove
        </Button>
      </div>
      {SIDES.map((side) => (
        <div key={side} className="ends-row thing-point">
          <h3>ground on the {side} tyre</h3>
          {DIRECTIONS.map(({ axis, name, ways }) => (
            <NumberField
              key={axis}
              field={`load/${index}/${side}/${axis}`}
              label={`${side} tyre, ${name}`}
              value={FORCE.shown(load.wheel[side][axis], tape)}
              least={FORCE.shown(-200_000, tape)}
              most={FORCE.shown(200_000, tape)}
              unit={FORCE.sign(tape)}
              decimals={0}
              ways={ways}
              onEnter={(shown) =>
                put((l) => {
                  const at = l.wheel[side].map((v, k) => (k === axis ? FORCE.read(shown, tape) : v));
                  return { ...l, wheel: { ...l.wheel, [side]: at } as LoadCase['wheel'] };
                })
              }
            />
          ))}
        </div>
      ))}
    </div>
  );
}
