/// <reference lib="webworker" />
import { Serwist, type PrecacheEntry } from 'serwist';

/** Every file of this build, put in when it is bundled. */
declare const PRECACHED: PrecacheEntry[];

// A newer one waits until the builder says: nothing changes under the hand.
const serwist = new Serwist({
  precacheEntries: PRECACHED,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    ignoreURLParametersMatching: [/.*/],
    plugins: [
      {
        // A worker reads what it is to do from the address that it was asked by, which an answer of its own address would hide.
        cachedResponseWillBeUsed: async ({ cachedResponse }) =>
          cachedResponse && new Response(cachedResponse.body, cachedResponse),
      },
    ],
  },
  skipWaiting: false,
  clientsClaim: true,
  disableDevLogs: true,
});
serwist.addEventListeners();
