import type { PartsChange } from '@/core/job/edits/parts/parts';
import {
  type Bar,
  type BarEndName,
  barOf,
  isPlateBar,
  type LinkEnd,
  saidOfBracket,
} from '@/core/job/made/parts';
import { bracketOf, type Bracket } from '@/core/job/made/bracketParts';
import type { BarPart, BracketPart } from '@/core/job/slices/parts';
import {
  crossmemberIn,
  crossmembersOf,
  type Crossmember,
  type CrossSection,
} from '@/core/job/made/crossmember';
import { BOXES, FILLETS } from '@/core/materials/stockSizes';
import { linksOf } from '@/core/rig/members/members';
import { systemOf, type Tape } from '@/core/units/tape';
import { sayLength } from '@/core/units/length';
import type { CheckName } from '@/core/prove/types';
import {
  beyond,
  biggerTubes,
  EIGHTH,
  fromTo,
  hardest,
  largerThreads,
  sayWall,
  stouterBolts,
  strongerMetals,
  thickerPlates,
  type Lever,
} from './steps';
import { SWAY_LEVERS } from './swayLevers';

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

const thicker = ofBracket(({ plate, leg }, tape) =>
  thickerPlates(plate, tape).map((t) => ({
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
  hardest(grade).map(({ text, grade: to }) => ({ text, part: { grade: to } })),
);
const stouter = ofBracket(({ bolt, hole }) =>
  stouterBolts(bolt).map(({ text, bolt: d }) => ({ text, part: { bolt: d, hole: d + (hole - bolt) } })),
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
  thickerPlates(backing, tape).map((t) => ({
    text: `A backing plate of ${sayLength(t, tape)} on the rail`,
    part: { backing: t },
  })),
);
const biggerTube = ofBar(({ section }, tape) =>
  biggerTubes(section, tape).map(({ text, section: to }) => ({ text, part: { section: to } })),
);
const stronger = ofBar(({ metal }) =>
  strongerMetals(metal).map(({ text, metal: to }) => ({ text, part: { metal: to } })),
);
const biggerThread = ofBar(({ thread }) =>
  largerThreads(thread).map(({ text, thread: to }) => ({ text, part: { thread: to } })),
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
const thickerEye = eyeLever('plate', 'Plate of its end', thickerPlates);
const widerEye = eyeLever('width', 'Width of its end', (mm) => beyond(mm, 2 * EIGHTH));
const longerLap = eyeLever('lap', 'Lap on the bar', (mm) => beyond(mm, 2 * EIGHTH));

const ofCrossmember =
  (steps: (of: Crossmember, tape: Tape) => { text: string; section: CrossSection }[]): Lever =>
  (job, part) => {
    const of = crossmembersOf(job).find(({ id }) => id === crossmemberIn(part));
    return of
      ? steps(of, job.tape).map(({ text, section }) => ({
          text,
          change: { crossmembers: { [of.id]: { section } } },
        }))
      : [];
  };
const biggerCrossmember = ofCrossmember(({ section }, tape) =>
  section.shape === 'tube' ? biggerTubes(section, tape) : [],
);
/** A rectangular tube, larger than the one there is; a hoop is bent of round tube. */
const rectangular = ofCrossmember(({ section, hoop }, tape) =>
  hoop
    ? []
    : BOXES.filter(
        ({ high, wide, wall }) =>
          section.shape === 'tube' ||
          (high >= section.high - 0.1 && wide >= section.wide - 0.1 && wall >= section.wall - 0.01),
      ).map((size) => ({
        text: `Rectangular tube, ${sayLength(size.high, tape)} high and ${sayLength(size.wide, tape)} wide, wall ${sayWall(size.wall, tape)}`,
        section: { shape: 'box', ...size },
      })),
);

/** What might make each check hold, the least work first. */
export const LEVERS: Record<CheckName, Lever[]> = {
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
  'cross-bending': [biggerCrossmember, rectangular],
  'cross-weld': [biggerCrossmember, rectangular],
  'cross-weld-time': [biggerCrossmember, rectangular],
  ...SWAY_LEVERS,
};
