import fc from 'fast-check';
import { withEndKind } from '@/core/job/edits/parts/ends';
import { BAR_ENDS, END_KINDS, LINK_ENDS } from '@/core/job/made/parts';
import { BUILT_AXES, withBuilt } from '@/core/built/builtEyes';
import { settingsOf, withOuting, withoutOuting } from '@/core/drive/setUps';
import { withDone, withOwnStep, withWays } from '@/core/plan/edits';
import { tasksOf } from '@/core/plan/plan';
import { torqueSheet, withApplied } from '@/core/weld/torqueSheet';
import { linksOf } from '@/core/rig/members/members';
import { type KitName, MEMBER_KITS, withKit, withoutMembers } from '@/core/job/edits/members/kits';
import {
  candidatesOf,
  designOf,
  withCandidate,
  withChosen,
  withoutCandidate,
} from '@/core/job/edits/candidates';
import { withLayout } from '@/core/job/edits/members/layout';
import { withMounts } from '@/core/job/edits/mounts';
import { withReadingsAt } from '@/core/job/edits/readings';
import { withRoll } from '@/core/job/edits/roll';
import type { Job } from '@/core/job/jobSchema';
import { LAYOUT_IDS } from '@/core/rig/layouts';
import { mountsOf } from '@/core/rig/mounts';
import { usualSprings } from '@/core/springs/springDesign';
import { SPOTS } from '@/core/survey/quantities/quantities';
import { usualBar } from '@/core/swaybar/swayBarDesign';
import { read } from './car';

/** Figures that come in by a slip as well as those that a car has; fields give no minus nought. */
const figure = fc
  .oneof(
    { weight: 6, arbitrary: fc.double({ min: -1500, max: 1500, noNaN: true }) },
    { weight: 2, arbitrary: fc.constantFrom(0, 1e-9, 25.4, 20_000, -20_000, 20_001, 1e6) },
    { weight: 1, arbitrary: fc.constantFrom(NaN, Infinity, -Infinity) },
  )
  .map((v) => v + 0);
const text = fc.oneof(
  fc.string({ maxLength: 150, unit: 'grapheme' }),
  fc.constantFrom('', '1/8', '🚗'.repeat(100)),
);
const pick = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];

