'use client';
import { Select } from 'antd';
import { withParts } from '@/core/job/edits/parts';
import { barOf, threadedEnds, type Bar } from '@/core/job/made/parts';
import { METAL_NAMES, METALS, type MetalName } from '@/core/materials/metals';
import { THREAD_NAMES, type ThreadName } from '@/core/materials/threads';
import type { BarSection } from '@/core/strength/bar';
import type { BarPart } from '@/core/job/slices/parts';
import { FORCE } from '@/core/units/unit';
import { edit, enter, useJob } from '@/store/jobStore';
import { Pills } from '@/ui/cards/Pills';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';

const SHAPES: { value: BarSection['shape']; label: string }[] = [
  { value: 'tube', label: 'tube' },
  { value: 'solid', label: 'solid' },
  { value: 'flat', label: 'plate' },
];

/** A bar that is to be of another shape starts as thick as it was; a plate on edge, a quarter of that thick. */
function shaped({ section }: Bar, shape: BarSection['shape']): BarSection {
  const od = section.shape === 'flat' ? section.height : section.od;
  if (shape === 'flat') return { shape, height: od, thickness: od / 4 };
  return shape === 'solid' ? { shape, od } : { shape, od, wall: od / 10 };
}

/** What a bar is made of: section, metal, thread; and what its rod ends' maker says of them. */
export function BarFields({ part }: { part: string }) {
  const job = useJob();
  const bar = barOf(job, part);
  const { section } = bar;
  const put = (change: BarPart) => edit((j) => withParts(j, { bars: { [part]: change } }));
  const type = (field: string, text: string | null, change: BarPart) =>
    enter(`parts/${part}/${field}`, text, (j) => withParts(j, { bars: { [part]: change } }));
  const length = (
    key: 'od' | 'wall' | 'height' | 'thickness',
    label: string,
    most: number,
    decimal = false,
  ) => (
    <LengthField
      field={`parts/${part}/${key}`}
      label={label}
      showLabel
      decimal={decimal}
      mm={(section as Partial<Record<typeof key, number>>)[key] ?? null}
      least={0.5}
      most={most}
      onEnter={(mm, typed) => type(key, typed, { section: fitting({ ...section, [key]: mm } as BarSection) })}
    />
  );
  return (
    <div className="prove-fields">
      <Pills
        legend="Section"
        options={SHAPES}
        value={section.shape}
        // Plate is not sold as tube, nor tube as plate: the metal is what is usual for the new shape.
        onPick={(shape) => put({ section: shaped(bar, shape), metal: undefined })}
      />
      {section.shape !== 'flat' && length('od', 'Diameter', 150)}
      {section.shape === 'tube' && length('wall', 'Wall', section.od / 2, true)}
      {section.shape === 'flat' && length('height', 'Height', 200)}
      {section.shape === 'flat' && length('thickness', 'Thickness', 80)}
      <label>
        <span className="length-label">Metal</span>
        <Select<MetalName>
          aria-label="Metal"
          value={bar.metal}
          onChange={(metal) => put({ metal })}
          options={METAL_NAMES.map((name) => ({ value: name, label: METALS[name].name }))}
        />
      </label>
      {threadedEnds(bar).length > 0 && (
        <>
          <label>
            <span className="length-label">Thread of its ends</span>
            <Select<ThreadName>
              aria-label="Thread of its ends"
              value={bar.thread}
              onChange={(thread) => put({ thread })}
              options={THREAD_NAMES.map((name) => ({ value: name, label: name }))}
            />
          </label>
          <NumberField
            field={`parts/${part}/rated`}
            label="Rod ends, their maker’s rating"
            showLabel
            value={bar.rated === null ? null : FORCE.shown(bar.rated, job.tape)}
            least={1}
            most={FORCE.shown(10_000_000, job.tape)}
            unit={FORCE.sign(job.tape)}
            decimals={0}
            placeholder="not told"
            onEnter={(value, typed) => type('rated', typed, { rated: FORCE.read(value, job.tape) })}
            onClear={() => type('rated', null, { rated: undefined })}
          />
        </>
      )}
    </div>
  );
}

/** A tube's wall is never thicker than half of it. */
const fitting = (section: BarSection): BarSection =>
  section.shape === 'tube' ? { ...section, wall: Math.min(section.wall, section.od / 2) } : section;
