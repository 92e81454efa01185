import { ownNames, refusalOf } from './guard';

const names = ownNames(process.env.PELLIK_LAN === '1');

/** Why a request is turned away, as an answer; null where it may come in. */
export function turnedAway(request: Request): Response | null {
  const refusal = refusalOf(request, names);
  return refusal && refused(refusal.status, '', refusal.error);
}

/** An answer that says what was expected, and where. */
export const refused = (status: number, path: string, expected: string): Response =>
  Response.json({ error: { path, expected } }, { status });

/** A handler behind the gate. It stands before each by itself: the framework's own gate would read a body whole first. */
export const guarded =
  <Answer extends Response | Promise<Response>>(handler: (request: Request) => Answer) =>
  (request: Request): Answer | Response =>
    turnedAway(request) ?? handler(request);
