import type { BayModel } from './model';
import { RAIL } from './model';
import { Axle, BarLine, Floor, Tyres } from './parts';
import { fit, type Box } from './views';

/** From the left, front to the left: the links as they push and hold. */
export function SideView({ box, model }: { box: Box; model: BayModel }) {
  const ahead = Math.max(model.tireRadius, ...model.now.bars.map((b) => b.chassis[0])) + 60;
  const behind = Math.max(model.tireRadius + 40, ...model.now.bars.map((b) => -b.chassis[0]));
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
      {model.now.bars.map((b) => (
        <g key={b.id}>
          <BarLine sheet={sheet} {...b} className="bar link" />
          {[b.chassis, b.axle].map((p, i) => {
            const [x, y] = sheet.at(p);
            return <circle key={i} className={`eye ${i ? 'axle' : 'chassis'}`} cx={x} cy={y} r={4} />;
          })}
        </g>
      ))}
    </g>
  );
}
