import type { CarAsItIs, Make, Track } from '@/core/job/slices/work/plan';
import type { Planned } from '@/core/plan/standing';
import type { Task, Zone } from '@/core/plan/task';
import type { WayOut } from '@/core/plan/waysOut';
import type { AxleEnd } from '@/core/rig/schema';
import { MASS } from '@/core/units/unit';
import type { Tape } from '@/core/units/tape';

export const TRACK_WORDS: Record<Track, string> = {
  apart: 'Take apart',
  fit: 'Fit and weld',
  bolt: 'Bolt on',
  ground: 'On the ground',
};

/** Where the builder lies, as it is said of an axle at either end. */
export function zoneWord(zone: Zone, end: AxleEnd): string {
  const axle = `the ${end} axle`;
  return {
    bench: 'At the bench',
    round: 'Round the car',
    ahead: `Under the car, ahead of ${axle}`,
    left: `At ${axle}, left`,
    middle: `Under the middle of ${axle}`,
    right: `At ${axle}, right`,
    behind: `Under the car, behind ${axle}`,
  }[zone];
}

export const STATION_WORDS = { record: 'Record', place: 'Place', cut: 'Cut', ride: 'Ride' } as const;

export const CAR_WORDS: Record<CarAsItIs, string> = {
  other: 'another suspension comes out',
  same: 'this one, bar by bar',
  bare: 'bare already',
};

export const WAY_OUT_WORDS: Record<WayOut, string> = {
  same: 'Bar by bar: what carries the car stays in',
  rests: 'Frame on stands, axle on rests',
};

export const MAKE_WORDS: Record<Make, string> = { own: 'my own parts', kit: 'a kit' };

export const STANDING_WORDS: Record<Planned['standing']['kind'], string> = {
  waits: 'waits',
  ready: 'can be done now',
  done: 'done',
  notHere: 'not on this car',
  doubt: 'done, and in doubt',
};

/** What a step takes: people, weight, tools, bolts; a line each. */
export function takes({ hands, lifts, tools, fasteners }: Task, helper: boolean, tape: Tape): string[] {
  return [
    ...(hands === 2
      ? [
          helper
            ? 'Two people.'
            : 'Two people; alone, only with a jack, a cradle and straps that hold it at every moment.',
        ]
      : []),
    ...(lifts !== undefined ? [`${MASS.say(lifts, tape)} to be moved.`] : []),
    ...(tools ? [`Tools: ${tools.join(', ')}.`] : []),
    ...(fasteners ?? []).map((line) => `${line[0]!.toUpperCase()}${line.slice(1)}.`),
  ];
}

/** A step as it is read out. */
export const aloud = ({ title, how, expect, caution, permanent }: Task): string =>
  [title, how, expect, permanent, caution]
    .filter((line) => line !== undefined)
    .map((line) => line.replace(/[.]?$/, '.'))
    .join(' ');
