import type { BarResult } from '@/core/fabricate/adjustableBar';
import { memberName } from '@/core/rig/names';
import { describeBar } from '@/core/rig/lateralBar';
import { formatLength, sayLength } from '@/core/units/length';
import { sayTurns } from '@/core/units/turns';
import { Frac } from '@/ui/figures/Frac';
import { PaperSheet, type SheetPart } from '@/ui/paper/PaperSheet';
import type { Job } from '@/core/job/jobSchema';
import type { LinkMember } from '@/core/rig/members/link';

const CAUTION =
  'A bar that locates an axle is life-critical. Have its welds made or inspected by a qualified welder; the vehicle maker’s values and local inspection rules come before this sheet, which helps you judge and certifies nothing.';

/** The cut list on one sheet of plain paper. */
type Props = { job: Job; member: LinkMember; bar: BarResult };

export function CutSheet({ job, member, bar }: Props) {
  const { cut, tape } = job;
  const say = (mm: number) => sayLength(mm, tape);
  const left = cut.leftHandEnd;
  const right = left === 'frame' ? 'axle' : 'frame';
  const longestShank = Math.max(cut.ends.frame.shank, cut.ends.axle.shank);
  const rows: SheetPart[] = [
    [
      '1',
      `Tube, ${say(cut.tube.od)} × ${cut.tube.wall.toFixed(2)} mm (${(cut.tube.wall / 25.4).toFixed(3)} in) wall, ends square`,
      <Frac key="t" mm={Math.max(0, bar.tubeLength)} tape={tape} unit />,
    ],
    ['1', `Bung, ${cut.thread} right-hand, ${right} end`, `${say(cut.ends[right].bung)} thread`],
    ['1', `Bung, ${cut.thread} left-hand, ${left} end`, `${say(cut.ends[left].bung)} thread`],
    ['1', `Rod end, ${cut.thread} right-hand, ${right} end`, `${say(cut.ends[right].shank)} shank`],
    ['1', `Rod end, ${cut.thread} left-hand, ${left} end (groove)`, `${say(cut.ends[left].shank)} shank`],
    ['1 + 1', `Jam nuts, ${cut.thread}, right- and left-hand`, ''],
  ];
  return (
    <PaperSheet
      label="Cut list"
      title={`Cut list: ${memberName(member.id, job.rig.end)}`}
      drawing={<BarDrawing job={job} member={member} bar={bar} />}
      parts={rows}
      caution={CAUTION}
      figure="tube"
    >
      <h2>In this order</h2>
      <ol>
        <li>Cut long, square the ends, trim to {say(Math.max(0, bar.tubeLength))}. Bevel before welding.</li>
        <li>
          Clamp the bungs in line, each with a spare rod end wound in at least{' '}
          {say(Math.min(longestShank, bar.limit))}. Tack, check eye to eye, weld, let it cool before the rod
          ends come out.
        </li>
        <li>
          Wind both ends alike until {formatLength(cut.ends.frame.showing, tape)} (frame) and{' '}
          {say(cut.ends.axle.showing)} (axle) of thread show: {say(describeBar(member).eyeToEye)} eye to eye.
        </li>
        <li>
          From there: {sayTurns(bar.shorten.turns)} shorter or {sayTurns(bar.lengthen.turns)} longer, and
          never less than {say(bar.limit)} of thread in the tube.
        </li>
        <li>Anti-seize on the threads; jam nuts with two wrenches once the axle is centred on the ground.</li>
      </ol>
    </PaperSheet>
  );
}

function BarDrawing({ job, member, bar }: Props) {
  const { tape, cut } = job;
  const total = describeBar(member).eyeToEye;
  const k = 600 / total;
  const start = 30 + (cut.ends.frame.toShoulder + cut.ends.frame.showing) * k;
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
        tube {sayLength(Math.max(0, bar.tubeLength), tape)}
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
