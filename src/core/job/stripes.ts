import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import type { Stripe } from './jobSchema';

/** What a verified thing rests on: each value by the words a builder would use for it. Lengths in mm. */
export type Basis = Record<string, number | string | boolean>;

export type StripeState =
  { kind: 'none' } | { kind: 'whole'; at: string } | { kind: 'broken'; at: string; changes: string[] };

const SAME_LENGTH = 1e-3; // mm: a round trip through a tape fraction is no change

/** A stripe drawn across something verified; broken when anything it rested on has changed since. */
export function stripeState(stripe: Stripe | undefined, now: Basis, tape: Tape): StripeState {
  if (!stripe) return { kind: 'none' };
  const names = [...new Set([...Object.keys(stripe.basis), ...Object.keys(now)])];
  const changes = names
    .filter((name) => !same(stripe.basis[name], now[name]))
    .map((name) => `${name} was ${say(stripe.basis[name], tape)}, is now ${say(now[name], tape)}`);
  return changes.length ? { kind: 'broken', at: stripe.at, changes } : { kind: 'whole', at: stripe.at };
}

function same(a: Basis[string] | undefined, b: Basis[string] | undefined): boolean {
  return typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) < SAME_LENGTH : a === b;
}

function say(value: Basis[string] | undefined, tape: Tape): string {
  if (value === undefined) return 'not there';
  if (typeof value === 'number') return sayLength(value, tape);
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : value;
}
