'use client';
import { mountsOf, type Mount } from '@/core/rig/members';
import { useJobPart } from '@/store/jobStore';
import { mountField, moveMounts } from '@/store/mounts';
import { LengthField, type Ways } from '@/ui/LengthField';

/** How a builder says where a point is: which coordinate, its sign, and the words for its two ways. */
type Place = { axis: 0 | 1 | 2; name: string; ways?: Ways; sign: 1 | -1; least: number; most: number };
const PLACES: Place[] = [
  { axis: 1, name: 'from centreline', ways: ['left', 'right'], sign: 1, least: -1200, most: 1200 },
  { axis: 2, name: 'off the floor', sign: 1, least: 20, most: 1500 },
  { axis: 0, name: 'from the axle', ways: ['behind', 'ahead'], sign: -1, least: -2500, most: 2500 },
];

/** Where a member is mounted, as it is measured on the car at ride height. */
export function MountsTable({ memberId }: { memberId: string }) {
  const member = useJobPart((j) => j.rig.members.find((m) => m.id === memberId))!;
  return (
    <div className="ends" role="group" aria-label={`Mounts of ${memberId}`}>
      {mountsOf(member).map((mount) => (
        <div key={mount.key} className={`ends-row ${mount.on}`}>
          <h3>{mount.name}</h3>
          {PLACES.map((place) => (
            <div key={place.axis}>
              <span className="place" aria-hidden>
                {place.name}
              </span>
              <MountField memberId={memberId} mount={mount} place={place} />
            </div>
          ))}
        </div>
      ))}
    </div>
  );
}

type MountFieldProps = { memberId: string; mount: Mount; place: Place };

function MountField({ memberId, mount, place: { axis, name, ways, sign, least, most } }: MountFieldProps) {
  const at = { member: memberId, end: mount.key, axis };
  return (
    <LengthField
      field={mountField(at)}
      label={`${mount.name}, ${name}`}
      mm={sign * mount.point[axis]}
      least={least}
      most={most}
      ways={ways}
      onEnter={(mm, text) => moveMounts([{ ...at, mm: sign * mm }], text)}
    />
  );
}
