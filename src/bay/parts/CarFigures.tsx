import type { Tape } from '@/core/units/tape';
import { Dimension } from './Dimension';
import type { BayModel } from '@/bay/model/bayModel';

import type { Sheet } from '@/bay/views/projection';

type Props = { sheet: Sheet; model: BayModel; tape: Tape };

/** What Record asks for, drawn where it is measured: tyre radius, ride height and track. */
export function CarFigures({ sheet, model, tape }: Props) {
  const floor = sheet.at([0, 0, 0])[1];
  const tread = (y: number) => sheet.at([0, y, 0])[0];
  const low = sheet.at([0, 0, 0.16 * model.tireRadius])[1];
  return (
    <g>
      <Dimension
        from={[tread(model.track / 2), low]}
        to={[tread(-model.track / 2), low]}
        mm={model.track}
        tape={tape}
        after="track"
      />
      {model.rails.map((rail) => {
        const [x, y] = sheet.at([
          0,
          rail.outside - Math.sign(rail.outside) * (rail.width + 40),
          rail.underside,
        ]);
        return (
          <Dimension
            key={rail.side}
            from={[x, floor]}
            to={[x, y]}
            mm={rail.underside}
            tape={tape}
            label={0.42}
          />
        );
      })}
      {([1, -1] as const).map((side) => {
        const [x, y] = sheet.at([0, side * (model.track / 2 + model.tireWidth / 4), model.tireRadius]);
        return (
          <Dimension
            key={side}
            from={[x, floor]}
            to={[x, y]}
            mm={side > 0 ? model.radii.left : model.radii.right}
            tape={tape}
          />
        );
      })}
    </g>
  );
}

/** Tyre to frame on both sides, level with the hub. */
export function GapFigures({ sheet, model, tape, asRead }: Props & { asRead: boolean }) {
  return (
    <g>
      {model.rails.map((rail) => {
        const wall = Math.sign(rail.outside) * (model.track / 2 - model.tireWidth / 2);
        const height = Math.max(rail.underside + rail.height, model.tireRadius) + 34;
        const [from, to] = [sheet.at([0, wall, height]), sheet.at([0, rail.outside, height])];
        return (
          <g key={rail.side}>
            {[wall, rail.outside].map((y) => {
              const [x] = sheet.at([0, y, 0]);
              return (
                <line
                  key={y}
                  className="extension"
                  x1={x}
                  x2={x}
                  y1={from[1] - 6}
                  y2={sheet.at([0, 0, model.tireRadius])[1]}
                />
              );
            })}
            <Dimension
              from={from}
              to={to}
              mm={asRead ? model.gaps[rail.side] : Math.abs(wall - rail.outside)}
              tape={tape}
            />
          </g>
        );
      })}
    </g>
  );
}
