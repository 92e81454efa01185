import type { Tape } from '@/core/units/tape';
import type { BayModel } from './model';
import { RAIL } from './model';
import { Mounts, type Movable } from './Mounts';
import { Axle, BarLine, Floor, Shapes, Tyres } from './parts';
import { fit, type Box, type Sheet } from './views';

type Props = { box: Box; model: BayModel; tape: Tape; movable: Movable };

/** From the left, front to the left: the members as they push and hold, and where their lines meet. */
export function SideView({ box, model, tape, movable }: Props) {
  const ahead = Math.max(model.tireRadius, ...model.now.mounts.map((m) => m.now[0])) + 70;
  const behind = Math.max(model.tireRadius + 40, ...model.now.mounts.map((m) => 60 - m.now[0]));
  const left = model.rails[0]!;
  const top = Math.max(2 * model.tireRadius + model.bump, left.underside + RAIL.height) + 20;
  const sheet = fit('side', box, { left: -ahead, right: behind, top: -top, bottom: 50 });
  return (
    <g>
      <Floor sheet={sheet} from={[ahead, 0, 0]} to={[-behind, 0, 0]} />
      {[model.ghosts.bump, model.ghosts.droop].map(
        (f, i) => f && <Tyres key={i} sheet={sheet} model={model} figure={f} className="ghost" />,
      )}
      <Tyres sheet={sheet} model={model} figure={model.now} className="zinc" />
      {[0, RAIL.height].map((h) => {
        const [a, b] = [sheet.at([ahead, 0, left.underside + h]), sheet.at([-behind, 0, left.underside + h])];
        return <line key={h} className="oxide-line" x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />;
      })}
      <Axle sheet={sheet} model={model} figure={model.now} />
      <LinesOfPull sheet={sheet} model={model} />
      <Shapes sheet={sheet} figure={model.now} />
      {model.now.bars.map((b) => (
        <BarLine key={b.id} sheet={sheet} {...b} className="bar link" />
      ))}
      <Mounts sheet={sheet} figure={model.now} tape={tape} movable={movable === 'links' ? 'links' : 'none'} />
    </g>
  );
}

/** From the contact patch to the instant centre: the line whose slope is the anti-squat. Cut off at the view's edge. */
function LinesOfPull({ sheet, model }: { sheet: Sheet; model: BayModel }) {
  if (!model.instantCentre) return null;
  const [x, z] = model.instantCentre;
  const patch = sheet.at([0, 0, 0]);
  const centre = sheet.at([x, 0, z]);
  const room = centre[0] < patch[0] ? patch[0] - sheet.box.x : sheet.box.x + sheet.box.width - patch[0];
  const share = Math.min(1, room / Math.max(1, Math.abs(centre[0] - patch[0])));
  const end = [patch[0] + share * (centre[0] - patch[0]), patch[1] + share * (centre[1] - patch[1])] as const;
  return (
    <g className="pull">
      <line x1={patch[0]} y1={patch[1]} x2={end[0]} y2={end[1]} />
      {share === 1 && <circle cx={end[0]} cy={end[1]} r={5} />}
    </g>
  );
}
