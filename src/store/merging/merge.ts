import { applyReadings } from '@/core/job/applyReadings';
import { jobFault } from '@/core/job/file';
import type { Job } from '@/core/job/jobSchema';
import { InputError, orRefusal } from '@/core/rig/read';
import type { Work } from '../storage/journal';

type Loose = Record<string, unknown>;

export const isLoose = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);

/** Whether two values are one once they are written: a key without a value is no key, which a package for equality would tell apart. */
export const sameStored = (a: unknown, b: unknown): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

/** A state of a job with the time of its last change and the tab that made it: of two, both tabs know alike which is the later. */
export type Version = Work & { at: string; by: string };

const isLater = (a: Version, b: Version): boolean => (a.at === b.at ? a.by > b.by : a.at > b.at);

/** What two states came to, and what they would have come to had the other way been taken where only one could stand; null where both stand. */
export type Merged = { work: Work; otherWay: Work | null };

/**
 * Two states of one job that grew from the same base, made one, the same in whichever tab it is done. What only one of them
 * changed is taken from that one; where both changed one value, the later of the two states stands.
 */
export function mergedWork(base: Work, one: Version, other: Version): Merged {
  const [early, late] = isLater(one, other) ? [other, one] : [one, other];
  const { value, clash } = fittingTogether(base, early, late);
  return { work: value, otherWay: clash ? fittingTogether(base, late, early).value : null };
}

function fittingTogether(base: Work, early: Work, late: Work): { value: Work; clash: boolean } {
  const drafts = merged(base.drafts, early.drafts, late.drafts);
  const job = mergedJob(base.job, early.job, late.job);
  if (job.value === late.job || job.value === early.job)
    return { value: { job: job.value, drafts: drafts.value }, clash: job.clash || drafts.clash };
  const fits = madeToFit(job.value);
  // Each by itself may fit where both together do not, as with one part too many.
  const stands = fits === null ? late.job : sharing(late.job, fits);
  return { value: { job: stands, drafts: drafts.value }, clash: job.clash || drafts.clash || fits === null };
}

/** A job with its rig brought up to its readings, where a file can hold it; else null. */
export function madeToFit(job: Job): Job | null {
  if (jobFault(job)) return null;
  const fits = orRefusal(() => applyReadings(job));
  return fits instanceof InputError ? null : fits;
}

/** A layout and the members that stand in it are one choice: a car has no bar of one and links of another. */
export function mergedJob(base: Job, early: Job, late: Job): Together<Job> {
  const both = merged(base, early, late);
  const changed = [early, late].filter((j) => j.layout !== base.layout || j.rig.members !== base.rig.members);
  if (changed.every((j) => j.layout === base.layout)) return both;
  const { layout, laidOut, placed, rig } = changed.at(-1)!;
  const chosen = {
    layout,
    laidOut,
    ...(placed && { placed }),
    rig: { ...both.value.rig, end: rig.end, members: rig.members },
  };
  return { value: { ...both.value, ...chosen }, clash: both.clash || changed.length > 1 };
}

/** One value out of two, and whether something in them could not stand beside the other. */
type Together<T> = { value: T; clash: boolean };

/** `late` stands where both changed one value; what one changed inside of something outlives that the other took it out. */
export function merged<T>(base: T, early: T, late: T): Together<T>;
export function merged(base: unknown, early: unknown, late: unknown): Together<unknown> {
  if (early === late || early === base) return { value: late, clash: false };
  if (late === base) return { value: early, clash: false };
  if (isLoose(early) && isLoose(late) && isOneKind(early, late))
    return mergedKeys(isLoose(base) ? base : {}, early, late);
  if (Array.isArray(early) && Array.isArray(late))
    return mergedLists(Array.isArray(base) ? base : [], early, late);
  if (sameStored(early, late) || sameStored(early, base)) return { value: late, clash: false };
  if (sameStored(late, base)) return { value: early, clash: false };
  return { value: late === undefined && typeof early === 'object' ? early : late, clash: true };
}

