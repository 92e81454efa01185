'use client';
import type { Point, Rig } from '@/core/rig/schema';
import { edit, useJobPart } from '@/store/jobStore';
import { setRocker } from '@/store/rocker';
import { LengthField } from '@/ui/LengthField';
import { PLACES, type Place } from './places';

type Steering = NonNullable<Rig['steering']>;

const POINTS: { key: keyof Steering; name: string; on: 'chassis' | 'axle' }[] = [
  { key: 'pitman', name: 'Pitman arm', on: 'chassis' },
  { key: 'knuckle', name: 'Knuckle arm', on: 'axle' },
  { key: 'kingpin', name: 'Kingpin, middle', on: 'axle' },
];

/** The drag link of a front axle: what the track bar has to match. */
export function DragLink() {
  const there = useJobPart((j) => j.rig.steering !== undefined);
  if (!there) return null;
  return (
    <section className="section">
      <h2>Drag link</h2>
      <div className="ends">
        {POINTS.map(({ key, name, on }) => (
          <div key={key} className={`ends-row ${on}`}>
            <h3>{name}</h3>
            {PLACES.map((place) => (
              <div key={place.axis}>
                <span className="place" aria-hidden>
                  {place.name}
                </span>
                <SteeringField point={key} label={`${name}, ${place.name}`} place={place} />
              </div>
            ))}
          </div>
        ))}
      </div>
    </section>
  );
}

function SteeringField({ point, label, place }: { point: keyof Steering; label: string; place: Place }) {
  const { axis, ways, sign, least, most } = place;
  const mm = useJobPart((j) => j.rig.steering![point][axis]);
  const field = `steering/${point}/${axis}`;
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
        edit((j) => {
          const steering = j.rig.steering!;
          const moved = steering[point].map((v, k) => (k === axis ? sign * value : v)) as Point;
          const rig = { ...j.rig, steering: { ...steering, [point]: moved } };
          return { ...j, laidOut: true, rig, typed: { ...j.typed, [field]: text } };
        });
      }}
    />
  );
}
