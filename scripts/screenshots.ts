/** Takes the pictures of docs/screenshots from the demo data: `npx tsx scripts/screenshots.ts`, after a build. */
import { writeFileSync } from 'node:fs';
import { Key } from 'selenium-webdriver';
import { spotAt, spotName } from '@/core/survey/quantities/quantities';
import { Hands, serve } from '../tests/support/page/browser';

type View = [name: string, station: number, title: string, width: number, height: number, job?: string];
const VIEWS: View[] = [
  ['job', 1, 'The job', 1280, 800],
  ['record', 2, 'Record', 1280, 800],
  ['record-found', 2, 'Record', 1280, 800],
  ['place', 3, 'Hold the axle', 1280, 800],
  ['locate', 4, 'Panhard bar', 1280, 800],
  ['locate-links', 4, 'Panhard bar', 1280, 800],
  ['locate-room', 4, 'Panhard bar', 1280, 800],
  ['locate-forces', 4, 'Panhard bar', 1280, 800],
  ['locate-front', 4, 'Track bar', 1280, 800, 'demo-tinker'],
  ['ways', 4, 'Panhard bar', 1280, 800, 'demo-pewter'],
  ['roll', 5, 'Roll', 1280, 800, 'demo-copperline'],
  ['roll-balance', 5, 'Roll', 1280, 800, 'demo-copperline'],
  ['prove', 6, 'Prove', 1280, 800, 'demo-copperline'],
  ['cut', 7, 'Cut', 1280, 800],
  ['weld', 8, 'The order', 1280, 800],
  ['hold-point', 8, 'The order', 1280, 800],
  ['drive', 10, 'What it did', 1280, 800, 'demo-copperline'],
  ['ride', 9, 'Centre', 1280, 800],
  ['locate-tablet', 4, 'Panhard bar', 820, 1180],
];

/** Goes to one reading of the plan by the finder, as a builder would. */
async function reading(hands: Hands, key: string): Promise<void> {
  await hands.keys('/');
  await (await hands.find('[aria-label="What to find"]')).sendKeys(spotName(spotAt(key)!), Key.ENTER);
  await hands.dialogGone();
  await hands.find(`[data-step="${key}"]`);
}

/** What is done at a station before its picture, so that it shows something. */
const BEFORE: Record<string, (hands: Hands) => Promise<void>> = {
  'hold-point': (hands) => hands.part('Hold'),
  'locate-links': (hands) => hands.part('Lengthwise'),
  'locate-room': (hands) => hands.part('Room'),
  'locate-forces': (hands) => hands.part('Forces'),
  'locate-front': (hands) => hands.part('Lengthwise'),
  record: (hands) => reading(hands, 'cab.diagonal.left'),
  'record-found': (hands) => hands.part('As found'),
  ways: async (hands) => {
    await hands.part('Ways');
    await hands.press('See them side by side');
    await hands.find('.ways-table');
  },
  roll: async (hands) => {
    await hands.part('Sway bar');
    await hands.press('roll');
    await hands.driver.executeScript('document.querySelector(".bench-card").scrollTop = 0');
  },
  'roll-balance': async (hands) => {
    await hands.part('Balance');
    await hands.press('Springs: more');
    await hands.driver.executeScript('document.querySelector(".levers").scrollIntoView({ block: "center" })');
  },
  place: async (hands) => {
    await hands.type('place/held.left', '33 1/2');
    await hands.type('place/held.right', '33 7/16');
    await hands.driver.executeScript('document.querySelector(".bench-card").scrollTop = 0');
  },
  ride: async (hands) => {
    await hands.type('ride/left', '5 1/2');
    await hands.type('ride/right', '5 1/8');
    await hands.driver.executeScript('document.querySelector(".bench-card").scrollTop = 60');
  },
};

async function main(): Promise<void> {
  const server = await serve();
  for (const [name, station, title, width, height, job] of VIEWS) {
    const hands = await Hands.open(job ? `${server.address}/#/${job}/job` : server.address, width, height);
    await hands.station(station, title);
    await BEFORE[name]?.(hands);
    await hands.driver.sleep(900);
    writeFileSync(`docs/screenshots/${name}.png`, Buffer.from(await hands.driver.takeScreenshot(), 'base64'));
    await hands.close();
  }
  server.stop();
}

void main();
