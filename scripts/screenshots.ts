/** Takes the pictures of docs/screenshots from the demo data: `npx tsx scripts/screenshots.ts`, after a build. */
import { writeFileSync } from 'node:fs';
import { By } from 'selenium-webdriver';
import { Hands, serve } from '../tests/support/browser';

type View = [name: string, station: number, title: string, width: number, height: number, job?: string];
const VIEWS: View[] = [
  ['job', 1, 'The job', 1280, 800],
  ['record', 2, 'Record', 1280, 800],
  ['locate', 3, 'Panhard bar', 1280, 800],
  ['locate-links', 3, 'Panhard bar', 1280, 800],
  ['locate-room', 3, 'Panhard bar', 1280, 800],
  ['locate-forces', 3, 'Panhard bar', 1280, 800],
  ['locate-front', 3, 'Track bar', 1280, 800, 'demo-tinker'],
  ['locate-map', 3, 'Panhard bar', 1280, 800],
  ['cut', 4, 'Cut', 1280, 800],
  ['weld', 5, 'Hold', 1280, 800],
  ['ride', 6, 'Centre', 1280, 800],
  ['locate-tablet', 3, 'Panhard bar', 820, 1180],
  ['weld-tablet', 5, 'Hold', 820, 1180],
];

const part = async (hands: Hands, name: string): Promise<void> =>
  hands.click(await hands.driver.findElement(By.xpath(`//label[.//*[text()="${name}"]]`)));

/** What is done at a station before its picture, so that it shows something. */
const BEFORE: Record<string, (hands: Hands) => Promise<void>> = {
  'locate-links': (hands) => part(hands, 'Lengthwise'),
  'locate-room': (hands) => part(hands, 'Room'),
  'locate-forces': (hands) => part(hands, 'Forces'),
  'locate-front': (hands) => part(hands, 'Lengthwise'),
  'locate-map': async (hands) => {
    await part(hands, 'Lengthwise');
    await hands.press('swept');
    await hands.press('roll');
    await hands.press('as a map');
    await hands.driver.executeScript('document.querySelector(".curve").scrollIntoView()');
    await hands.driver.sleep(600);
    await hands.press('roll');
  },
  ride: async (hands) => {
    await hands.type('ride/left', '5 1/2');
    await hands.type('ride/right', '5 1/8');
  },
  'weld-tablet': async (hands) => {
    await hands.type('weld/level.frame', '14');
    await hands.type('weld/level.axle', '13 7/8');
    for (const id of ['onWheels', 'level'])
      await hands.click(await hands.find(`[data-condition=${id}] .stripe-button`));
    await hands.driver.executeScript('document.querySelector(".bench-card").scrollTop = 0');
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
