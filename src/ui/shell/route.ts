'use client';
import { useSyncExternalStore } from 'react';
import { STATIONS, type StationId } from '@/core/bench/stationIds';

/** Which job is on the bench and at which station, kept in the address so that a reload comes back to it. */
export type Route = { jobId: string | null; station: StationId };

export function parseRoute(hash: string): Route {
  const [jobId, station] = hash.replace(/^#\/?/, '').split('/');
  return {
    jobId: jobId ? decoded(jobId) : null,
    station: STATIONS.find((s) => s === station) ?? 'job',
  };
}

/** An address that somebody cut or mistyped may hold what stands for no letter; it is then taken as it is. */
function decoded(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}

export function goTo(jobId: string, station: StationId): void {
  window.location.hash = `/${encodeURIComponent(jobId)}/${station}`;
}

const subscribe = (onChange: () => void) => {
  window.addEventListener('hashchange', onChange);
  return () => window.removeEventListener('hashchange', onChange);
};

export function useRoute(): Route {
  return parseRoute(
    useSyncExternalStore(
      subscribe,
      () => window.location.hash,
      () => '',
    ),
  );
}

/** The code of what this page was opened to fetch; the address is as ever from then on. */
export function codeToTake(): string | null {
  const code = new URLSearchParams(window.location.search).get('take');
  if (code !== null)
    window.history.replaceState(null, '', `${window.location.pathname}${window.location.hash}`);
  return code;
}
