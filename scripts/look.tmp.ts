import { writeFileSync } from 'node:fs';
import { Hands, serve } from '../tests/support/browser';
const [w, h] = (process.env.SIZE ?? '1280x800').split('x').map(Number);
const server = await serve();
const hands = await Hands.open(server.address, w, h);
const shot = async (name: string) =>
  writeFileSync(`/tmp/shot-${name}.png`, await hands.driver.takeScreenshot(), 'base64');
await hands.go('pewter', 'job');
await hands.press('Keep it safe');
await hands.driver.sleep(800);
await shot('safe');
await hands.press('Back up');
await hands.driver.sleep(1200);
await shot('safe2');
await hands.closeDialog();
await hands.driver.sleep(500);
await shot('job');
await hands.close();
server.stop();