/** A coil spring and a leaf spring have keys in common and are not halves of one thing. */
const isOneKind = (a: Loose, b: Loose): boolean =>
  ['kind', 'shape', 'type'].every((key) => a[key] === b[key]);

function mergedKeys(base: Loose, early: Loose, late: Loose): Together<Loose> {
  const value: Loose = {};
  let clash = false;
  for (const key of new Set([...Object.keys(late), ...Object.keys(early)])) {
    const both = merged(base[key], early[key], late[key]);
    if (both.value !== undefined) value[key] = both.value;
    clash ||= both.clash;
  }
  return { value: [late, early].find((whole) => hasAll(whole, value)) ?? value, clash };
}

/** The same values are the same object, so that what did not change is seen not to have. */
const hasAll = (whole: Loose, value: Loose): boolean =>
  Object.keys(whole).length === Object.keys(value).length &&
  Object.entries(value).every(([key, v]) => whole[key] === v);

function mergedLists(base: unknown[], early: unknown[], late: unknown[]): Together<unknown[]> {
  const [baseKeys, earlyKeys, lateKeys] = [base, early, late].map(keysOf);
  if (!baseKeys || !earlyKeys || !lateKeys) return mergedInPlace(base, early, late);
  const both = mergedKeys(keyed(base, baseKeys), keyed(early, earlyKeys), keyed(late, lateKeys));
  const value = inOrder(lateKeys, earlyKeys).flatMap((key) =>
    Object.hasOwn(both.value, key) ? [both.value[key]] : [],
  );
  const alike = [late, early].find(
    (list) => list.length === value.length && list.every((v, i) => v === value[i]),
  );
  return { value: alike ?? value, clash: both.clash };
}

export const keyed = (list: unknown[], keys: string[]): Loose =>
  Object.fromEntries(list.map((value, i) => [keys[i]!, value]));

/** The keys of two lists in one order: those that only the second has come after the one that they follow in it. */
function inOrder(first: string[], second: string[]): string[] {
  const order = [...first];
  const known = new Set(first);
  second.forEach((key, i) => {
    if (!known.has(key)) order.splice(i === 0 ? 0 : order.indexOf(second[i - 1]!) + 1, 0, key);
  });
  return order;
}

/** What tells the entries of a list apart: their ids, the time when they were made, or what they are; null where nothing does. */
export function keysOf(list: unknown[]): string[] | null {
  const seen = new Map<string, number>();
  const keys: string[] = [];
  for (const entry of list) {
    const name = isLoose(entry) ? (entry.id ?? entry.at) : entry;
    if (typeof name !== 'string') return null;
    const times = seen.get(name) ?? 0;
    seen.set(name, times + 1);
    keys.push(times === 0 ? name : `${name} ${times + 1}`);
  }
  return keys;
}

/** Lists that are as long as each other, as points are, place by place. */
function mergedInPlace(base: unknown[], early: unknown[], late: unknown[]): Together<unknown[]> {
  if (sameStored(early, late) || sameStored(early, base)) return { value: late, clash: false };
  if (sameStored(late, base)) return { value: early, clash: false };
  if (early.length !== late.length || early.length !== base.length) return { value: late, clash: true };
  const both = late.map((value, i) => merged(base[i], early[i], value));
  return { value: both.map((b) => b.value), clash: both.some((b) => b.clash) };
}

/** `next` with all that is alike in `before` taken from there, so that what did not change is the same object. */
export function sharing<T>(before: unknown, next: T): T {
  if (Object.is(before, next)) return next;
  if (Array.isArray(before) && Array.isArray(next)) {
    const shared = next.map((value: unknown, i) => sharing(before[i], value));
    const alike = before.length === next.length && shared.every((value, i) => value === before[i]);
    return (alike ? before : shared) as T;
  }
  if (isLoose(before) && isLoose(next)) {
    const shared: Loose = {};
    for (const [key, value] of Object.entries(next)) shared[key] = sharing(before[key], value);
    return (hasAll(before, shared) ? before : shared) as T;
  }
  return next;
}
