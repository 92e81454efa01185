import type { Tape } from '@/core/units/tape';
import { Dimension } from '@/bay/parts/Dimension';
import type { Zoom } from '@/store/viewport';
import { BarHandles } from '@/bay/handles/BarHandles';
import { Forces } from '@/bay/parts/Forces';
import { Swept } from '@/bay/parts/KinematicLines';
import { RollParts } from '@/bay/parts/RollParts';
import { Things } from '@/bay/parts/Obstacles';
import { lateral, placesAlong, type BayModel } from '@/bay/model/bayModel';
import { Built, Mounts } from '@/bay/handles/Mounts';
import { Axle, BarLine, Crossmembers, Ghost, Plates, Shapes, Tyres } from '@/bay/parts/carParts';
import { fit, type Box, type Sheet } from './projection';
import type { WorkProps } from './viewProps';
import type { Point } from '@/core/geometry/vector';

function reach(model: BayModel): { ahead: number; behind: number } {
  const places = placesAlong(model);
  return {
    ahead: Math.max(model.tireRadius, ...places) + 110,
    behind: Math.max(model.tireRadius, ...places.map((x) => -x)) + 50,
  };
}

export function planSheet(box: Box, zoom: Zoom, model: BayModel): Sheet {
  const half = model.track / 2 + model.tireWidth / 2 + 40;
  const { ahead, behind } = reach(model);
  return fit('plan', box, { left: -half, right: half, top: -ahead, bottom: behind }, zoom);
}

/** From above: rails, wheels and axle. */
export function PlanBody({ sheet, model }: { sheet: Sheet; model: BayModel }) {
  const { ahead, behind } = reach(model);
  return (
    <>
      <PlanRails sheet={sheet} model={model} ahead={ahead} behind={behind} />
      <g className="centreline">
        <line
          x1={sheet.at([0, 0, 0])[0]}
          x2={sheet.at([0, 0, 0])[0]}
          y1={sheet.at([ahead, 0, 0])[1]}
          y2={sheet.at([-behind, 0, 0])[1]}
        />
      </g>
      <Tyres sheet={sheet} model={model} figure={model.now} className="zinc" />
      <Crossmembers sheet={sheet} model={model} />
      <Axle sheet={sheet} model={model} figure={model.now} />
    </>
  );
}

/** From above, front up: what stands where along the car, and whether the bar runs beside the axle. */
export function PlanWork({ sheet, model, bar, tape, movable, figures, layers }: WorkProps) {
  const now = lateral(model.now);
  const up = model.ghosts.leftUp && lateral(model.ghosts.leftUp);
  return (
    <g>
      {layers.swept && <Swept sheet={sheet} model={model} />}
      <Plates sheet={sheet} plates={model.now.plates} />
      <Shapes sheet={sheet} figure={model.now} />
      {model.now.bars
        .filter((b) => b.id !== bar?.id)
        .map((b) => (
          <BarLine key={b.id} sheet={sheet} points={b.path} od={b.od} className="bar link" />
        ))}
      {now && up && <Ghost sheet={sheet} from={now.chassis} to={up.axle} />}
      {now && <BarLine sheet={sheet} points={now.path} od={now.od} />}
      {bar &&
        figures === 'mounts' &&
        (['chassis', 'axle'] as const).map((end) => (
          <Behind key={end} sheet={sheet} eye={bar[end]} tape={tape} />
        ))}
      <RollParts sheet={sheet} parts={model.now.roll} />
      <Things sheet={sheet} things={model.things} tape={tape} movable={movable === 'room'} />
      <Built sheet={sheet} built={model.built} />
      <Mounts sheet={sheet} mounts={model.now.mounts} tape={tape} movable={movable} />
      {movable === 'sway' && <BarHandles sheet={sheet} tape={tape} />}
      <Forces sheet={sheet} bars={model.now.bars} tape={tape} />
    </g>
  );
}

function PlanRails({
  sheet,
  model,
  ahead,
  behind,
}: {
  sheet: Sheet;
  model: BayModel;
  ahead: number;
  behind: number;
}) {
  return (
    <g>
      {model.rails.flatMap((rail) =>
        [rail.outside, rail.outside - Math.sign(rail.outside) * rail.width].map((y) => {
          const [a, b] = [sheet.at([ahead, y, 0]), sheet.at([-behind, y, 0])];
          return (
            <line key={`${rail.side}${y}`} className="oxide-line" x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
          );
        }),
      )}
    </g>
  );
}

/** How far an eye stands behind the axle's centre, drawn just inboard of it where nothing else is. */
function Behind({ sheet, eye, tape }: { sheet: Sheet; eye: Point; tape: Tape }) {
  if (Math.abs(eye[0]) * sheet.k < 14) return null;
  const inboard = 0.62 * eye[1];
  const x = sheet.at([0, inboard, 0])[0];
  const [from, to] = [sheet.at([0, 0, 0])[1], sheet.at(eye)[1]];
  return <Dimension from={[x, from]} to={[x, to]} mm={Math.abs(eye[0])} tape={tape} />;
}
