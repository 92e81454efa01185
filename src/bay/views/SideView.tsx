import type { Zoom } from '@/store/viewport';
import { BarHandles } from '@/bay/handles/BarHandles';
import { Forces } from '@/bay/parts/Forces';
import { LinesOfPull, RollAxis, Swept } from '@/bay/parts/KinematicLines';
import { type BayModel, placesAlong } from '@/bay/model/bayModel';
import { Built, Holes, Mounts } from '@/bay/handles/Mounts';
import { Axle, BarLine, Crossmembers, Floor, GhostTyres, Plates, Shapes, Tyres } from '@/bay/parts/carParts';
import { RollParts } from '@/bay/parts/RollParts';
import { Things } from '@/bay/parts/Obstacles';
import { fit, type Box, type Sheet } from './projection';
import type { WorkProps } from './viewProps';

function reach(model: BayModel): { ahead: number; behind: number } {
  const places = placesAlong(model);
  return {
    ahead: Math.max(model.tireRadius, ...places) + 70,
    behind: Math.max(model.tireRadius + 40, ...places.map((x) => 60 - x)),
  };
}

export function sideSheet(box: Box, zoom: Zoom, model: BayModel): Sheet {
  const { ahead, behind } = reach(model);
  const top =
    Math.max(2 * model.tireRadius + model.bump, model.rails[0]!.underside + model.rails[0]!.height) + 20;
  return fit('side', box, { left: -ahead, right: behind, top: -top, bottom: 50 }, zoom);
}

/** From the left: floor, wheels, frame and axle. */
export function SideBody({ sheet, model }: { sheet: Sheet; model: BayModel }) {
  const { ahead, behind } = reach(model);
  return (
    <>
      <Floor sheet={sheet} from={[ahead, 0, 0]} to={[-behind, 0, 0]} />
      <Tyres sheet={sheet} model={model} figure={model.now} className="zinc" />
      {[0, model.rails[0]!.height].map((h) => {
        const height = model.rails[0]!.underside + h;
        const [a, b] = [sheet.at([ahead, 0, height]), sheet.at([-behind, 0, height])];
        return <line key={h} className="oxide-line" x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />;
      })}
      <Crossmembers sheet={sheet} model={model} />
      <Axle sheet={sheet} model={model} figure={model.now} />
    </>
  );
}

/** From the left, front to the left: the members as they push and hold, and where their lines meet. */
export function SideWork({ sheet, model, tape, movable, layers }: WorkProps) {
  return (
    <g>
      <GhostTyres sheet={sheet} model={model} />
      {layers.swept && <Swept sheet={sheet} model={model} />}
      {layers.lines && (
        <LinesOfPull
          sheet={sheet}
          centre={model.instantCentre}
          travel={model.instantCentrePath}
          bars={model.now.bars}
        />
      )}
      {layers.lines && (
        <RollAxis sheet={sheet} end={model.end} rollCentre={model.rollCentre} slope={model.rollAxisSlope} />
      )}
      <Plates sheet={sheet} plates={model.now.plates} />
      <Shapes sheet={sheet} figure={model.now} />
      {model.now.bars.map((b) => (
        <BarLine key={b.id} sheet={sheet} points={b.path} od={b.od} className="bar link" />
      ))}
      <RollParts sheet={sheet} parts={model.now.roll} />
      <Things sheet={sheet} things={model.things} tape={tape} movable={movable === 'room'} />
      <Holes sheet={sheet} holes={model.holes} />
      <Built sheet={sheet} built={model.built} />
      <Mounts
        sheet={sheet}
        mounts={model.now.mounts}
        tape={tape}
        movable={movable === 'bar' ? 'none' : movable}
      />
      {movable === 'sway' && <BarHandles sheet={sheet} tape={tape} />}
      <Forces sheet={sheet} bars={model.now.bars} tape={tape} />
    </g>
  );
}
