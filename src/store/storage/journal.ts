import type { Job } from '@/core/job/jobSchema';
import { parseJson } from '@/core/rig/read';
import type { Drafts } from './db';
import { TAB } from './ids';

/** A job with what is half typed into it. */
export type Work = { job: Job; drafts: Drafts };

/** What a tab changed and has not yet been told is stored, with what it had started from. */
export type Unstored = { key: string; text: string; tab: string; at: string; base: Work; mine: Work };

const keyOf = (jobId: string, tab: string) => `pellik-unstored/${jobId}/${tab}`;

/**
 * Notes what is on the screen before it is stored. The browser keeps this at once, where its database takes its time: a reload
 * or a page that is killed loses nothing.
 */
export function note(base: Work, mine: Work, at: string): void {
  try {
    localStorage.setItem(keyOf(mine.job.id, TAB), JSON.stringify({ at, base, mine }));
  } catch {
    // No room, or not allowed: what the database keeps is all that is kept.
  }
}

/** The database has what was noted. A note that was written since stays. */
export function forget({ key, text }: Unstored): void {
  if (localStorage.getItem(key) === text) localStorage.removeItem(key);
}

/** The database has all that this tab changed of a job. */
export function forgetMine(jobId: string): void {
  try {
    localStorage.removeItem(keyOf(jobId, TAB));
  } catch {
    // Where nothing may be written, there is no note.
  }
}

/** What this or earlier pages left behind of a job, unstored, the earliest first: each had begun with the one before it. What cannot be read is not there. */
export function unstoredOf(jobId: string): Unstored[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(keyOf(jobId, '')))
      .flatMap((key) => read(key) ?? [])
      .sort((a, b) => (a.at < b.at ? -1 : 1));
  } catch {
    return [];
  }
}

function read(key: string): Unstored | null {
  try {
    const text = localStorage.getItem(key) ?? '';
    const { at, base, mine } = parseJson(text) as Unstored;
    const tab = key.slice(key.lastIndexOf('/') + 1);
    return typeof at === 'string' && base?.job && mine?.job ? { key, text, tab, at, base, mine } : null;
  } catch {
    return null;
  }
}
