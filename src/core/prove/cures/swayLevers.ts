import { withParts, type PartsChange } from '@/core/job/edits/parts/parts';
import type { Job } from '@/core/job/jobSchema';
import { springPlateOf } from '@/core/job/made/springPlate';
import { angleOf } from '@/core/job/made/sway/angle';
import { endLinkOf, type EndLink, type LinkPin, type LinkPinAt } from '@/core/job/made/sway/endLink';
import { strapOf } from '@/core/job/made/sway/strap';
import { swayFaults } from '@/core/prove/faults/swayFaults';
import type { Tape } from '@/core/units/tape';
import {
  beyond,
  biggerTubes,
  EIGHTH,
  fromTo,
  hardest,
  largerThreads,
  stouterBolts,
  strongerMetals,
  thickerPlates,
  type Lever,
  type Step,
} from './steps';

/** Steps of a part that there is one kind of; none that could not be made. */
const alike =
  <Made>(
    made: (job: Job) => Made | null,
    steps: (of: Made, tape: Tape, job: Job) => { text: string; part: NonNullable<PartsChange['alike']> }[],
  ): Lever =>
  (job) => {
    const of = made(job);
    if (!of) return [];
    return steps(of, job.tape, job)
      .map(({ text, part }): Step => ({ text, change: { alike: part } }))
      .filter(({ change }) => swayFaults(withParts(job, change)).length === 0);
  };

const thickerStrap = alike(strapOf, ({ thickness }, tape) =>
  thickerPlates(thickness, tape).map((t) => ({
    text: fromTo('Strap', thickness, t, tape),
    part: { strap: { thickness: t } },
  })),
);
const widerStrap = alike(strapOf, ({ width }, tape) =>
  beyond(width, 2 * EIGHTH).map((mm) => ({
    text: fromTo('Width of the strap', width, mm, tape),
    part: { strap: { width: mm } },
  })),
);
const stouterStrapBolt = alike(strapOf, ({ bolt }) =>
  stouterBolts(bolt).map(({ text, bolt: d }) => ({ text, part: { strap: { bolt: d } } })),
);
const harderStrapBolt = alike(strapOf, ({ grade }) =>
  hardest(grade).map(({ text, grade: to }) => ({ text, part: { strap: { grade: to } } })),
);
const thickerAngle = alike(angleOf, ({ thickness }, tape) =>
  thickerPlates(thickness, tape).map((t) => ({
    text: fromTo('Angle', thickness, t, tape),
    part: { angle: { thickness: t } },
  })),
);
const tallerAngle = alike(angleOf, ({ against }, tape) =>
  beyond(against, 2 * EIGHTH).map((mm) => ({
    text: fromTo('Other leg of the angle', against, mm, tape),
    part: { angle: { against: mm } },
  })),
);
const thickerSpringPlate = alike(springPlateOf, ({ plate }, tape) =>
  thickerPlates(plate, tape).map((t) => ({
    text: fromTo('Spring plate', plate, t, tape),
    part: { springPlate: { plate: t } },
  })),
);
const biggerLink = alike(endLinkOf, ({ section }, tape) =>
  biggerTubes(section, tape).map(({ text, section: to }) => ({ text, part: { endLink: { section: to } } })),
);
const strongerLink = alike(endLinkOf, ({ metal }) =>
  strongerMetals(metal).map(({ text, metal: to }) => ({ text, part: { endLink: { metal: to } } })),
);
const biggerLinkThread = alike(endLinkOf, ({ thread }) =>
  largerThreads(thread).map(({ text, thread: to }) => ({ text, part: { endLink: { thread: to } } })),
);

const pin = (at: LinkPinAt, steps: (of: LinkPin) => { text: string; pin: Partial<LinkPin> }[]): Lever =>
  alike(endLinkOf, ({ pins }: EndLink, _, { parts }) =>
    steps(pins[at]).map(({ text, pin: to }) => ({
      text,
      part: { endLink: { [at]: { ...parts.endLink?.[at], ...to } } },
    })),
  );
const doubledPin = (at: LinkPinAt) =>
  pin(at, ({ planes }) =>
    planes === 2
      ? []
      : [{ text: 'A second plate, so that the bolt is held on both sides', pin: { planes: 2 } }],
  );
const harderPin = (at: LinkPinAt) =>
  pin(at, ({ grade }) => hardest(grade).map(({ text, grade: to }) => ({ text, pin: { grade: to } })));
const stouterPin = (at: LinkPinAt) =>
  pin(at, ({ bolt }) => stouterBolts(bolt).map(({ text, bolt: d }) => ({ text, pin: { bolt: d } })));

const pinLevers = (at: LinkPinAt): Lever[] => [doubledPin(at), harderPin(at), stouterPin(at)];

/** What might make each check hold of what a sway bar pulls at, the least work first. */
export const SWAY_LEVERS = {
  'link-tension': [biggerLink, strongerLink],
  'link-weld-zone': [biggerLink, strongerLink],
  'link-column': [biggerLink],
  'link-shank': [biggerLinkThread],
  'link-strip': [biggerLinkThread],
  'pin-bar-shear': pinLevers('bar'),
  'pin-bar-bending': pinLevers('bar'),
  'pin-foot-shear': pinLevers('foot'),
  'pin-foot-bending': pinLevers('foot'),
  'strap-sides': [thickerStrap, widerStrap],
  'strap-feet': [thickerStrap, widerStrap],
  'strap-bolts': [harderStrapBolt, stouterStrapBolt, thickerStrap],
  'angle-leg': [thickerAngle],
  'angle-bolts': [harderStrapBolt, stouterStrapBolt, tallerAngle],
  ear: [thickerSpringPlate],
};
