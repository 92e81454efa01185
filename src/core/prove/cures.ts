import { assemble } from '@/core/kinematics/mechanism';
import { withParts, type PartsChange } from '@/core/job/edits/parts';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf, saidOfBracket, type Bracket } from '@/core/job/made/bracketParts';
import { barOf, isPlateBar, type Bar, type BarEndName, type LinkEnd } from '@/core/job/made/parts';
import type { BarPart, BracketPart } from '@/core/job/slices/parts';
import { boltSystem, sayBolt } from '@/core/materials/boltSize';
import { BOLT_GRADES, METALS, type MetalName } from '@/core/materials/metals';
import { PLATES, TUBES, BOLTS, FILLETS } from '@/core/materials/stockSizes';
import { THREAD_NAMES, THREADS } from '@/core/materials/threads';
import { linksOf } from '@/core/rig/members/members';
import { pairOf } from '@/core/rig/roles';
import { MM_PER_INCH, systemOf, type Tape } from '@/core/units/tape';
import { sayLength } from '@/core/units/length';
import type { Remedy } from '@/core/verdict/verdict';
import { casesOf, isShort, margin, proveLink } from '@/core/prove/prove';
import type { CaseForces } from '@/core/prove/cases';
import type { Check, CheckName } from '@/core/prove/types';

/** One thing about a part that can be made stronger, step by step: what is said of each step, and what it changes. */
type Step = { text: string; change: PartsChange };
type Lever = (job: Job, part: string) => Step[];

/** Past this more of the same is no bracket any more, in steps. */
const MOST_STEPS = 10;

const ofBar =
  (
    steps: (bar: Bar, tape: Tape) => { text: string; part: NonNullable<PartsChange['bars']>[string] }[],
  ): Lever =>
  (job, id) =>
    steps(barOf(job, id), job.tape).map(({ text, part }) => ({ text, change: { bars: { [id]: part } } }));

const ofBracket =
  (
    steps: (
      bracket: Bracket,
      tape: Tape,
      said: BracketPart,
    ) => { text: string; part: NonNullable<PartsChange['brackets']>[string] }[],
  ): Lever =>
  (job, id) => {
    const [member, end] = id.split('/') as [string, LinkEnd];
    const link = linksOf(job.rig).find((m) => m.id === member);
    if (!link) return [];
    return steps(bracketOf(job, link, end), job.tape, saidOfBracket(job, id)).map(({ text, part }) => ({
      text,
      change: { brackets: { [id]: part } },
    }));
  };

/** Lengths greater than one, step by step, mm. */
const beyond = (mm: number, step: number): number[] =>
  Array.from({ length: MOST_STEPS }, (_, i) => mm + (i + 1) * step);
const EIGHTH = MM_PER_INCH / 8;

const fromTo = (what: string, from: number, to: number, tape: Tape): string =>
  `${what} ${sayLength(from, tape)} → ${sayLength(to, tape)}`;

