import type { Metal } from '@/core/materials/metals';

/** One tab of a bracket, mm: its thickness, its width at the hole, from the hole's middle to the edge that the load pulls at, the hole, and the bolt in it. */
export type Tab = { thickness: number; width: number; edge: number; hole: number; bolt: number };

/** What one tab carries, N. */
export type TabLoads = { tearOut: number; bearing: number; net: number; gross: number };

/**
 * What one tab carries by each way of failing, N: tear-out 1.2·l_c·t·S_u and bearing 2.4·d·t·S_u (AISC J3.10, from memory), net section
 * (w − h)·t·S_u, gross section w·t·S_y (AISC D2, from memory). l_c is the clear distance from hole to edge.
 */
export function tabLoads({ thickness, width, edge, hole, bolt }: Tab, metal: Metal): TabLoads {
  const { ultimate, yield: Sy } = metal;
  return {
    tearOut: 1.2 * Math.max(0, edge - hole / 2) * thickness * ultimate,
    bearing: 2.4 * bolt * thickness * ultimate,
    net: Math.max(0, width - hole) * thickness * ultimate,
    gross: width * thickness * Sy,
  };
}
