'use client';
import { useState } from 'react';
import { SIDES, sideOf } from '@/core/geometry/side';
import { raisedNow } from '@/core/place/heights';
import type { Rig } from '@/core/rig/schema';
import { isPlaced, mountId, withPlaced } from '@/core/job/placed';
import { edit, useJobPart } from '@/store/jobStore';
import { mountField, moveMounts } from '@/store/edits/mountEdits';
import { Pills } from '@/ui/cards/Pills';
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
  const onRests = useJobPart((j) => SIDES.every((side) => raisedNow(j, 'axle', side) !== null));
  const [asItStands, setAsItStands] = useState(false);
  return (
    <div className="ends" role="group" aria-label={`Mounts of the ${name}`}>
      {onRests && (
        <Pills
          legend="Heights off the floor"
          options={HEIGHTS}
          value={asItStands ? 'now' : 'ride'}
          onPick={(to) => setAsItStands(to === 'now')}
        />
      )}
      {keys.map((key) => (
        <MountRow key={key} memberId={memberId} mountKey={key} holes={holes} raised={onRests && asItStands} />
      ))}
    </div>
  );
}

const HEIGHTS: { value: 'ride' | 'now'; label: string }[] = [
  { value: 'ride', label: 'at ride height' },
  { value: 'now', label: 'as it stands on stands and rests' },
];

type MountRowProps = { memberId: string; mountKey: MountKey; holes: boolean; raised: boolean };

function MountRow({ memberId, mountKey, holes, raised }: MountRowProps) {
  const { name, on } = useJobPart(({ rig }) => {
    const mount = findMount(rig, memberId, mountKey);
    return { name: mount.name, on: mount.on };
  });
  const guessed = useJobPart((j) => !isPlaced(j, mountId(memberId, mountKey)));
  return (
    <div className={`ends-row ${on}${guessed ? ' guessed' : ''}`}>
      <h2>
        {name}
        {guessed && (
          <small className="from-pattern">
            from the layout’s pattern
            <button type="button" onClick={() => edit((j) => withPlaced(j, [mountId(memberId, mountKey)]))}>
              it goes there
            </button>
          </small>
        )}
      </h2>
      {COORDINATES.map((place) => (
        <div key={place.axis}>
          <span className="place" aria-hidden>
            {place.name}
          </span>
          <MountField
            memberId={memberId}
            mountKey={mountKey}
            mountName={name}
            place={place}
            raised={raised && place.axis === 2}
          />
        </div>
      ))}
      {holes && <BracketHoles member={memberId} mountKey={mountKey} mountName={name} />}
    </div>
  );
}

type MountFieldProps = {
  memberId: string;
  mountKey: MountKey;
  mountName: string;
  place: Coordinate;
  /** shown and typed as it stands now, on stands and rests */
  raised: boolean;
};

/** Only its own figure draws it again: while a mount is dragged, the other fields stand still. */
function MountField({ memberId, mountKey, mountName, place, raised }: MountFieldProps) {
  const { axis, name, ways, sign, least, most } = place;
  const mm = useJobPart(({ rig }) => findMount(rig, memberId, mountKey).point[axis]);
  const up = useJobPart((j) => {
    const { on, point } = findMount(j.rig, memberId, mountKey);
    return raised ? (raisedNow(j, on, sideOf(point[1])) ?? 0) : 0;
  });
  const at = { member: memberId, end: mountKey, axis };
  const field = mountField(at);
  return (
    <LengthField
      field={raised ? `${field}, as it stands` : field}
      label={`${mountName}, ${name}`}
      mm={sign * mm + up}
      least={least + up}
      most={most + up}
      ways={ways}
      onEnter={(value, text) => moveMounts([{ ...at, mm: sign * value - up }], raised ? undefined : text)}
    />
  );
}

const findMount = (rig: Rig, memberId: string, key: MountKey): Mount =>
  mountsOf(rig, memberId).find((m) => m.key === key)!;