/** What a builder may do to a job, well or badly. An act that cannot be done in words is refused in words. */
export const act: fc.Arbitrary<(j: Job) => Job> = fc.oneof(
  fc
    .tuple(fc.constantFrom('name', 'car', 'notes'), text)
    .map(([key, said]) => (j: Job) => ({ ...j, [key]: said })),
  fc.constantFrom(...LAYOUT_IDS).map((layout) => (j: Job) => withLayout(j, layout)),
  fc.constantFrom('in16', 'in32', 'mm').map((tape) => (j: Job) => ({ ...j, tape }) as Job),
  fc.tuple(fc.nat(SPOTS.length - 1), figure, fc.boolean()).map(
    ([spot, value, struck]) =>
      (j: Job) =>
        withReadingsAt(j, SPOTS[spot]!, (old) => [...old, { ...read(value), ...(struck && { struck }) }]),
  ),
  fc.nat(SPOTS.length - 1).map((spot) => (j: Job) => withReadingsAt(j, SPOTS[spot]!, () => [])),
  fc
    .tuple(fc.nat(20), fc.nat(5), fc.constantFrom(0 as const, 1 as const, 2 as const), figure)
    .map(([m, e, axis, mm]) => (j: Job) => {
      const member = pick(j.rig.members, m)?.id;
      const end = member && pick(mountsOf(j.rig, member), e)?.key;
      return member && end ? withMounts(j, [{ member, end, axis, mm }]) : j;
    }),
  fc.constantFrom(...(Object.keys(MEMBER_KITS) as KitName[])).map((kit) => (j: Job) => withKit(j, kit)),
  fc.nat(20).map((n) => (j: Job) => withoutMembers(j, [pick(j.rig.members, n)?.id ?? ''])),
  fc
    .constantFrom('coil' as const, 'leaf' as const, 'air' as const)
    .map((kind) => (j: Job) => withRoll(j, { springs: usualSprings(j.rig, kind) })),
  fc
    .tuple(fc.nat(20), fc.constantFrom(...BAR_ENDS), fc.constantFrom(...END_KINDS))
    .map(([n, end, kind]) => (j: Job) => {
      const link = pick(linksOf(j.rig), n);
      return link ? withEndKind(j, link.id, end, kind) : j;
    }),
  fc.boolean().map((on) => (j: Job) => withRoll(j, { bar: on ? usualBar(j.rig) : null })),
  figure.map((od) => (j: Job) => (j.roll.bar ? withRoll(j, { bar: { ...j.roll.bar, od } }) : j)),
  figure.map((cornerG) => (j: Job) => ({ ...j, cornerG })),
  fc.tuple(fc.nat(300), text).map(([n, name]) => (j: Job) => ({
    ...j,
    record: {
      ...j.record,
      parts: Array.from({ length: n }, (_, i) => ({ id: `p${i}`, name, wanted: i % 1200 })),
    },
  })),
  fc
    .constantFrom('other' as const, 'same' as const, 'bare' as const)
    .map((car) => (j: Job) => withWays(j, { car })),
  fc.tuple(fc.nat(100), text).map(([n, note]) => (j: Job) => {
    const task = pick(tasksOf(j), n);
    return task ? withDone(j, task, '2026-01-01T00:00:00.000Z', { note }) : j;
  }),
  fc.tuple(fc.nat(9), fc.nat(100), fc.nat(100), text).map(([id, a, b, title]) => (j: Job) => {
    const [after, before] = [a, b].map((n) => pick(tasksOf(j), n)?.id);
    return withOwnStep(j, { id: `own${id}`, title, track: 'fit', after, before });
  }),
  fc.tuple(fc.nat(9), figure, text).map(([id, distance, place]) => (j: Job) => {
    const said = {
      id: `o${id}`,
      at: '2026-01-01T00:00:00.000Z',
      place,
      distance,
      times: [],
      feel: {},
      noises: [],
    };
    return withOuting(j, { ...said, note: place }, { settings: settingsOf(j), figures: null });
  }),
  fc.nat(9).map((id) => (j: Job) => withoutOuting(j, `o${id}`)),
  fc.tuple(fc.nat(9), text).map(
    ([id, name]) =>
      (j: Job) =>
        withCandidate(j, { id: `c${id}`, name, design: designOf(j) }),
  ),
  fc.tuple(fc.nat(9), text).map(([n, reason]) => (j: Job) => {
    const one = pick(candidatesOf(j), n);
    return one ? withChosen(j, one, reason, '2026-01-01T00:00:00.000Z') : j;
  }),
  fc.nat(9).map((n) => (j: Job) => withoutCandidate(j, pick(candidatesOf(j), n)?.id ?? '')),
  fc
    .tuple(fc.nat(20), fc.constantFrom(...LINK_ENDS), fc.constantFrom(...BUILT_AXES), figure)
    .map(([n, end, axis, mm]) => (j: Job) => {
      const link = pick(linksOf(j.rig), n);
      return link ? withBuilt(j, link.id, end, axis, mm) : j;
    }),
  fc.tuple(fc.nat(20), figure).map(([n, torque]) => (j: Job) => {
    const line = pick(torqueSheet(j), n);
    return line ? withApplied(j, line.id, torque, '2026-01-01T00:00:00.000Z') : j;
  }),
  fc.tuple(fc.nat(250), figure).map(([n, turns]) => (j: Job) => ({
    ...j,
    ride: {
      ...j.ride,
      rounds: Array.from({ length: n }, () => ({
        at: '2026-01-01T00:00:00.000Z',
        left: turns,
        others: { a: turns },
      })) as never,
    },
  })),
);