const thicker = ofBracket(({ plate, leg }, tape) =>
  PLATES[systemOf(tape)]
    .filter((t) => t > plate + 0.1)
    .map((t) => ({
      text: fromTo('Plate', plate, t, tape),
      // A fillet as thick as its plate stays so.
      part: { plate: t, leg: Math.abs(leg - plate) < 0.1 ? t : leg },
    })),
);
const deeper = ofBracket(({ depth }, tape) =>
  beyond(depth, 4 * EIGHTH).map((mm) => ({
    text: fromTo('Root of the plates', depth, mm, tape),
    part: { depth: mm },
  })),
);
const wider = ofBracket(({ width }, tape) =>
  beyond(width, 2 * EIGHTH).map((mm) => ({
    text: fromTo('Width at the hole', width, mm, tape),
    part: { width: mm },
  })),
);
const farther = ofBracket(({ edge }, tape) =>
  beyond(edge, EIGHTH).map((mm) => ({
    text: `Hole ${sayLength(mm - edge, tape)} farther from the edge`,
    part: { edge: mm },
  })),
);
const boxed = ofBracket(({ boxed: is, planes }) =>
  is || planes === 1 ? [] : [{ text: 'Box the two plates with a web', part: { boxed: true } }],
);
const doubled = ofBracket(({ planes, bolt }) =>
  planes === 2
    ? []
    : [{ text: 'A second plate, so that the bolt is held on both sides', part: { planes: 2, bolt } }],
);
const clearThread = ofBracket(({ threaded }) =>
  threaded ? [{ text: 'A bolt long enough that no thread lies in a tab', part: { threaded: false } }] : [],
);
const harder = ofBracket(({ grade }) =>
  BOLT_GRADES[grade].ultimate < BOLT_GRADES['grade-8'].ultimate - 50
    ? [
        {
          text: `Bolt ${BOLT_GRADES[grade].name} → ${BOLT_GRADES['grade-8'].name}`,
          part: { grade: 'grade-8' },
        },
      ]
    : [],
);
const stouter = ofBracket(({ bolt, hole }) =>
  BOLTS[boltSystem(bolt)]
    .filter((d) => d > bolt + 0.1)
    .map((d) => ({
      text: `Bolt ${sayBolt(bolt)} → ${sayBolt(d)}`,
      part: { bolt: d, hole: d + (hole - bolt) },
    })),
);
const biggerFillet = ofBracket(({ leg, plate }, tape) =>
  FILLETS[systemOf(tape)]
    .filter((mm) => mm > leg + 0.1 && mm <= plate + 0.1)
    .map((mm) => ({ text: fromTo('Fillet', leg, mm, tape), part: { leg: mm } })),
);
const allRound = ofBracket(({ welded }) =>
  welded < 1 ? [{ text: 'Weld it all round, not in stitches', part: { welded: 1 } }] : [],
);
/** Plates that go farther down over an old bracket. */
const lappedMore = ofBracket(({ over }, tape, said) => {
  if (!over) return [];
  const { high, lap } = over;
  return beyond(lap, EIGHTH)
    .filter((mm) => mm <= high)
    .map((mm) => ({
      text: fromTo('Lap over the old bracket', lap, mm, tape),
      part: { over: { ...said.over, lap: mm } },
    }));
});
const backed = ofBracket(({ backing }, tape) =>
  PLATES[systemOf(tape)]
    .filter((t) => t > backing + 0.1)
    .map((t) => ({ text: `A backing plate of ${sayLength(t, tape)} on the rail`, part: { backing: t } })),
);
const biggerTube = ofBar(({ section }, tape) => {
  if (section.shape !== 'tube') return [];
  return TUBES.filter(
    ({ od, wall }) =>
      od >= section.od - 0.1 && wall >= section.wall - 0.01 && od + wall > section.od + section.wall + 0.1,
  ).map(({ od, wall }) => ({
    text: `Tube ${sayTube(section, tape)} → ${sayTube({ od, wall }, tape)}`,
    part: { section: { shape: 'tube', od, wall } as const },
  }));
});
const sayTube = ({ od, wall }: { od: number; wall: number }, tape: Tape): string =>
  tape === 'mm'
    ? `${od.toFixed(1)} × ${wall.toFixed(1)} mm`
    : `${sayLength(od, tape)} × ${(wall / MM_PER_INCH).toFixed(3)}`;
const STRONGER: Partial<Record<MetalName, MetalName[]>> = { erw: ['dom'], aluminium: [], plate: ['bar'] };
const stronger = ofBar(({ metal }) =>
  (STRONGER[metal] ?? []).map((to) => ({
    text: `${METALS[metal].name} → ${METALS[to].name}`,
    part: { metal: to },
  })),
);
const biggerThread = ofBar(({ thread }) =>
  THREAD_NAMES.filter(
    (name) =>
      THREADS[name].diameter > THREADS[thread].diameter + 0.1 &&
      name.startsWith('M') === thread.startsWith('M'),
  ).map((name) => ({ text: `Thread ${thread} → ${name}`, part: { thread: name } })),
);

/** The plates of an end with one of their sizes greater, step by step; a plate that is the bar itself is no part of its own. */
const eyeLever =
  (size: 'plate' | 'width' | 'lap', what: string, steps: (mm: number, tape: Tape) => number[]) =>
  (end: BarEndName): Lever =>
    ofBar((bar, tape) => {
      const eye = bar.eyes[end];
      if (!eye || isPlateBar(bar)) return [];
      return steps(eye[size], tape).map((mm) => ({
        text: fromTo(what, eye[size], mm, tape),
        part: { eyes: { ...told(bar.eyes), [end]: { ...eye, [size]: mm } } },
      }));
    });
