import { LARGEST_FILE } from '@/core/rig/read';
import { NotRead, readBody } from '@/server/body';
import { guarded, refused } from '@/server/guarded';
import { NotSolved, solveApart } from '@/server/solveApart';

/**
 * Takes a rig file as the body, gives the same JSON as `pellik solve`. Bad input: 400 with the place and the cure; too much of
 * it, too slowly sent, or too long to solve: 408, 413, 422 or 503 with the reason.
 */
export const POST = guarded(async (request) => {
  if (!/^application\/json\s*(;|$)/i.test(request.headers.get('content-type') ?? ''))
    return refused(415, '', 'the content type application/json');
  try {
    const text = new TextDecoder().decode(await readBody(request, LARGEST_FILE));
    const answer = await solveApart(text, request.signal);
    if (answer.ok) return new Response(answer.text, { headers: { 'Content-Type': 'application/json' } });
    return refused(400, answer.path, answer.expected);
  } catch (error) {
    if (!(error instanceof NotRead || error instanceof NotSolved)) throw error;
    return refused(error.status, '', error.message);
  }
});
