import { DATUMS, type Datum } from '@/core/measure/datums';
import type { Spot } from '@/core/measure/quantities';
import { measuredAcross, type Readings } from '@/core/measure/readings';
import type { Point } from '@/core/rig/schema';
import type { ViewName } from '@/store/look';
import { RAIL } from '@/core/job/frame';
import { type BayModel } from './model';

/** Where a reading is taken, on this car: the view that shows it, and from where to where. */
export type Where = {
  view: ViewName;
  from: Point;
  to: Point;
  /** points that show beside it: the datum, the edge of the opening */
  beside?: Point[];
  /** the wheel's opening is drawn */
  opening?: boolean;
};

/** Room between tyre and edge of the opening, as drawn, mm. */
const OPENING = 75;
const FAR = 900;

/** Where on the car a spot is; the drawing shows it there. */
export function whereIs(spot: Spot, model: BayModel, readings: Readings): Where {
  const { quantity, side = 'left' } = spot;
  const s = side === 'left' ? 1 : -1;
  const { tireRadius: R, track, tireWidth, tubeDiameter, cover, bump, droop } = model;
  const rail = model.rails.find((r) => r.side === side)!;
  const railY = rail.outside - s * (RAIL.width / 2);
  const [left, right] = [model.rails[0]!.outside, model.rails[1]!.outside];
  const outer = track / 2 + tireWidth / 2;
  const inner = track / 2 - tireWidth / 2;
  const rear = (from: Point, to: Point): Where => ({ view: 'rear', from, to });
  const seen = (from: Point, to: Point, opening = false): Where => ({ view: 'side', from, to, opening });

  const [datum, part] = quantity.key.split('.') as [Datum, string | undefined];
  if (part) return datumWhere(datum, part, s);
  switch (quantity.key) {
    case 'floorAlong':
      return seen([FAR, 0, 0], [-R, 0, 0]);
    case 'floorAcrossRear':
    case 'floorAcrossFront':
      return rear([0, track / 2, 0], [0, -track / 2, 0]);
    case 'tireRadius':
      return rear([0, (s * track) / 2, 0], [0, (s * track) / 2, R]);
    case 'wheelbase':
      return seen([FAR, 0, R], [0, 0, R]);
    case 'fenderHeight':
      return seen([0, 0, 0], [0, 0, 2 * R + OPENING], true);
    case 'hubToFender':
      return seen([0, 0, R], [0, 0, 2 * R + OPENING], true);
    case 'openingFront':
      return seen([0, 0, R], [R + OPENING, 0, R], true);
    case 'openingRear':
      return seen([0, 0, R], [-R - OPENING, 0, R], true);
    case 'gapFender':
      return rear([0, s * outer, 1.75 * R], [0, s * (outer + 55), 1.75 * R]);
    case 'gapFrame':
      return rear([0, s * inner, R], [0, rail.outside, R]);
    case 'rideHeight':
      return rear([0, railY, 0], [0, railY, rail.underside]);
    case 'frontHeight':
      return seen([FAR - 60, 0, 0], [FAR - 60, 0, rail.underside]);
    case 'tireWidth':
      return rear([0, outer, 1.6 * R], [0, inner, 1.6 * R]);
    case 'track':
      return rear([0, track / 2, 0.1 * R], [0, -track / 2, 0.1 * R]);
    case 'insideTires':
      return rear([0, inner, R], [0, -inner, R]);
    case 'frameWidth':
      return rear([0, left, rail.underside + RAIL.height / 2], [0, right, rail.underside + RAIL.height / 2]);
    case 'marksAcross':
      return { view: 'plan', from: [0, left, 0], to: [0, right, 0] };
    case 'tubeDiameter':
      return rear([0, 0.3 * track, R - tubeDiameter / 2], [0, 0.3 * track, R + tubeDiameter / 2]);
    case 'cover':
      return { view: 'plan', from: [0, 0, R], to: [-cover, 0, R] };
    case 'axleToFrame':
      return rear([0, railY, R + tubeDiameter / 2], [0, railY, rail.underside]);
    case 'bump':
      return rear([0, railY, R + tubeDiameter / 2], [0, railY, R + tubeDiameter / 2 + bump]);
    case 'droop':
      return rear([0, railY, R - tubeDiameter / 2], [0, railY, R - tubeDiameter / 2 - droop]);
    case 'railAngle':
      return seen([FAR, 0, rail.underside], [150, 0, rail.underside]);
    case 'transmissionAngle':
      return alongShaft('front');
    case 'pinionAngle':
      return alongShaft('rear');
    default:
      return rear([0, (s * track) / 2, -60], [0, (s * track) / 2, 0]);
  }

  function alongShaft(end: 'front' | 'rear'): Where {
    const shaft = model.now.shaft;
    if (!shaft) return seen([300, 0, R], [120, 0, R]);
    return end === 'front' ? seen(shaft.tail, shaft.front) : seen(shaft.rear, shaft.nose);
  }

  function datumWhere(d: Datum, what: string, sign: number): Where {
    const at = (name: Datum, k: number): Point => {
      const { way } = DATUMS[name];
      const along = way * (measuredAcross(readings, `${name}.front`) + (way * tubeDiameter) / 2);
      return [along, k > 0 ? left : right, 0];
    };
    const rails = (k: number) => (k > 0 ? left : right);
    const here = at(d, sign);
    const beside = [at(d, 1), at(d, -1)];
    switch (what) {
      case 'front':
        return { view: 'plan', from: here, to: [tubeDiameter / 2, rails(sign), 0], beside };
      case 'rear':
        return { view: 'plan', from: here, to: [-tubeDiameter / 2, rails(sign), 0], beside };
      case 'across':
        return { view: 'plan', from: at(d, 1), to: at(d, -1), beside };
      case 'diagonal':
        return { view: 'plan', from: here, to: [0, rails(-sign), 0], beside };
      case 'cross':
        return { view: 'plan', from: here, to: at('holes', -sign), beside };
      default:
        return { view: 'plan', from: here, to: at('holes', sign), beside };
    }
  }
}
