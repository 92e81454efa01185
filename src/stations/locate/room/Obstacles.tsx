'use client';
import { Button, Dropdown, Segmented } from 'antd';
import { Input } from '@/ui/fields/textInput';
import { useState } from 'react';
import { railsInTheWay } from '@/core/job/bodies/frameRails';
import type { Obstacle } from '@/core/rig/schema';
import { useJobPart, useJobStore } from '@/store/jobStore';
import { addObstacles, editObstacle, freeName } from '@/store/edits/obstacleEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { COORDINATES } from '@/stations/locate/members/places';
import type { Point } from '@/core/geometry/vector';
import type { Job } from '@/core/job/jobSchema';
import { ownObstacles } from '@/core/job/jobValues';

/** Things that are usually in the way, where and how large they usually are, scaled to the car; the rails where they were measured. */
const USUAL: Record<string, (job: Job) => Obstacle[]> = {
  'frame rails': railsInTheWay,
  'fuel tank': ({ rig: { tireRadius: r, track } }) => [
    {
      id: 'fuel tank',
      on: 'chassis',
      shape: 'box',
      min: [-620, -0.26 * track, r + 10],
      max: [-260, 0.26 * track, r + 190],
    },
  ],
  exhaust: ({ rig: { tireRadius: r, track } }) => [
    {
      id: 'exhaust',
      on: 'chassis',
      shape: 'capsule',
      from: [450, -0.2 * track, r - 70],
      to: [90, -0.2 * track, r + 150],
      radius: 32,
    },
  ],
  'coil or shock': ({ rig: { tireRadius: r, track } }) => [
    {
      id: 'coil-over',
      on: 'chassis',
      shape: 'capsule',
      from: [-80, 0.27 * track, r + 330],
      to: [-80, 0.3 * track, r - 20],
      radius: 55,
    },
  ],
  'brake line or bracket': ({ rig: { tireRadius: r, track } }) => [
    { id: 'bracket', on: 'axle', shape: 'sphere', centre: [-90, 0.12 * track, r + 30], radius: 30 },
  ],
  'something square': ({ rig: { tireRadius: r } }) => [
    {
      id: 'crossmember',
      on: 'chassis',
      shape: 'box',
      min: [-350, -300, r + 150],
      max: [-280, 300, r + 230],
    },
  ],
};

/** What is in the way, drawn true to size: dragged in the bay, or typed here. */
export function Obstacles() {
  const own = useJobPart((j) => ownObstacles(j.rig));
  return (
    <section className="section">
      <h2>What is in the way</h2>
      {own.map((o) => (
        <OneObstacle key={o.id} obstacle={o} />
      ))}
      <Dropdown
        trigger={['click']}
        menu={{
          items: Object.keys(USUAL).map((name) => ({ key: name, label: name })),
          onClick: ({ key }) => addObstacles(USUAL[key]!(useJobStore.getState().job!)),
        }}
      >
        <Button className="add-part">Add something in the way</Button>
      </Dropdown>
      <p className="hint">
        What Pellik knows is there already: housing, tyres, shaft, springs, shocks, and bars. The rails come
        as they were measured, straight over the axle: move their undersides where they kick up or are
        notched. Draw a thing as large as it is: box, pipe or ball.
      </p>
    </section>
  );
}

const BODIES = [
  { value: 'chassis' as const, label: 'on the frame' },
  { value: 'axle' as const, label: 'on the axle' },
];

function OneObstacle({ obstacle }: { obstacle: Obstacle }) {
  const { id, on } = obstacle;
  return (
    <div className={`thing-block ${on}`}>
      <div className="link-head">
        <NameField id={id} />
        <Button
          type="text"
          size="small"
          aria-label={`Remove ${id}`}
          onClick={() => editObstacle(id, () => null)}
        >
          remove
        </Button>
      </div>
      <Segmented
        size="small"
        aria-label={`${id}: what carries it`}
        value={on}
        options={BODIES}
        onChange={(body) => editObstacle(id, (o) => ({ ...o, on: body }))}
      />
      <Shape obstacle={obstacle} />
    </div>
  );
}

