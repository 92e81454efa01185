import { wayOf, type Datum } from '@/core/survey/quantities/datums';
import type { Spot } from '@/core/survey/quantities/quantities';
import { measuredAcross, type Readings } from '@/core/survey/readings';
import type { ViewName } from '@/store/viewport';
import type { BayModel } from './bayModel';
import { signOf } from '@/core/geometry/side';
import type { Point } from '@/core/geometry/vector';

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
/** How far off the other axle is drawn, mm. */
const TO_THE_OTHER_AXLE = 900;

/** Where on the car a spot is; the drawing shows it there. */
export function whereIs(spot: Spot, model: BayModel, readings: Readings): Where {
  const { quantity, side = 'left' } = spot;
  const s = signOf(side);
  const far = model.end === 'rear' ? TO_THE_OTHER_AXLE : -TO_THE_OTHER_AXLE;
  const { tireRadius: R, track, tireWidth, tubeDiameter, cover, bump, droop } = model;
  const rail = model.rails.find((r) => r.side === side)!;
  const railY = rail.outside - s * (rail.width / 2);
  const [left, right] = [model.rails[0]!.outside, model.rails[1]!.outside];
  const outer = track / 2 + tireWidth / 2;
  const inner = track / 2 - tireWidth / 2;
  const rear = (from: Point, to: Point): Where => ({ view: 'rear', from, to });
  const seen = (from: Point, to: Point, opening = false): Where => ({ view: 'side', from, to, opening });

  const [datum, part] = quantity.key.split('.') as [Datum, string | undefined];
  if (part) return datumWhere(datum, part, s);
  switch (quantity.key) {
    case 'floorAlong':
      return seen([far, 0, 0], [-Math.sign(far) * R, 0, 0]);
    case 'floorAcrossRear':
    case 'floorAcrossFront':
      return rear([0, track / 2, 0], [0, -track / 2, 0]);
    case 'tireRadius':
      return rear([0, (s * track) / 2, 0], [0, (s * track) / 2, R]);
    case 'wheelbase':
      return seen([far, 0, R], [0, 0, R]);
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
      return seen([0.93 * far, 0, 0], [0.93 * far, 0, rail.underside]);
    case 'tireWidth':
      return rear([0, outer, 1.6 * R], [0, inner, 1.6 * R]);
    case 'track':
      return rear([0, track / 2, 0.1 * R], [0, -track / 2, 0.1 * R]);
    case 'insideTires':
      return rear([0, inner, R], [0, -inner, R]);
    case 'frameWidth':
      return rear([0, left, rail.underside + rail.height / 2], [0, right, rail.underside + rail.height / 2]);
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
      return seen([far, 0, rail.underside], [far / 6, 0, rail.underside]);
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
      const way = wayOf(name, model.end);
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
