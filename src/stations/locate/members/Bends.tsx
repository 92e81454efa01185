'use client';
import { Button } from 'antd';
import type { Rig } from '@/core/rig/schema';
import { edit, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { COORDINATES } from './places';
import type { Point } from '@/core/geometry/vector';
import { linksOf } from '@/core/rig/members/members';
import type { LinkMember } from '@/core/rig/members/link';
import { withBends } from '@/core/job/edits/mounts';

const barOf = (rig: Rig, id: string): LinkMember => linksOf(rig).find((m) => m.id === id)!;

/** How far below the straight line a first bend is put, mm: enough to pass under a cover, and to be seen. */
const DIP = 50;

/** The bends of a bar that will not clear straight: points it passes between its eyes, at ride height. */
export function Bends({ member }: { member: string }) {
  const bends = useJobPart((j) => barOf(j.rig, member).path?.chassis ?? NONE);
  const put = (next: Point[]) => edit((j) => withBends(j, member, next));
  function add() {
    edit((j) => {
      const { chassis, axle } = barOf(j.rig, member);
      const share = [0.35, 0.65, 0.5][bends.length % 3]!;
      const on = axle.map((v, k) => v + share * (chassis[k]! - v)) as Point;
      const next = [...bends, [on[0], on[1], on[2] - DIP] as Point];
      // From the frame end to the axle end, as the bar runs.
      next.sort((a, b) => (axle[1] > chassis[1] ? a[1] - b[1] : b[1] - a[1]));
      return withBends(j, member, next);
    });
  }
  return (
    <div className="bends">
      {bends.map((bend, i) => (
        <div key={i} className="ends-row">
          <h3>
            Bend {i + 1}{' '}
            <Button
              type="link"
              className="put-back"
              aria-label={`Straighten bend ${i + 1}`}
              onClick={() => put(bends.filter((_, k) => k !== i))}
            >
              straighten
            </Button>
          </h3>
          {COORDINATES.map(({ axis, name, ways, sign, least, most }) => (
            <div key={axis}>
              <span className="place" aria-hidden>
                {name}
              </span>
              <LengthField
                field={`bend/${member}/${i}/${axis}`}
                label={`Bend ${i + 1}, ${name}`}
                mm={sign * bend[axis]}
                least={least}
                most={most}
                ways={ways}
                onEnter={(mm) =>
                  put(
                    bends.map((p, k) =>
                      k === i ? (p.map((v, c) => (c === axis ? sign * mm : v)) as Point) : p,
                    ),
                  )
                }
              />
            </div>
          ))}
        </div>
      ))}
      <Button type="link" className="put-back holes-open" onClick={add}>
        {bends.length ? 'another bend' : 'bend the bar'}
      </Button>
      {bends.length > 0 && (
        <p className="hint">
          A bent bar bends further under load: solid bar or a shaped plate, not thin tube, and heavier for it.
          What holds the axle is still the straight line from eye to eye.
        </p>
      )}
    </div>
  );
}

const NONE: Point[] = [];
