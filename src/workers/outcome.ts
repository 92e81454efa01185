import { InputError } from '@/core/rig/read';

/** An answer, or what is wrong with what was asked about: an error's class does not survive the crossing. */
export type Outcome<T> = { ok: true; result: T } | { ok: false; message: string };

export function outcomeOf<T>(work: () => T): Outcome<T> {
  try {
    return { ok: true, result: work() };
  } catch (error) {
    return refusalOf(error);
  }
}

/** What is said in place of an answer. */
export function refusalOf(error: unknown): Outcome<never> {
  if (error instanceof InputError) return { ok: false, message: error.expected };
  console.error(error);
  return {
    ok: false,
    message: `Pellik itself broke on it (${(error as Error).message}). Undo the last change; nothing typed is lost`,
  };
}
