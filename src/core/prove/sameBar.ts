import { distance } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { barOf, bendsOf, metalOf } from '@/core/job/made/parts';
import { METALS, type Metal, type MetalName } from '@/core/materials/metals';
import { bisect } from '@/core/numerics/rootFinding';
import type { LinkMember } from '@/core/rig/members/link';
import {
  bentBarStress,
  columnOf,
  eulerInPlane,
  momentInPlane,
  sectionValues,
  type BarSection,
} from '@/core/strength/bar';
import { bendGive, bentBy } from './trials/barTrials';

/**
 * A bar made otherwise: what it carries pulled, beside its welds, and pushed, N; how hard it is along itself, N/mm; its mass without ends,
 * kg; whether it is so now.
 */
export type BarAs = {
  name: string;
  pulled: number;
  pushed: number;
  rate: number;
  mass: number;
  now: boolean;
};

const TUBES: MetalName[] = ['erw', 'dom', 'chromoly'];

type Way = { name: string; metal: MetalName; section: BarSection; straight?: boolean };

/** The same bar of the usual metals, and of as much steel in another shape; one that is bent, straight as well. */
export function sameBar(job: Job, link: LinkMember): BarAs[] {
  const bar = barOf(job, link.id);
  const metals: MetalName[] = bar.section.shape === 'tube' ? TUBES : [bar.metal];
  const offset = bentBy(link);
  const ways: Way[] = [
    ...metals.map((metal) => ({ name: METALS[metal].name, metal, section: bar.section })),
    ...(metals.includes(bar.metal)
      ? []
      : [{ name: METALS[bar.metal].name, metal: bar.metal, section: bar.section }]),
    ...(offset > 0
      ? [{ name: 'Straight, if it cleared', metal: bar.metal, section: bar.section, straight: true }]
      : []),
    ...othersOf(bar.section),
  ];
  const length = distance(link.chassis, link.axle);
  const along = bendsOf(job, link)?.blank ?? length;
  return ways.map(({ name, metal, section, straight = false }) => {
    const of = metalOf(job, metal);
    const values = sectionValues(section);
    return {
      name,
      ...carried(section, of, length, straight ? 0 : offset),
      rate:
        1 / (length / (of.E * values.A) + (straight ? 0 : bendGive(link)) / (of.E * momentInPlane(section))),
      mass: values.A * (straight ? length : along) * of.density,
      now: metal === bar.metal && section === bar.section && !straight,
    };
  });
}

const HALVINGS = 60;

/** What a bar carries pulled and pushed, N; bent by so much, what its bend bears. */
function carried(
  section: BarSection,
  of: Metal,
  length: number,
  offset: number,
): { pulled: number; pushed: number } {
  const { A } = sectionValues(section);
  const least = Math.min(of.yield, of.welded);
  const straight = { pulled: A * least, pushed: columnOf(section, length, of).load };
  if (offset === 0) return straight;
  const bends = (way: 1 | -1) => (force: number) =>
    bentBarStress(section, way * force, { length, offset }, of) >= of.yield;
  return {
    pulled: Math.min(straight.pulled, bisect(bends(1), 0, A * of.yield, HALVINGS)),
    pushed: Math.min(straight.pushed, bisect(bends(-1), 0, eulerInPlane(section, length, of.E), HALVINGS)),
  };
}

/** A tube or a plate as a solid bar as thick, and as one of as much steel; a solid bar as tube of as much steel. */
function othersOf(section: BarSection): Way[] {
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
