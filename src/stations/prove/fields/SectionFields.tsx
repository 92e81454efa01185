'use client';
import { Select } from 'antd';
import { METAL_NAMES, METALS, type MetalName } from '@/core/materials/metals';
import type { BarSection } from '@/core/strength/bar';
import { Pills } from '@/ui/cards/Pills';
import { LengthField } from '@/ui/fields/LengthField';

const SHAPES: { value: BarSection['shape']; label: string }[] = [
  { value: 'tube', label: 'tube' },
  { value: 'solid', label: 'solid' },
  { value: 'flat', label: 'plate' },
];

/** A bar that is to be of another shape starts as thick as it was; a plate on edge, a quarter of that thick. */
function shaped(section: BarSection, shape: BarSection['shape']): BarSection {
  const od = section.shape === 'flat' ? section.height : section.od;
  if (shape === 'flat') return { shape, height: od, thickness: od / 4 };
  return shape === 'solid' ? { shape, od } : { shape, od, wall: od / 10 };
}

/** A tube's wall is never thicker than half of it. */
const fitting = (section: BarSection): BarSection =>
  section.shape === 'tube' ? { ...section, wall: Math.min(section.wall, section.od / 2) } : section;

type Props = {
  /** where what is typed is kept */
  stem: string;
  section: BarSection;
  metal: MetalName;
  /** what it may be of */
  shapes?: BarSection['shape'][];
  onPut: (change: { section?: BarSection; metal?: MetalName | undefined }) => void;
  onType: (key: string, typed: string, section: BarSection) => void;
};

/** What a bar is of across, and its metal. */
export function SectionFields({ stem, section, metal, shapes, onPut, onType }: Props) {
  const length = (
    key: 'od' | 'wall' | 'height' | 'thickness',
    label: string,
    most: number,
    decimal = false,
  ) => (
    <LengthField
      field={`${stem}/${key}`}
      label={label}
      showLabel
      decimal={decimal}
      mm={(section as Partial<Record<typeof key, number>>)[key] ?? null}
      least={0.5}
      most={most}
      onEnter={(mm, typed) => onType(key, typed, fitting({ ...section, [key]: mm } as BarSection))}
    />
  );
  return (
    <>
      <Pills
        legend="Section"
        options={SHAPES.filter(({ value }) => !shapes || shapes.includes(value))}
        value={section.shape}
        // Plate is not sold as tube, nor tube as plate: the metal is what is usual for the new shape.
        onPick={(shape) => onPut({ section: shaped(section, shape), metal: undefined })}
      />
      {section.shape !== 'flat' && length('od', 'Diameter', 150)}
      {section.shape === 'tube' && length('wall', 'Wall', section.od / 2, true)}
      {section.shape === 'flat' && length('height', 'Height', 200)}
      {section.shape === 'flat' && length('thickness', 'Thickness', 80)}
      <label>
        <span className="length-label">Metal</span>
        <Select<MetalName>
          aria-label="Metal"
          value={metal}
          onChange={(to) => onPut({ metal: to })}
          options={METAL_NAMES.map((name) => ({ value: name, label: METALS[name].name }))}
        />
      </label>
    </>
  );
}
