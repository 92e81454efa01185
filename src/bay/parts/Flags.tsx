'use client';
import { dequal } from 'dequal/lite';
import { memo, useEffect } from 'react';
import { aboutOf, asClause, type Judged } from '@/core/verdict/verdict';
import { flagDrawn, pickFlag, useFlags } from '@/store/flags';
import { enlarge, type ViewName } from '@/store/viewport';
import type { BayModel } from '@/bay/model/bayModel';
import { flagPlace, type FlagPlace } from '@/bay/model/flagPlaces';
import type { Flat, Sheet } from '@/bay/views/projection';

/** From the place to its flag, px: out of the way of a thumb on the mount. */
const ALOFT = { across: 30, up: 34 };
const RADIUS = 11;
/** The view’s buttons stand at its head, px. */
const UNDER_TOOLS = 36;
/** Flags keep so far from each other, px. */
const APART = 2 * RADIUS + 3;

type Flag = FlagPlace & { verdict: Judged; index: number };

/**
 * The verdicts of the card, each with a flag of its number where it is about, in the view that shows it best; touched, the card
 * shows what is said.
 */
export function Flags({ sheets, model }: { sheets: Sheet[]; model: BayModel }) {
  const { verdicts, picked } = useFlags();
  const flags = verdicts.flatMap((verdict, index): Flag[] => {
    const place = flagPlace(model, verdict);
    return place ? [{ ...place, verdict, index }] : [];
  });
  const drawn = flags.map(({ verdict }) => aboutOf(verdict)).join('\n');
  useEffect(() => flagDrawn(new Set(drawn.split('\n'))), [drawn]);

  // Where one view fills the bay, it is the one in which what was touched on the card is seen best.
  const alone = sheets.length === 1 ? sheets[0]!.view : null;
  const touched = picked && flags.find(({ verdict }) => aboutOf(verdict) === picked.about);
  const wanted = picked?.on === 'card' ? touched?.view : undefined;
  useEffect(() => {
    if (!wanted) return;
    if (alone && alone !== wanted) enlarge(wanted);
    document.querySelector('.flag.picked')?.scrollIntoView({ block: 'nearest' });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- at the touch alone: the builder may then look at another view
  }, [picked]);

  return sheets.map((sheet) => {
    const own = flags.filter(({ view }) => seenIn(view, sheets) === sheet.view);
    const feet = own.map(({ point }) => within(sheet, sheet.at(point)));
    const tops = hoisted(feet, sheet);
    return own.map(({ verdict, index }, i) => (
      <OneFlag
        key={index}
        id={verdict.id}
        state={verdict.state}
        title={verdict.title}
        about={aboutOf(verdict)}
        index={index}
        foot={feet[i]!}
        top={tops[i]!}
        picked={touched?.index === index}
      />
    ));
  });
}

/** The view that a flag stands in: its own, or the one that fills the bay. */
const seenIn = (view: ViewName, sheets: Sheet[]): ViewName =>
  sheets.some((sheet) => sheet.view === view) ? view : sheets[0]!.view;

const clamp = (v: number, least: number, most: number) => Math.min(most, Math.max(least, v));

/** A place of the sheet, at its edge where it lies beyond. */
const within = ({ box }: Sheet, [x, y]: Flat, top = RADIUS): Flat => [
  clamp(x, box.x + RADIUS, box.x + box.width - RADIUS),
  clamp(y, box.y + top, box.y + box.height - RADIUS),
];

/** Where the flags fly: away from the middle of the view and above their places, each clear of those before it. */
function hoisted(feet: Flat[], sheet: Sheet): Flat[] {
  const middle = sheet.box.x + sheet.box.width / 2;
  const tops: Flat[] = [];
  for (const [x, y] of feet) {
    const way = x < middle ? -1 : 1;
    const free = SPOTS.map(([across, up]) => within(sheet, [x + way * across, y - up], UNDER_TOOLS)).find(
      (spot) => tops.every((top) => Math.hypot(top[0] - spot[0], top[1] - spot[1]) >= APART),
    );
    tops.push(free ?? within(sheet, [x + way * ALOFT.across, y - ALOFT.up], UNDER_TOOLS));
  }
  return tops;
}

/** Where a flag may fly, from its place, px: first above, then below, then farther out. */
const SPOTS: Flat[] = [0, 1, 2, 3, 4].flatMap((far) =>
  [1, -1].flatMap((up): Flat[] => [
    [ALOFT.across + far * APART, up * ALOFT.up],
    [-ALOFT.across - far * APART, up * ALOFT.up],
    [ALOFT.across, up * (ALOFT.up + far * APART)],
  ]),
);

type OneProps = Pick<Judged, 'id' | 'state' | 'title'> & {
  about: string;
  index: number;
  foot: Flat;
  top: Flat;
  picked: boolean;
};

const OneFlag = memo(function OneFlag({ id, state, title, about, index, foot, top, picked }: OneProps) {
  const [x, y] = top;
  return (
    <g
      className={`flag ${state}${picked ? ' picked' : ''}`}
      role="button"
      tabIndex={0}
      aria-label={`${index + 1}: ${asClause(title)}`}
      data-flag={id}
      onPointerDown={(e) => e.stopPropagation()}
      onClick={() => pickFlag(about, 'bay')}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        e.preventDefault();
        pickFlag(about, 'bay');
      }}
    >
      <line x1={foot[0]} y1={foot[1]} x2={x} y2={y} />
      <circle className="foot" cx={foot[0]} cy={foot[1]} r={3.5} />
      <circle className="touch" cx={x} cy={y} r={RADIUS + 3} />
      <circle className="disc" cx={x} cy={y} r={RADIUS} />
      <text x={x} y={y + 4.5} textAnchor="middle">
        {index + 1}
      </text>
    </g>
  );
}, dequal);
