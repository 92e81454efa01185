import type { BarResult } from '@/core/fabricate/adjustableBar';
import type { BarCut } from '@/core/cut/barCut';
import { BAR_ENDS, bodyAt, isPlateBar, specOf, threadedEnds, type BarEndName } from '@/core/job/made/parts';
import { sayEnd, saySection } from '@/core/cut/lists';
import { jointsOf, ON_THREAD } from '@/core/materials/joints';
import { capital, memberName } from '@/core/rig/names';
import { BendRows } from '@/ui/paper/BendRows';
import { formatLength, sayLength } from '@/core/units/length';
import { sayTurns } from '@/core/units/turns';
import { Frac } from '@/ui/figures/Frac';
import { PaperSheet, type SheetPart } from '@/ui/paper/PaperSheet';
import type { Job } from '@/core/job/jobSchema';
import type { LinkMember } from '@/core/rig/members/link';

const CAUTION =
  'A bar that locates an axle is life-critical. Have its welds made or inspected by a qualified welder; the vehicle maker’s values and local inspection rules come before this sheet, which helps you judge and certifies nothing.';

type Props = { job: Job; member: LinkMember; sawn: BarCut; bar: BarResult };
type SheetProps = Props & { asBuilt: boolean };

/** How the piece is cut, in a sentence or two. */
function firstCut(sawn: BarCut, say: (mm: number) => string): string {
  const { bar, bends, blank, finished, ends } = sawn;
  const whole = say(Math.max(0, blank));
  if (isPlateBar(bar))
    return `Cut it from plate by its pattern, ${whole} from end to end; drill both holes after, on the jig. Round every edge.`;
  if (bends)
    return `Bend it long, then trim to ${whole} along it; check eye to eye with a straight stick. Bevel before welding.`;
  const saddled = BAR_ENDS.some((end) => ends[end].kind === 'saddle');
  return `Cut long, trim to ${whole}${saddled ? ` tip to tip, ${say(finished)} throat to throat` : ', ends square'}. Bevel before welding.`;
}

/** The cut list on one sheet of plain paper; as built, to what is between the eyes as they came out. */
export function CutSheet({ job, member, sawn, bar, asBuilt }: SheetProps) {
  const { cut, tape } = job;
  const { thread, ends } = specOf(job, member.id);
  const say = (mm: number) => sayLength(mm, tape);
  const { barrels, section } = sawn.bar;
  const threaded = threadedEnds(sawn.bar);
  const joints = jointsOf(job.joints, member.id);
  const longestShank = Math.max(...BAR_ENDS.map((end) => ends[end].shank));
  const hand = (end: BarEndName) => (cut.leftHandEnd === end ? 'left-hand' : 'right-hand');
  const rows: SheetPart[] = [
    [
      '1',
      `${capital(saySection(section, tape))}${sawn.bends ? ', bent' : ''}`,
      <Frac key="t" mm={Math.max(0, sawn.blank)} tape={tape} unit />,
    ],
    ...BAR_ENDS.map((end): SheetPart => ['', `${end} end`, sayEnd(sawn, end, tape)]),
    ...threaded.flatMap((end): SheetPart[] => [
      ['1', `Bung, ${thread} ${hand(end)}, ${end} end`, `${say(ends[end].bung)} thread`],
      [
        '1',
        `${ON_THREAD[joints[bodyAt(end)]]}, ${thread} ${hand(end)}, ${end} end${hand(end) === 'left-hand' ? ' (groove)' : ''}`,
        `${say(ends[end].shank)} shank`,
      ],
      ['1', `Jam nut, ${thread} ${hand(end)}`, ''],
    ]),
    ...BAR_ENDS.filter((end) => barrels[end]).map((end): SheetPart => [
      '1',
      `Barrel and bushing, ${end} end`,
      `${say(barrels[end]!.od)} outside`,
    ]),
  ];
  return (
    <PaperSheet
      label="Cut list"
      title={`Cut list: ${memberName(member.id, job.rig.end)}${asBuilt ? ', to the brackets as built' : ''}`}
      drawing={<BarDrawing job={job} member={member} sawn={sawn} bar={bar} />}
      parts={rows}
      caution={CAUTION}
      figure="tube"
    >
      {sawn.bends && <BendRows sheet={sawn.bends} tape={tape} to="axle eye" />}
      <h2>In this order</h2>
      <ol>
        <li>{firstCut(sawn, say)}</li>
        {threaded.length < 2 && !isPlateBar(sawn.bar) && (
          <li>
            Hold both eyes in a jig at {say(sawn.eyeToEye)} and clock its ends before the first tack
            {BAR_ENDS.some((end) => barrels[end]) && '; weld with mock-up bushings, not the real ones'}.
          </li>
        )}
        {threaded.length > 0 && (
          <li>
            Clamp the bung in line, each with a spare rod end wound in at least{' '}
            {say(Math.min(longestShank, bar.limit))}. Tack, check eye to eye, weld, let it cool before the rod
            end comes out.
          </li>
        )}
        {threaded.length === 2 ? (
          <>
            <li>
              Wind both ends alike until {formatLength(ends.frame.showing, tape)} (frame) and{' '}
              {say(ends.axle.showing)} (axle) of thread show: {say(sawn.eyeToEye)} eye to eye.
            </li>
            <li>
              From there: {sayTurns(bar.shorten.turns)} shorter or {sayTurns(bar.lengthen.turns)} longer, and
              never less than {say(bar.limit)} of thread in the tube.
            </li>
          </>
        ) : (
          threaded.length === 1 && (
            <li>
              Its one threaded end is set by half turns, with its bolt out, never with less than{' '}
              {say(bar.limit)} of thread in the tube.
            </li>
          )
        )}
        {threaded.length > 0 && (
          <li>
            Anti-seize on the threads; jam nuts with two wrenches once the axle is centred on the ground.
          </li>
        )}
      </ol>
    </PaperSheet>
  );
}

function BarDrawing({ job, member, sawn, bar }: Props) {
  const { tape } = job;
  const { ends } = specOf(job, member.id);
  const total = sawn.eyeToEye;
  const k = 600 / total;
  const start = 30 + (ends.frame.toShoulder + ends.frame.showing) * k;
  const end = start + Math.max(0, bar.tubeLength) * k;
  return (
    <svg viewBox="0 0 660 110" width="100%" aria-hidden className="bar-drawing">
      <path d={`M30 40 H${start} M${end} 40 H630`} strokeWidth="6" />
      <rect x={start} y={32} width={Math.max(0, end - start)} height={16} />
      <circle cx={30} cy={40} r={9} />
      <circle cx={630} cy={40} r={9} />
      <path
        d={`M${start} 54 V74 M${end} 54 V74 M${start} 68 H${end} M30 54 V102 M630 54 V102 M30 96 H630`}
        strokeWidth="0.8"
      />
      <text x={330} y={64} textAnchor="middle">
        tube {sayLength(Math.max(0, sawn.blank), tape)}
      </text>
      <text x={330} y={92} textAnchor="middle">
        {sayLength(total, tape)} eye to eye
      </text>
      <text x={30} y={22} textAnchor="middle">
        frame
      </text>
      <text x={630} y={22} textAnchor="middle">
        axle
      </text>
    </svg>
  );
}
