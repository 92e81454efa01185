import type { Section } from '@/core/beam/section';
import { cross, minus, unit, type Point } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { hangsOn } from '@/core/job/made/bracketRoot';
import {
  crossmemberFault,
  crossmemberPart,
  crossmembersOf,
  type Crossmember,
  type CrossSection,
} from '@/core/job/made/crossmember';
import { metalOf } from '@/core/job/made/parts';
import { ELECTRODES } from '@/core/materials/metals';
import { LIMITS } from '@/core/materials/limits';
import { ELASTIC } from '@/core/materials/steels';
import type { LinkMember } from '@/core/rig/members/link';
import { memberName } from '@/core/rig/names';
import { linksOf } from '@/core/rig/members/members';
import { crossmemberStress, type CrossLoad } from '@/core/strength/crossmember';
import { allowedOnThroat, throatOf } from '@/core/strength/weldGroup';
import { rangesOf, type CaseForces } from './cases';
import { sayStrength, type Trial } from './trials/governing';
import { inTime } from './trials/inTime';
import type { Check, CheckName, Inputs } from './types';
import { wantedOfLink } from './wanted';

/** A bracket on a crossmember: of which link, and where its eye pulls. */
type Hung = { link: LinkMember; at: Point };

/** The links whose frame brackets hang on a crossmember. */
const hungOn = (job: Job, { id }: Pick<Crossmember, 'id'>): Hung[] =>
  linksOf(job.rig).flatMap((link) => {
    const on = hangsOn(job, link);
    return on?.crossmember.id === id ? [{ link, at: on.at }] : [];
  });

/** The checks of every crossmember that a frame bracket hangs on and that can be made. */
export const proveCrossmembers = (job: Job, cases: CaseForces[]): Check[] =>
  crossmembersOf(job).flatMap((of) => (crossmemberFault(job, of) ? [] : proveCrossmember(job, of, cases)));

function proveCrossmember(job: Job, of: Crossmember, cases: CaseForces[]): Check[] {
  const hung = hungOn(job, of);
  const [first] = hung;
  if (!first || cases.length === 0) return [];
  const metal = metalOf(job, of.metal);
  const section = sectionFor(of.section, metal.E);
  const { wall } = of.section;
  const throat = throatOf(wall);
  const wire = ELECTRODES.e70;
  const stressesIn = (all: CaseForces[]): Stressed[] =>
    all.map((one) => ({ one, ...crossmemberStress(of.path, section, loadsIn(hung, one.members)) }));
  const sizes: Inputs = { ...sizesOf(of), span: spanOf(of), metal: metal.name };
  const stressed = stressesIn(cases);
  const bent = governed(stressed, ({ most }) => most, metal.welded);
  const welded = ({ ends }: Stressed) => (ends * wall) / throat;
  const check = (
    name: CheckName,
    { one: { name: on, members }, demand, capacity }: Governed,
    { fails, formula, source, inputs }: Pick<Trial, 'fails' | 'formula' | 'source'> & { inputs: Inputs },
  ): Check => ({
    part: crossmemberPart(of.id),
    check: name,
    case: on,
    demand,
    capacity,
    unit: 'N/mm²',
    factor: demand > 0 ? capacity / demand : Infinity,
    wanted: Math.max(...hung.map(({ link }) => wantedOfLink(job, link, { check: name, fails }))),
    fails,
    formula,
    // What pulls at it in that case, N, by the link it is of; tension positive.
    inputs: {
      ...Object.fromEntries(
        hung.map(({ link }) => [memberName(link.id, job.rig.end), members[link.id] ?? 0]),
      ),
      ...inputs,
    },
    source,
  });
  const bending = check('cross-bending', bent, {
    fails: metal.fails,
    formula: 'greatest von Mises stress of a frame of beams, its ends tilting on the rails',
    source: `Przemieniecki, from memory; as welded, ${sayStrength(metal)}`,
    inputs: { ...sizes, S_y: metal.welded },
  });
  // What is bolted on has no weld at its ends; its bolts are said not to be reckoned.
  if (of.bolted) return [bending];
  const weld = governed(stressed, welded, allowedOnThroat(wire.ultimate));
  const range = inTime(
    job,
    'cross-weld-time',
    'throat',
    'change of stress at its ends, held fast · wall / (0.707 · leg)',
    { asks: (demand) => ({ demand }), inputs: () => ({ ...sizes, leg: wall, throat }) },
  );
  const ranges = rangesOf(cases, LIMITS.strength.cycles[job.use]);
  const lasting = ranges.length ? governed(stressesIn(ranges), welded, range.asks(0).capacity) : null;
  return [
    bending,
    check('cross-weld', weld, {
      fails: 'breaks',
      formula:
        'stress at its ends, held fast · wall / (0.707 · leg), leg as thick as its wall, against 0.3 · F_EXX',
      source: 'AWS D1.1 and a frame of beams, from memory',
      inputs: { ...sizes, leg: wall, throat, F_EXX: wire.ultimate },
    }),
    ...(lasting ? [check('cross-weld-time', lasting, { ...range, inputs: range.inputs(0) })] : []),
  ];
}

/** The case that is hardest on a part, and what it asks and finds, N/mm². */
type Governed = { one: CaseForces; demand: number; capacity: number };

/** A case, and the stresses that it makes, N/mm². */
type Stressed = ReturnType<typeof crossmemberStress> & { one: CaseForces };

function governed(all: Stressed[], stress: (of: Stressed) => number, capacity: number): Governed {
  const asked = all.map((of) => ({ one: of.one, demand: stress(of), capacity }));
  return asked.reduce((worst, next) => (next.demand > worst.demand ? next : worst));
}

/** A bar that is pulled draws the bracket on a crossmember towards its other end. */
const loadsIn = (hung: Hung[], members: Record<string, number>): CrossLoad[] =>
  hung.map(({ link, at }) => {
    const way = unit(minus(link.axle, link.chassis));
    const force = way.map((v) => v * (members[link.id] ?? 0)) as Point;
    return { at, force, moment: cross(minus(link.chassis, at), force) };
  });

const spanOf = ({ path }: Crossmember): number => Math.abs(path[0]![1] - path.at(-1)![1]);

const sizesOf = ({ section: { shape, ...sizes } }: Crossmember): Inputs => ({ shape, ...sizes });

const sectionFor = (section: CrossSection, E: number): Section =>
  section.shape === 'tube'
    ? { od: section.od, wall: section.wall, ...ELASTIC, E }
    : { high: section.high, wide: section.wide, wall: section.wall, up: [0, 0, 1], ...ELASTIC, E };
