'use client';
import { withMounts } from '@/core/job/job';
import type { LinkMember } from '@/core/rig/schema';
import { edit } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { LengthField, type Ways } from '@/ui/LengthField';

const ENDS = [
  { end: 'chassis', name: 'Frame end' },
  { end: 'axle', name: 'Axle end' },
] as const;

/** How a builder says where a point is: which coordinate, its sign, and the words for its two ways. */
const PLACES: { axis: 0 | 1 | 2; name: string; ways?: Ways; sign: 1 | -1; least: number; most: number }[] = [
  { axis: 1, name: 'from centreline', ways: ['left', 'right'], sign: 1, least: -1200, most: 1200 },
  { axis: 2, name: 'off the floor', sign: 1, least: 20, most: 1500 },
  { axis: 0, name: 'from the axle', ways: ['behind', 'ahead'], sign: -1, least: -2500, most: 2500 },
];

/** Both ends of a bar, where they are measured on the car at ride height. */
export function EndsTable({ member }: { member: LinkMember }) {
  return (
    <div className="ends" role="group" aria-label={`Ends of ${member.id}`}>
      {ENDS.map(({ end, name }) => (
        <div key={end} className={`ends-row ${end}`}>
          <h3>{name}</h3>
          {PLACES.map(({ axis, name: place, ways, sign, least, most }) => {
            const field = `${member.id}/${end}/${axis}`;
            return (
              <div key={axis} className={ways ? 'wide' : ''}>
                <span className="place" aria-hidden>
                  {place}
                </span>
                <LengthField
                  field={field}
                  label={`${name}, ${place}`}
                  mm={sign * member[end][axis]}
                  least={least}
                  most={most}
                  ways={ways}
                  onEnter={(mm, text) => {
                    setRocker(0, 0);
                    edit((j) => ({
                      ...withMounts(j, [{ member: member.id, end, axis, mm: sign * mm }]),
                      typed: { ...j.typed, [field]: text },
                    }));
                  }}
                />
              </div>
            );
          })}
        </div>
      ))}
    </div>
  );
}
