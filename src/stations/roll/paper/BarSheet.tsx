import { armInUse, swayBarOf, type BarDesign, type LinkEnd } from '@/core/swaybar/swayBarDesign';
import { sayLinks } from '@/core/roll/words';
import { bendSheet } from '@/core/swaybar/bendSchedule';
import { STEELS } from '@/core/materials/steels';
import { formatDecimal, sayLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { PaperSheet, type SheetPart } from '@/ui/paper/PaperSheet';
import { usePrinting } from '@/ui/paper/usePrinting';
import type { BarProps } from '@/stations/roll/bar/BarLength';
import { BendRows } from '@/ui/paper/BendRows';
import type { Point } from '@/core/geometry/vector';
import { LINK_JOINTS } from '@/core/materials/joints';

const CAUTION =
  'A sway bar is a spring: undo its links first, with the car on its wheels, and never weld to spring steel. This sheet helps you judge and certifies nothing.';

/** The sway bar on one sheet of plain paper: what to make, how to bend it, how to hang it. */
export function BarSheet({ bar }: BarProps) {
  const tape = useJobPart((j) => j.tape);
  if (!usePrinting()) return null;
  const say = (mm: number) => sayLength(mm, tape);
  const unit = tape === 'mm' ? 'mm' : 'in';
  const bent = bar.made === 'one-piece';
  const sheet = bendSheet(bar);
  const carrier = bar.mountedOn === 'chassis' ? 'frame' : 'axle';
  const joint = ({ joint: name, bolt }: LinkEnd) => `${LINK_JOINTS[name].name.toLowerCase()}, bolt ${bolt}`;
  const parts: SheetPart[] = [
    [
      '1',
      `Bar, ${formatDecimal(bar.od, tape)} ${unit} ${bar.wall === null ? 'solid' : `× ${formatDecimal(bar.wall, tape)} tube`}, ${STEELS[bar.steel].name.toLowerCase()}`,
      bent ? `${say(sheet.blank)} end hole to end hole along it` : `${say(bar.middle)} arm to arm`,
    ],
    ...(bent
      ? []
      : ([
          [
            '2',
            `Flat arms, ${say(bar.arms.height)} × ${formatDecimal(bar.arms.thickness, tape)} ${unit}, turned ${bar.arms.turned}° from on edge${bar.arms.teeth ? `, ${bar.arms.teeth} teeth` : ''}`,
            `${say(bar.arm)} to the last hole`,
          ],
        ] as SheetPart[])),
    ...(bar.housing === null
      ? []
      : ([['1', 'Tube through the frame', `${say(bar.housing)} outside`]] as SheetPart[])),
    ['2', `Bushings, on the ${carrier}`, `${say(bar.bushings)} apart`],
    [
      '2',
      `End links: at the bar ${joint(bar.ends.bar)}; at the foot ${joint(bar.ends.foot)}`,
      sayLinks(bar, tape),
    ],
    ...(bar.stow ? ([['2', 'Pins with clips, and a stow pin for each link', '']] as SheetPart[]) : []),
  ];
  return (
    <PaperSheet
      label="Bar sheet"
      title="Sway bar"
      drawing={<BarDrawing bar={bar} />}
      parts={parts}
      caution={CAUTION}
    >
      {bent && (
        <>
          <h2>Bends, radius {say(bar.bendRadius)} to the middle</h2>
          <BendRows sheet={sheet} tape={tape} />
        </>
      )}
      <h2>Hanging it</h2>
      <ol>
        <li>
          Middle {say(bar.height)} off the floor and {say(Math.abs(bar.ahead))}{' '}
          {bar.ahead >= 0 ? 'ahead of' : 'behind'} the axle, arms pointing {bar.pointing}; {bar.holes}{' '}
          {bar.holes === 1 ? 'hole' : 'holes'} {say(bar.pitch)} apart, in use: arm {say(armInUse(bar))}.
        </li>
        <li>
          With the car on its wheels or on ramps, never hanging. Bushings snug, not crushed, and greased: the
          bar turns by hand.
        </li>
        <li>
          Links last: both eyes the same off the floor, each link {sayLinks(bar, tape)} long, slipping in
          without force. If one has to be pulled, the arms are clocked apart.
        </li>
        <li>
          Cycle the axle, bump to droop and one wheel up, and look all along it before anything is final.
        </li>
      </ol>
    </PaperSheet>
  );
}

const WIDTH = 640;
const GAP = 26;

/** The bar from above, front up, and from behind, to one scale. */
function BarDrawing({ bar }: { bar: BarDesign }) {
  const { centreline, bushings, links } = swayBarOf(bar);
  const line = centreline as Point[];
  const feet = [links.left, links.right];
  const across = line.flatMap((p) => p[1]);
  const k = (WIDTH - 40) / (Math.max(...across) - Math.min(...across));
  const views = [
    { name: 'from above, front up', of: (p: Point) => -p[0], ends: [] as Point[] },
    { name: 'from behind', of: (p: Point) => -p[2], ends: feet },
  ];
  let top = 16;
  const drawn = views.map(({ name, of, ends }) => {
    const downs = [...line, ...ends].map(of);
    const low = Math.min(...downs);
    const from = top;
    top += (Math.max(...downs) - low) * k + GAP + 14;
    const at = (p: Point): string =>
      `${(20 + (Math.max(...across) - p[1]) * k).toFixed(1)},${(from + 14 + (of(p) - low) * k).toFixed(1)}`;
    return { name, from, at, ends };
  });
  return (
    <svg viewBox={`0 0 ${WIDTH} ${top}`} className="sway-drawing" aria-hidden>
      {drawn.map(({ name, from, at, ends }) => (
        <g key={name}>
          <text x={WIDTH / 2} y={from + 4} textAnchor="middle">
            {name}
          </text>
          <polyline className="line" points={line.map(at).join(' ')} />
          {ends.map((foot, i) => (
            <polyline
              key={i}
              className="link"
              points={`${at(i === 0 ? line[0]! : line.at(-1)!)} ${at(foot)}`}
            />
          ))}
          {[line[0]!, line.at(-1)!, ...ends].map((p, i) => {
            const [x, y] = at(p).split(',');
            return <circle key={i} cx={x} cy={y} r={5} />;
          })}
          {bushings.map((p, i) => {
            const [x, y] = at(p).split(',').map(Number) as [number, number];
            return <rect key={i} x={x - 9} y={y - 7} width={18} height={14} />;
          })}
        </g>
      ))}
    </svg>
  );
}
