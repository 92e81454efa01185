'use client';
import { Button, Select } from 'antd';
import type { Job } from '@/core/job/jobSchema';
import { withParts } from '@/core/job/edits/parts/parts';
import { withoutCrossmember } from '@/core/job/edits/parts/crossmembers';
import { crossmembersOf, highOf, lengthOf, type CrossSection } from '@/core/job/made/crossmember';
import type { CrossmemberPart } from '@/core/job/slices/parts';
import { METAL_NAMES, METALS, type MetalName } from '@/core/materials/metals';
import { crossFaultOf } from '@/core/prove/faults/crossFaults';
import { sayLength } from '@/core/units/length';
import type { Ways } from '@/core/units/ways';
import { edit, enter, useJob } from '@/store/jobStore';
import { Pills } from '@/ui/cards/Pills';
import { LengthField } from '@/ui/fields/LengthField';

type Size = {
  key: string;
  label: string;
  mm: number;
  least: number;
  most: number;
  to: (mm: number) => Partial<CrossmemberPart>;
  ways?: Ways;
  decimal?: boolean;
};

/** What a crossmember or a hoop is: where it lies, how it meets the rails, what it is of. */
export function CrossmemberFields({ id, onGone }: { id: string; onGone: () => void }) {
  const job = useJob();
  const of = crossmembersOf(job).find((one) => one.id === id);
  const said = job.parts.crossmembers?.[id];
  if (!of || !said) return null;
  const { section, hoop, meets } = of;
  const changed = (change: Partial<CrossmemberPart>) => (j: Job) =>
    withParts(j, { crossmembers: { [id]: change } });
  const put = (change: Partial<CrossmemberPart>) => edit(changed(change));
  const say = (mm: number) => sayLength(mm, job.tape);
  const fault = crossFaultOf(job, of);
  const length = ({ key, to, ...field }: Size) => (
    <LengthField
      key={key}
      field={`parts/crossmembers/${id}/${key}`}
      showLabel
      {...field}
      onEnter={(mm, typed) => enter(`parts/crossmembers/${id}/${key}`, typed, changed(to(mm)))}
    />
  );
  const across = (key: 'od' | 'wall' | 'high' | 'wide', label: string, most: number): Size => ({
    key,
    label,
    mm: (section as Record<string, number | string>)[key] as number,
    least: 0.5,
    most,
    decimal: key === 'wall',
    to: (mm) => ({ section: { ...section, [key]: mm } as CrossSection }),
  });
  return (
    <div className="prove-fields">
      {fault && (
        <p className="field-problem" role="alert">
          {fault}
        </p>
      )}
      <Pills<'straight' | 'hoop'>
        legend="It is"
        options={[
          { value: 'straight', label: 'straight' },
          { value: 'hoop', label: 'a hoop, bent twice' },
        ]}
        value={hoop ? 'hoop' : 'straight'}
        onPick={(to) => put({ hoop: to === 'hoop' ? {} : undefined })}
      />
      <Pills<CrossmemberPart['meets']>
        legend="It meets the rails"
        options={[
          { value: 'between', label: 'between them' },
          { value: 'under', label: 'under them' },
        ]}
        value={meets}
        onPick={(to) => put({ meets: to })}
      />
      <Pills<'welded' | 'bolted'>
        legend="To the rails it is"
        options={[
          { value: 'welded', label: 'welded' },
          { value: 'bolted', label: 'bolted' },
        ]}
        value={of.bolted ? 'bolted' : 'welded'}
        onPick={(to) => put({ bolted: to === 'bolted' || undefined })}
      />
      <Pills<CrossSection['shape']>
        legend="Tube"
        options={[
          { value: 'tube', label: 'round' },
          { value: 'box', label: 'rectangular' },
        ]}
        value={section.shape}
        onPick={(shape) => put({ section: shaped(section, shape) })}
      />
      {section.shape === 'tube'
        ? length(across('od', 'Diameter', 150))
        : [length(across('high', 'Height', 200)), length(across('wide', 'Width along the car', 200))]}
      {length(across('wall', 'Wall', highOf(section) / 2))}
      <label>
        <span className="length-label">Metal</span>
        <Select<MetalName>
          aria-label="Metal"
          value={of.metal}
          onChange={(metal) => put({ metal })}
          options={METAL_NAMES.map((name) => ({ value: name, label: METALS[name].name }))}
        />
      </label>
      {length({
        key: 'ahead',
        label: 'From the axle’s centre',
        mm: of.ahead,
        least: -2500,
        most: 2500,
        ways: ['ahead', 'behind'],
        to: (ahead) => ({ ahead }),
      })}
      {(hoop || meets === 'between') &&
        length({
          key: 'low',
          label: 'Its middle, off the undersides',
          mm: of.low,
          least: -400,
          most: 400,
          ways: ['below', 'above'],
          to: (low) => ({ low }),
        })}
      {hoop && [
        length({
          key: 'middle',
          label: 'Between its corners',
          mm: hoop.middle,
          least: 50,
          most: 1500,
          to: (middle) => ({ hoop: { ...said.hoop, middle } }),
        }),
        length({
          key: 'bendRadius',
          label: 'Bends, to their middle line',
          mm: hoop.bendRadius,
          least: 10,
          most: 400,
          to: (bendRadius) => ({ hoop: { ...said.hoop, bendRadius } }),
        }),
      ]}
      {!fault && (
        <p className="hint" data-crossmember>
          {say(lengthOf(of))} from rail to rail along its middle line. It is centred, both ends as far from
          the same marks, and fixed before any bracket is set on it.
        </p>
      )}
      <Button
        onClick={() => {
          edit((j) => withoutCrossmember(j, id));
          onGone();
        }}
      >
        Take the {id} out
      </Button>
    </div>
  );
}

/** A tube of the other kind starts as high as it was. */
const shaped = (section: CrossSection, shape: CrossSection['shape']): CrossSection =>
  shape === 'tube'
    ? { shape, od: highOf(section), wall: section.wall }
    : { shape, high: highOf(section), wide: highOf(section), wall: section.wall };
