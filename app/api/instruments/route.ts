import * as z from 'zod/mini';
import { InputError, validate } from '@/core/rig/read';
import { spotAt } from '@/core/survey/quantities/quantities';
import { found } from '@/core/survey/readings';
import type { Channel } from '@/instruments/protocol';
import { LINES_PER_SECOND, MOODS, practiceValue, standInLine, type Aim } from '@/instruments/standIns';
import { guarded, refused } from '@/server/guarded';
import { demoJobs } from '@/store/demo';

export const dynamic = 'force-dynamic';

/** Longest that one aim is kept up, lines: five minutes. */
const LONGEST = 300 * LINES_PER_SECOND;

const query = z.object({
  job: z.string().check(z.maxLength(80)),
  /** the reading or field that the gauge is held at */
  aim: z.string().check(z.maxLength(120)),
  unit: z.enum(['length', 'angle', 'weight', 'torque']),
  mood: z.enum(MOODS),
  /** about what it should read, for places that no demo car knows */
  about: z._default(z.coerce.number().check(z.minimum(-5_000_000), z.maximum(5_000_000)), 0),
});

type Query = z.infer<typeof query>;

/** Stand-ins for gauges: one line of text ten times a second, as server-sent events, until the other side hangs up. */
export const GET = guarded((request) => {
  let asked: Query;
  try {
    asked = validate(query, Object.fromEntries(new URL(request.url).searchParams));
  } catch (problem) {
    if (!(problem instanceof InputError)) throw problem;
    return refused(400, problem.path, problem.expected);
  }
  const { mood } = asked;
  const aim = aimOf(asked);
  const encoder = new TextEncoder();
  let timer: ReturnType<typeof setInterval>;
  const lines = new ReadableStream({
    start(stream) {
      let step = 0;
      const stop = () => {
        clearInterval(timer);
        stream.close();
      };
      timer = setInterval(() => {
        const line = standInLine(aim, mood, step++);
        // A comment keeps the connection known to be alive while the gauge itself is silent.
        stream.enqueue(encoder.encode(line === null ? ': no gauge\n\n' : `data: ${line}\n\n`));
        if (step > LONGEST) stop();
      }, 1000 / LINES_PER_SECOND);
    },
    cancel: () => clearInterval(timer),
  });
  return new Response(lines, {
    headers: {
      'Content-Type': 'text/event-stream; charset=utf-8',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    },
  });
});

function aimOf({ job, aim, unit, about }: Query): Aim {
  const spot = spotAt(aim.replace(/^reading\//, ''));
  const channel: Channel =
    unit === 'weight'
      ? `${spot?.quantity.key === 'weightRear' ? 'rear' : 'front'}-${spot?.side ?? 'left'}`
      : unit;
  const name = `${job}/${aim}`;
  if (!spot) return { unit, channel, truth: about, name };
  const car = demoJobs().find((j) => j.id === job);
  const known = car && found(car.readings, spot.quantity.key, spot.side);
  const truth = known?.value ?? practiceValue(name, spot.quantity.standIn, unit);
  return { unit: spot.quantity.unit, channel, truth, name };
}
