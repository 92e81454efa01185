import type { Job } from '@/core/job/jobSchema';
import { metalOf, type Bar } from '@/core/job/parts';
import { METALS, type MetalName } from '@/core/materials/metals';
import { columnOf, sectionValues, type BarSection } from '@/core/strength/bar';

/** A bar made otherwise: what it carries pulled, beside its welds, and pushed, N; its mass without ends, kg; whether it is so now. */
export type BarAs = { name: string; pulled: number; pushed: number; mass: number; now: boolean };

const TUBES: MetalName[] = ['erw', 'dom', 'chromoly'];

/** The same bar of the usual metals, and of as much steel in another shape. @param length eye to eye, mm */
export function sameBar(job: Pick<Job, 'parts'>, bar: Bar, length: number): BarAs[] {
  const metals: MetalName[] = bar.section.shape === 'tube' ? TUBES : [bar.metal];
  const ways: { name: string; metal: MetalName; section: BarSection }[] = [
    ...metals.map((metal) => ({ name: METALS[metal].name, metal, section: bar.section })),
    ...(metals.includes(bar.metal)
      ? []
      : [{ name: METALS[bar.metal].name, metal: bar.metal, section: bar.section }]),
    ...othersOf(bar.section),
  ];
  return ways.map(({ name, metal, section }) => {
    const of = metalOf(job, metal);
    const { A } = sectionValues(section);
    return {
      name,
      pulled: A * Math.min(of.yield, of.welded),
      pushed: columnOf(section, length, of).load,
      mass: A * length * of.density,
      now: metal === bar.metal && section === bar.section,
    };
  });
}

/** A tube or a plate as a solid bar as thick, and as one of as much steel; a solid bar as tube of as much steel. */
function othersOf(section: BarSection): { name: string; metal: MetalName; section: BarSection }[] {
  const { A } = sectionValues(section);
  const alike = Math.sqrt((4 * A) / Math.PI);
  const od = section.shape === 'flat' ? section.height : section.od;
  return [
    ...(section.shape === 'solid'
      ? []
      : [
          { name: 'Solid, as thick', metal: 'bar' as const, section: { shape: 'solid' as const, od } },
          { name: 'Solid, as heavy', metal: 'bar' as const, section: { shape: 'solid' as const, od: alike } },
        ]),
    ...(section.shape === 'flat'
      ? []
      : [
          {
            name: 'Plate on edge, as heavy',
            metal: 'plate' as const,
            section: { shape: 'flat' as const, height: od * 1.5, thickness: A / (od * 1.5) },
          },
        ]),
  ];
}
