import { memo } from 'react';
import type { Spread } from '@/core/choose/spread';
import type { Tape } from '@/core/units/tape';
import { useJobPart } from '@/store/jobStore';
import { useSpreads } from '@/workers/choosing/spreads';
import type { Zoom } from '@/store/viewport';
import { Dimension } from '@/bay/parts/Dimension';
import { DimText } from '@/bay/parts/DimText';
import { CarFigures, GapFigures } from '@/bay/parts/CarFigures';
import { BarHandles } from '@/bay/handles/BarHandles';
import { Forces } from '@/bay/parts/Forces';
import { Swept } from '@/bay/parts/KinematicLines';
import { RollParts } from '@/bay/parts/RollParts';
import { Things } from '@/bay/parts/Obstacles';
import { lateral, type BayModel } from '@/bay/model/bayModel';
import { Built, Holes, Mounts } from '@/bay/handles/Mounts';
import {
  Axle,
  BarLine,
  Crossmembers,
  Floor,
  Ghost,
  GhostTyres,
  Plates,
  Shapes,
  Tyres,
} from '@/bay/parts/carParts';
import { fit, type Box, type Flat, type Sheet } from './projection';
import type { WorkProps } from './viewProps';
import type { LinkMember } from '@/core/rig/members/link';

const half = (model: BayModel) => model.track / 2 + model.tireWidth / 2 + 70;
const topOf = (model: BayModel) =>
  Math.max(2 * model.tireRadius + model.bump, ...model.rails.map((r) => r.underside + r.height)) + 40;

export function rearSheet(box: Box, zoom: Zoom, model: BayModel): Sheet {
  const extent = { left: -half(model), right: half(model), top: -topOf(model), bottom: 70 };
  return fit('rear', box, extent, zoom);
}

/** From behind: floor, wheels, rails and axle. */
export function RearBody({ sheet, model }: { sheet: Sheet; model: BayModel }) {
  return (
    <>
      <Floor sheet={sheet} from={[0, half(model), 0]} to={[0, -half(model), 0]} />
      <Centreline sheet={sheet} top={topOf(model)} />
      <Tyres sheet={sheet} model={model} figure={model.now} className="zinc" />
      <Rails sheet={sheet} model={model} />
      <Crossmembers sheet={sheet} model={model} />
      <Axle sheet={sheet} model={model} figure={model.now} />
    </>
  );
}

/** From behind: heights, the bar across the car, and the roll centre on its path. */
export function RearWork({ sheet, model, bar, tape, movable, figures, layers }: WorkProps) {
  const now = lateral(model.now);
  const { bump, droop, leftUp } = model.ghosts;
  return (
    <g>
      <GhostTyres sheet={sheet} model={model} />
      <Plates sheet={sheet} plates={model.now.plates} of={now?.id} />
      {layers.swept && <Swept sheet={sheet} model={model} />}
      {now &&
        [bump, droop, leftUp].map(
          (figure, i) =>
            figure && <Ghost key={i} sheet={sheet} from={now.chassis} to={lateral(figure)!.axle} />,
        )}
      <Shapes sheet={sheet} figure={model.now} />
      {(now ? [now] : model.now.bars).map((b) => (
        <BarLine key={b.id} sheet={sheet} points={b.path} od={b.od} />
      ))}
      <RollParts sheet={sheet} parts={model.now.roll} />
      <Things sheet={sheet} things={model.things} tape={tape} movable={movable === 'room'} />
      {bar && figures === 'mounts' && <MountFigures sheet={sheet} model={model} bar={bar} tape={tape} />}
      {figures === 'car' && <CarFigures sheet={sheet} model={model} tape={tape} />}
      {(figures === 'car' || figures === 'gaps') && (
        <GapFigures sheet={sheet} model={model} tape={tape} asRead={figures === 'gaps'} />
      )}
      <Holes sheet={sheet} holes={model.holes} />
      <Built sheet={sheet} built={model.built} />
      <Mounts sheet={sheet} mounts={model.now.mounts} tape={tape} movable={movable} />
      <RollCentre sheet={sheet} at={model.rollCentre} tape={tape} above={figures === 'car'} />
      {movable === 'sway' && <BarHandles sheet={sheet} tape={tape} />}
      <Forces sheet={sheet} bars={model.now.bars} tape={tape} />
    </g>
  );
}

function Centreline({ sheet, top }: { sheet: Sheet; top: number }) {
  const [x, y] = sheet.at([0, 0, top]);
  return (
    <g className="centreline">
      <line x1={x} x2={x} y1={y} y2={sheet.at([0, 0, -30])[1]} />
    </g>
  );
}

