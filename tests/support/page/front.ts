import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { serve } from './browser';

export type Front = {
  address: string;
  /** whether it answers at all, as a server that is gone does not */
  down: boolean;
  /** what is put after the service worker, as a newer one has */
  newer: string;
  stop: () => void;
};

/** The application behind an address of a test's own, which can be gone for a while and come back newer. */
export async function serveInFront(): Promise<Front> {
  const behind = await serve();
  const { port } = new URL(behind.address);
  const front: Front = { address: '', down: false, newer: '', stop: () => {} };
  const server = createServer((asked, answer) => {
    if (front.down) {
      asked.socket.destroy();
      return;
    }
    const { method, url } = asked;
    // As it is, so that something can be put after it.
    const headers = { ...asked.headers, 'accept-encoding': 'identity' };
    const passed = request({ host: 'localhost', port, method, path: url, headers }, (got) => {
      const own = url?.startsWith('/sw.js') === true;
      answer.writeHead(got.statusCode!, own ? { 'content-type': 'text/javascript' } : got.headers);
      got.pipe(answer, { end: false });
      got.once('end', () => answer.end(own ? front.newer : undefined));
    });
    passed.once('error', () => asked.socket.destroy());
    asked.pipe(passed);
  });
  await new Promise<void>((done) => server.listen(0, 'localhost', done));
  front.address = `http://localhost:${(server.address() as AddressInfo).port}`;
  front.stop = () => {
    server.close();
    server.closeAllConnections();
    behind.stop();
  };
  return front;
}
