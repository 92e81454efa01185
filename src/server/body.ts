/** The longest that the next piece of a body, and the whole of it, is waited for, ms. */
const WAIT = { piece: 10_000, whole: 120_000 };

/** A body that was not read, and the status that says why. */
export class NotRead extends Error {
  constructor(
    readonly status: 408 | 413,
    message: string,
  ) {
    super(message);
    this.name = 'NotRead';
  }
}

/**
 * The bytes of a request's body, given up as soon as they are too many or take too long.
 *
 * @param most bytes
 * @throws NotRead
 */
export async function readBody(
  request: Request,
  most: number,
  wait = WAIT,
): Promise<Uint8Array<ArrayBuffer>> {
  const pieces: Uint8Array[] = [];
  const reader = request.body?.getReader();
  const end = Date.now() + wait.whole;
  let bytes = 0;
  try {
    for (;;) {
      const { done, value } = (await inTime(reader?.read(), Math.min(wait.piece, end - Date.now()))) ?? {};
      if (done !== false || !value) break;
      bytes += value.byteLength;
      if (bytes > most)
        throw new NotRead(413, `larger than ${Math.floor(most / 1024 / 1024)} MB, the most that is read`);
      pieces.push(value);
    }
  } catch (error) {
    void reader?.cancel().catch(() => {});
    throw error;
  }
  const whole = new Uint8Array(bytes);
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.byteLength;
  }
  return whole;
}

async function inTime<T>(work: Promise<T> | undefined, ms: number): Promise<T | undefined> {
  let timer: ReturnType<typeof setTimeout>;
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new NotRead(408, 'the body came too slowly')), Math.max(0, ms));
  });
  return Promise.race([work, late]).finally(() => clearTimeout(timer));
}
