import { Hands, serve } from './browser';

/** Where the application stands, and the hands at it, for the tests of the file that opened the bench. */
export let address: string;
export let hands: Hands;

/** Serves the application and puts hands to it before the tests of a file; cleans up after them. */
export function openBench(width?: number, height?: number): void {
  let stop: (() => void) | undefined;
  beforeAll(async () => {
    const server = await serve();
    ({ address, stop } = server);
    hands = await Hands.open(address, width, height);
  }, 90_000);
  afterAll(async () => {
    await hands?.close();
    stop?.();
  });
}