const told = (eyes: Bar['eyes']): NonNullable<BarPart['eyes']> => ({
  ...(eyes.frame && { frame: eyes.frame }),
  ...(eyes.axle && { axle: eyes.axle }),
});
const thickerEye = eyeLever('plate', 'Plate of its end', (mm, tape) =>
  PLATES[systemOf(tape)].filter((t) => t > mm + 0.1),
);
const widerEye = eyeLever('width', 'Width of its end', (mm) => beyond(mm, 2 * EIGHTH));
const longerLap = eyeLever('lap', 'Lap on the bar', (mm) => beyond(mm, 2 * EIGHTH));

/** What might make each check hold, the least work first. */
const LEVERS: Record<CheckName, Lever[]> = {
  tension: [biggerTube, stronger],
  'weld-zone': [biggerTube, stronger],
  column: [biggerTube],
  bent: [biggerTube, stronger],
  'thread-frame': [biggerThread],
  'thread-axle': [biggerThread],
  'strip-frame': [biggerThread],
  'strip-axle': [biggerThread],
  'rod-end': [],
  'eye-frame': [thickerEye('frame'), widerEye('frame')],
  'eye-axle': [thickerEye('axle'), widerEye('axle')],
  'end-weld-frame': [longerLap('frame'), biggerTube],
  'end-weld-axle': [longerLap('axle'), biggerTube],
  'fatigue-end-frame': [longerLap('frame'), biggerTube],
  'fatigue-end-axle': [longerLap('axle'), biggerTube],
  'bolt-shear': [clearThread, doubled, harder, stouter],
  'bolt-bending': [doubled, harder, stouter],
  'tear-out': [farther, thicker],
  bearing: [thicker],
  'net-section': [wider, thicker],
  'gross-section': [wider, thicker],
  'root-bending': [deeper, thicker],
  'root-across': [boxed, thicker],
  weld: [allRound, biggerFillet, lappedMore, thicker, deeper],
  'rail-wall': [backed],
  'fatigue-shank': [biggerThread],
  'fatigue-weld': [allRound, biggerFillet, lappedMore, thicker, deeper],
  'fatigue-toe': [deeper, thicker],
  brace: [],
};

/** So many ways are given. */
const MOST = 3;

/** What makes a check hold as often as is wanted, each the least step of its kind that does, proved with it, and with no other check of the bar or its brackets the worse for it. */
export function curesIn(job: Job): (failing: Check) => Remedy[] {
  let cases: CaseForces[] | undefined;
  return (failing) => {
    cases ??= casesOf(job, assemble(job.rig));
    return curesOf(job, failing, cases);
  };
}

function curesOf(job: Job, failing: Check, cases: CaseForces[]): Remedy[] {
  const [member = ''] = failing.part.split('/');
  const before = checksOf(job, member, cases);
  return LEVERS[failing.check]
    .flatMap((lever): Remedy[] => {
      const step = lever(job, failing.part).find(({ change }) =>
        holdsWith(before, checksOf(withParts(job, change), member, cases), failing),
      );
      return step ? [{ text: step.text, parts: step.change }] : [];
    })
    .slice(0, MOST);
}

/** The checks of a member and of the one that mirrors it. */
const checksOf = (job: Job, member: string, cases: CaseForces[]): Map<string, Check> =>
  new Map(
    linksOf(job.rig)
      .filter(({ id }) => pairOf(member).includes(id))
      .flatMap((link) => proveLink(job, link, cases))
      .map((check) => [keyOf(check), check]),
  );
const keyOf = ({ part, check }: Check): string => `${part} ${check}`;

function holdsWith(before: Map<string, Check>, after: Map<string, Check>, { part, check }: Check): boolean {
  const cured = after.get(`${part} ${check}`);
  if (!cured || isShort(cured)) return false;
  return [...after].every(([key, now]) => {
    const was = before.get(key);
    return !isShort(now) || (was !== undefined && margin(now) >= margin(was) - 1e-9);
  });
}
