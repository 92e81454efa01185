import { solveRig } from '@/core/bench/solveRig';
import { InputError, LARGEST_FILE, readRig } from '@/core/rig/read';

/** Takes a rig file as the body, gives the same JSON as `pellik solve`. Bad input: 400 with the place and the cure. */
export async function POST(request: Request): Promise<Response> {
  try {
    return Response.json(solveRig(readRig(await bodyText(request))));
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return Response.json({ error: { path: error.path, expected: error.expected } }, { status: 400 });
  }
}

/** Reads the body, giving up as soon as it is too large to be a rig. */
async function bodyText(request: Request): Promise<string> {
  const decoder = new TextDecoder();
  let text = '';
  let bytes = 0;
  for await (const chunk of request.body ?? []) {
    bytes += (chunk as Uint8Array).byteLength;
    if (bytes > LARGEST_FILE) throw new InputError('', 'larger than 32 MB, the most that is read');
    text += decoder.decode(chunk as Uint8Array, { stream: true });
  }
  return text + decoder.decode();
}