function Rails({ sheet, model }: { sheet: Sheet; model: BayModel }) {
  const [left, right] = model.rails as [BayModel['rails'][0], BayModel['rails'][0]];
  const inside = (r: typeof left) => r.outside - Math.sign(r.outside) * r.width;
  return (
    <g>
      {[0.25, 0.75].map((h) => {
        const a = sheet.at([0, inside(left), left.underside + h * left.height]);
        const b = sheet.at([0, inside(right), right.underside + h * right.height]);
        return <line key={h} className="oxide-line" x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />;
      })}
      {[left, right].map((rail) => {
        const [x, y] = sheet.at([0, Math.max(rail.outside, inside(rail)), rail.underside + rail.height]);
        return (
          <rect
            key={rail.side}
            className="oxide"
            x={x}
            y={y}
            width={rail.width * sheet.k}
            height={rail.height * sheet.k}
            rx={2}
          />
        );
      })}
    </g>
  );
}

/** A figure beside an eye stands this far from it, px. */
const ASIDE = 34;

/** Heights from the floor, distances from the centreline, and the bar itself; each kept clear of the others. */
function MountFigures({
  sheet,
  model,
  bar,
  tape,
}: {
  sheet: Sheet;
  model: BayModel;
  bar: LinkMember;
  tape: Tape;
}) {
  const railTop = Math.max(...model.rails.map((r) => r.underside + r.height));
  const above = Math.max(sheet.at([0, 0, railTop])[1] - 26, sheet.box.y + 34);
  const below = sheet.at([0, 0, 0.24 * model.tireRadius])[1];
  const floor = sheet.at([0, 0, 0])[1];
  const middle = sheet.at([0, 0, 0])[0];
  const eyes = { chassis: sheet.at(bar.chassis), axle: sheet.at(bar.axle) };
  const length = Math.hypot(...bar.chassis.map((v, k) => v - bar.axle[k]!));
  // Outboard of the eye, unless the tyre is there.
  const walls = [1, -1].map((s) => sheet.at([0, s * (model.track / 2 - model.tireWidth / 2), 0])[0]) as [
    number,
    number,
  ];
  const aside = (eye: Flat): number => {
    const out = eye[0] + (eye[0] < middle ? -ASIDE : ASIDE);
    return out - ASIDE > walls[0] && out + ASIDE < walls[1] ? out : 2 * eye[0] - out;
  };
  return (
    <g className="dimensions">
      {(['chassis', 'axle'] as const).map((end) => {
        const eye = eyes[end];
        return (
          <g key={end}>
            <line className="extension" x1={eye[0]} x2={eye[0]} y1={above - 5} y2={below + 5} />
            <line className="extension" x1={eye[0]} x2={aside(eye)} y1={eye[1]} y2={eye[1]} />
            <Dimension from={[eye[0], above]} to={[middle, above]} mm={Math.abs(bar[end][1])} tape={tape} />
            <Dimension
              from={[aside(eye), floor]}
              to={[aside(eye), eye[1]]}
              mm={bar[end][2]}
              tape={tape}
              label={0.42}
            />
          </g>
        );
      })}
      <Dimension
        from={[eyes.chassis[0], below]}
        to={[eyes.axle[0], below]}
        mm={length}
        tape={tape}
        after="eye to eye"
        guessed={model.lengthGuessed}
      />
    </g>
  );
}

/** How wide what nineteen of twenty builds lie between is drawn, px. */
const SPREAD = 30;

/** What the roll centre of nineteen of twenty builds lies between, mm, while builds by chance are looked at. */
function useRollCentreSpread(): Spread | null {
  const rig = useJobPart((j) => j.rig);
  return useSpreads(({ shown, of, found }) =>
    shown && of === rig && found !== null && typeof found !== 'string'
      ? (found.figures.rollCentre ?? null)
      : null,
  );
}

type RollCentreProps = { sheet: Sheet; at: BayModel['rollCentre']; tape: Tape; above: boolean };

/** @param above its words stand over it, out of the way of heights that are measured under it */
const RollCentre = memo(function RollCentre({ sheet, at, tape, above }: RollCentreProps) {
  const spread = useRollCentreSpread();
  if (!at) return null;
  const { height, least, most, guessed } = at;
  const [x, y] = sheet.at([0, 0, height]);
  const [low, high] = [sheet.at([0, 0, least])[1], sheet.at([0, 0, most])[1]];
  return (
    <g className="roll-centre">
      <line className="track" x1={x} x2={x} y1={high} y2={low} />
      {spread && (
        <rect
          className="spread"
          data-spread-drawn
          x={x - SPREAD / 2}
          width={SPREAD}
          y={sheet.at([0, 0, spread.high])[1]}
          height={(spread.high - spread.low) * sheet.k}
        />
      )}
      <circle cx={x} cy={y} r={6} />
      <path d={`M${x - 12},${y}H${x + 12}M${x},${y - 12}V${y + 12}`} />
      <DimText
        x={x + 66}
        y={y + (above ? -27 : 27)}
        mm={height}
        tape={tape}
        before="roll centre"
        guessed={guessed}
      />
    </g>
  );
});
