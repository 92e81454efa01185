import { DENSITY } from '@/core/materials/steels';
import { LIMITS } from '@/core/materials/limits';
import { lengthPerTurn, THREADS, type ThreadName } from '@/core/materials/threads';

/** One threaded end of an adjustable bar, mm. */
export type BarEnd = {
  /** centre of the eye to the face of the jam nut run up against the shoulder */
  toShoulder: number;
  /** thread left showing between that face and the tube, as built */
  showing: number;
  /** threaded length of the shank, measured from the same face */
  shank: number;
  /** threaded length inside the tube's bung */
  bung: number;
};

export type BarSpec = {
  thread: ThreadName;
  ends: { frame: BarEnd; axle: BarEnd };
  /** the builder's own least engagement, mm, over and above 1.5 diameters; 0 for none */
  engagementRule: number;
  tube: { od: number; wall: number };
};

type EndResult = { engagement: number; holds: boolean; spare: number };

export type BarResult = {
  tubeLength: number;
  limit: number;
  ends: { frame: EndResult; axle: EndResult };
  /** from the set length, both ends wound alike: mm and turns until bottomed, and until the least engagement */
  shorten: { mm: number; turns: number };
  lengthen: { mm: number; turns: number };
  /** tube only, kg */
  tubeMass: number;
};

/** Least thread engagement, mm: 1.5 diameters (common practice) or the builder's own rule, whichever is more. */
export function leastEngagement(thread: ThreadName, rule: number): number {
  return Math.max(LIMITS.adjustableBar.diametersOfThread * THREADS[thread].diameter, rule);
}

/**
 * Tube length, engagement and adjustment of a bar with a left-hand thread at one end and a right-hand one at the other.
 *
 * Tube = eye to eye − Σ(centre to shoulder + thread showing). Engagement = what of the shank is inside the bung.
 * Winding the tube moves both ends alike: in until the first end is bottomed, out until the first is at its limit.
 *
 * @param eyeToEye wanted centre-to-centre length, mm
 */
export function makeBar(eyeToEye: number, spec: BarSpec): BarResult {
  const { thread, ends } = spec;
  const limit = leastEngagement(thread, spec.engagementRule);
  const frame = measureEnd(ends.frame, limit);
  const axle = measureEnd(ends.axle, limit);
  const tubeLength =
    eyeToEye - (ends.frame.toShoulder + ends.frame.showing) - (ends.axle.toShoulder + ends.axle.showing);
  const inward = Math.max(0, Math.min(ends.frame.showing, ends.axle.showing));
  const outward = Math.max(0, Math.min(frame.spare, axle.spare));
  const perTurn = lengthPerTurn(thread);
  const inner = spec.tube.od - 2 * spec.tube.wall;
  return {
    tubeLength,
    limit,
    ends: { frame, axle },
    shorten: { mm: 2 * inward, turns: (2 * inward) / perTurn },
    lengthen: { mm: 2 * outward, turns: (2 * outward) / perTurn },
    tubeMass: DENSITY * (Math.PI / 4) * (spec.tube.od ** 2 - inner ** 2) * Math.max(0, tubeLength),
  };
}

/** The spec of a bar after its tube was wound: positive turns lengthen. Thread shows or hides alike at both ends. */
export function windTube(spec: BarSpec, turns: number): BarSpec {
  const out = turns * THREADS[spec.thread].pitch;
  const wind = (end: BarEnd): BarEnd => ({ ...end, showing: end.showing + out });
  return { ...spec, ends: { frame: wind(spec.ends.frame), axle: wind(spec.ends.axle) } };
}

function measureEnd(end: BarEnd, limit: number): EndResult {
  const inside = end.shank - end.showing;
  const engagement = Math.max(0, Math.min(inside, end.bung));
  return { engagement, holds: engagement >= limit - 1e-9, spare: end.bung < limit ? 0 : inside - limit };
}
