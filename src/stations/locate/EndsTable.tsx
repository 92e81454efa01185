'use client';
import { withMounts } from '@/core/job/job';
import { linksOf } from '@/core/rig/members';
import { edit, useJobPart } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { LengthField, type Ways } from '@/ui/LengthField';

type End = 'chassis' | 'axle';

const ENDS: { end: End; name: string }[] = [
  { end: 'chassis', name: 'Frame end' },
  { end: 'axle', name: 'Axle end' },
];

/** How a builder says where a point is: which coordinate, its sign, and the words for its two ways. */
type Place = { axis: 0 | 1 | 2; name: string; ways?: Ways; sign: 1 | -1; least: number; most: number };
const PLACES: Place[] = [
  { axis: 1, name: 'from centreline', ways: ['left', 'right'], sign: 1, least: -1200, most: 1200 },
  { axis: 2, name: 'off the floor', sign: 1, least: 20, most: 1500 },
  { axis: 0, name: 'from the axle', ways: ['behind', 'ahead'], sign: -1, least: -2500, most: 2500 },
];

/** Both ends of a bar, where they are measured on the car at ride height. */
export function EndsTable({ memberId }: { memberId: string }) {
  return (
    <div className="ends" role="group" aria-label={`Ends of ${memberId}`}>
      {ENDS.map(({ end, name }) => (
        <div key={end} className={`ends-row ${end}`}>
          <h3>{name}</h3>
          {PLACES.map((place) => (
            <div key={place.axis}>
              <span className="place" aria-hidden>
                {place.name}
              </span>
              <MountField memberId={memberId} end={end} label={`${name}, ${place.name}`} place={place} />
            </div>
          ))}
        </div>
      ))}
    </div>
  );
}

type MountFieldProps = { memberId: string; end: End; label: string; place: Place };

function MountField({ memberId, end, label, place: { axis, ways, sign, least, most } }: MountFieldProps) {
  const mm = useJobPart((j) => linksOf(j.rig).find((m) => m.id === memberId)![end][axis]);
  const field = `${memberId}/${end}/${axis}`;
  return (
    <LengthField
      field={field}
      label={label}
      mm={sign * mm}
      least={least}
      most={most}
      ways={ways}
      onEnter={(value, text) => {
        setRocker(0, 0);
        edit((j) => ({
          ...withMounts(j, [{ member: memberId, end, axis, mm: sign * value }]),
          typed: { ...j.typed, [field]: text },
        }));
      }}
    />
  );
}
