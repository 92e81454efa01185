/**
 * Prints how much script the first view of each station loads, as it is sent to this machine (Brotli) and to a browser that takes gzip
 * alone (a tablet over http), and how long it takes until the bay is drawn on a second visit, in headless Chromium:
 * `npx tsx scripts/measure/first-view.ts`, after a build.
 */
import { gzipSync } from 'node:zlib';
import { STATIONS } from '@/core/bench/stationIds';
import { Hands, serve } from '../../tests/support/page/browser';

const VISITS = 3;

/** Runs in the page: the scripts it has fetched, and when the bay was drawn, ms from the start of the visit. */
const seen = `
  const [done] = arguments;
  const drawn = () => document.querySelector('.bay-side svg .bar, .bay-side svg path');
  const scripts = () =>
    performance.getEntriesByType('resource').filter((e) => /\\.js(\\?|$)/.test(e.name)).map((e) => [e.name, e.encodedBodySize]);
  // What the card beside it asks for comes a moment after.
  const tell = (at) => setTimeout(() => done({ at, scripts: scripts() }), 1500);
  const look = () => (drawn() ? tell(performance.now()) : requestAnimationFrame(look));
  look();
`;

type Seen = { at: number; scripts: [url: string, sent: number][] };

const sum = (sizes: number[]): number => sizes.reduce((a, b) => a + b, 0);
const kB = (bytes: number): string => `${(bytes / 1000).toFixed(0)} kB`;

async function byGzip(url: string): Promise<number> {
  const response = await fetch(url);
  return gzipSync(Buffer.from(await response.arrayBuffer())).length;
}

async function main(): Promise<void> {
  const server = await serve();
  for (const station of STATIONS) {
    const visits: Seen[] = [];
    for (let visit = 0; visit < VISITS; visit++) {
      const hands = await Hands.open(server.address);
      await hands.driver.manage().setTimeouts({ script: 60_000 });
      await hands.driver.get('about:blank');
      await hands.driver.get(`${server.address}/#/demo-marigold/${station}`);
      visits.push(await hands.driver.executeAsyncScript<Seen>(seen));
      await hands.close();
    }
    const scripts = new Map(visits[0]!.scripts);
    const sent = sum([...scripts.values()]);
    const gzipped = sum(await Promise.all([...scripts.keys()].map(byGzip)));
    const drawn = Math.min(...visits.map((v) => v.at));
    console.log(
      `first view of ${station}: ${kB(sent)} of script in ${scripts.size} files as sent (${kB(gzipped)} by gzip); drawn after ${drawn.toFixed(0)} ms`,
    );
  }
  server.stop();
}

await main();
