'use client';
import type { Rig } from '@/core/rig/schema';
import { useJobPart } from '@/store/jobStore';
import { mountField, moveMounts } from '@/store/edits/mountEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { BracketHoles } from './BracketHoles';
import { COORDINATES, type Coordinate } from './places';
import { mountsOf } from '@/core/rig/mounts';
import { memberName } from '@/core/rig/names';
import type { Mount, MountKey } from '@/core/rig/members/kind';

/** Where a member, the drag link or the driveshaft is mounted, as it is measured on the car at ride height. */
export function MountsTable({ memberId, holes = true }: { memberId: string; holes?: boolean }) {
  const name = useJobPart((j) => memberName(memberId, j.rig.end));
  const keys = useJobPart((j) => mountsOf(j.rig, memberId).map((m) => m.key));
  return (
    <div className="ends" role="group" aria-label={`Mounts of the ${name}`}>
      {keys.map((key) => (
        <MountRow key={key} memberId={memberId} mountKey={key} holes={holes} />
      ))}
    </div>
  );
}

function MountRow({ memberId, mountKey, holes }: { memberId: string; mountKey: MountKey; holes: boolean }) {
  const { name, on } = useJobPart(({ rig }) => {
    const mount = findMount(rig, memberId, mountKey);
    return { name: mount.name, on: mount.on };
  });
  return (
    <div className={`ends-row ${on}`}>
      <h2>{name}</h2>
      {COORDINATES.map((place) => (
        <div key={place.axis}>
          <span className="place" aria-hidden>
            {place.name}
          </span>
          <MountField memberId={memberId} mountKey={mountKey} mountName={name} place={place} />
        </div>
      ))}
      {holes && <BracketHoles member={memberId} mountKey={mountKey} mountName={name} />}
    </div>
  );
}

type MountFieldProps = { memberId: string; mountKey: MountKey; mountName: string; place: Coordinate };

/** Only its own figure draws it again: while a mount is dragged, the other fields stand still. */
function MountField({ memberId, mountKey, mountName, place }: MountFieldProps) {
  const { axis, name, ways, sign, least, most } = place;
  const mm = useJobPart(({ rig }) => findMount(rig, memberId, mountKey).point[axis]);
  const at = { member: memberId, end: mountKey, axis };
  return (
    <LengthField
      field={mountField(at)}
      label={`${mountName}, ${name}`}
      mm={sign * mm}
      least={least}
      most={most}
      ways={ways}
      onEnter={(value, text) => moveMounts([{ ...at, mm: sign * value }], text)}
    />
  );
}

const findMount = (rig: Rig, memberId: string, key: MountKey): Mount =>
  mountsOf(rig, memberId).find((m) => m.key === key)!;