/** A new name is taken over when the field is left; nothing may be called alike. */
function NameField({ id }: { id: string }) {
  const [name, setName] = useState(id);
  function take() {
    const wanted = name.trim().slice(0, 60);
    if (!wanted || wanted === id) return setName(id);
    const others = (useJobStore.getState().job!.rig.obstacles ?? []).filter((o) => o.id !== id);
    editObstacle(id, (o) => ({ ...o, id: freeName(wanted, others) }));
  }
  return (
    <Input
      aria-label={`Name of ${id}`}
      value={name}
      maxLength={60}
      onChange={(e) => setName(e.target.value)}
      onBlur={take}
      onPressEnter={take}
    />
  );
}

function Shape({ obstacle }: { obstacle: Obstacle }) {
  switch (obstacle.shape) {
    case 'box':
      return (
        <>
          <PointFields
            id={obstacle.id}
            of="min"
            name="right rear bottom"
            point={obstacle.min}
            below={obstacle.max}
          />
          <PointFields
            id={obstacle.id}
            of="max"
            name="left front top"
            point={obstacle.max}
            above={obstacle.min}
          />
        </>
      );
    case 'capsule':
    case 'cylinder':
      return (
        <>
          <PointFields id={obstacle.id} of="from" name="one end" point={obstacle.from} />
          <PointFields id={obstacle.id} of="to" name="other end" point={obstacle.to} />
          <Diameter id={obstacle.id} radius={obstacle.radius} />
        </>
      );
    case 'sphere':
      return (
        <>
          <PointFields id={obstacle.id} of="centre" name="middle" point={obstacle.centre} />
          <Diameter id={obstacle.id} radius={obstacle.radius} />
        </>
      );
  }
}

type Axis = 0 | 1 | 2;
type Corner = 'min' | 'max' | 'from' | 'to' | 'centre';
type PointProps = {
  id: string;
  of: Corner;
  name: string;
  point: Point;
  /** the opposite corner of a box, which this one stays below or above in all three */
  below?: Point;
  above?: Point;
};

/** What a coordinate may be, as it is typed: between its limits, and not past the opposite corner. */
function limitsOf({ axis, sign, least, most }: (typeof COORDINATES)[number], below?: Point, above?: Point) {
  const [low, high] = [above?.[axis] ?? -Infinity, below?.[axis] ?? Infinity];
  const [from, to] = sign > 0 ? [low, high] : [-high, -low];
  return { least: Math.max(least, from), most: Math.min(most, to) };
}

function PointFields({ id, of, name, point, below, above }: PointProps) {
  return (
    <div className="ends-row thing-point">
      <h3>{name}</h3>
      {COORDINATES.map(({ axis, name: place, ways, sign, ...limits }) => (
        <div key={axis}>
          <span className="place" aria-hidden>
            {place}
          </span>
          <LengthField
            field={`obstacle/${id}/${of}/${axis}`}
            label={`${id}, ${name}, ${place}`}
            mm={sign * point[axis]}
            {...limitsOf({ axis, name: place, ways, sign, ...limits }, below, above)}
            ways={ways}
            onEnter={(mm) => editObstacle(id, (o) => withCoordinate(o, of, axis, sign * mm))}
          />
        </div>
      ))}
    </div>
  );
}

function withCoordinate(o: Obstacle, of: Corner, axis: Axis, mm: number): Obstacle {
  const set = (p: Point) => p.map((v, k) => (k === axis ? mm : v)) as Point;
  if (o.shape === 'sphere') return { ...o, centre: set(o.centre) };
  if (o.shape === 'capsule' || o.shape === 'cylinder')
    return of === 'from' ? { ...o, from: set(o.from) } : { ...o, to: set(o.to) };
  return of === 'min' ? { ...o, min: set(o.min) } : { ...o, max: set(o.max) };
}

function Diameter({ id, radius }: { id: string; radius: number }) {
  return (
    <LengthField
      field={`obstacle/${id}/diameter`}
      label="diameter"
      showLabel
      mm={2 * radius}
      least={3}
      most={1500}
      onEnter={(mm) => editObstacle(id, (o) => (o.shape === 'box' ? o : { ...o, radius: mm / 2 }))}
    />
  );
}
