import type { LineView } from '@/core/fabricate/paper/document';
import type { Point } from '@/core/geometry/vector';
import { SIDES, signOf } from '@/core/geometry/side';
import { railsOf } from '@/core/job/bodies/frameRails';
import type { Job } from '@/core/job/jobSchema';
import { tireWidthOf } from '@/core/job/jobValues';
import { kindOf } from '@/core/rig/members/members';
import { mountOwners, mountsOf } from '@/core/rig/mounts';

/** A place in the car as each view shows it: across and up on the paper. */
const VIEWS: { title: string; of: (point: Point) => [number, number] }[] = [
  { title: 'From behind', of: ([, left, up]) => [-left, up] },
  { title: 'From the left', of: ([ahead, , up]) => [-ahead, up] },
  { title: 'From above, front up', of: ([ahead, left]) => [-left, ahead] },
];
const EYE = 14;

/** The car as it is designed, in three views of lines: tyres, rails, members and their eyes. */
export function viewsOf(job: Job): LineView[] {
  const { rig } = job;
  const { track, tireRadius } = rig;
  const wide = tireWidthOf(job) / 2;
  const members = rig.members.flatMap((member) =>
    kindOf(member)
      .outline(member, { track, tireRadius })
      .map((line) => line.map(({ point }) => point)),
  );
  const bars = (rig.swayBars ?? []).map(({ centreline }) => centreline);
  const eyes = mountOwners(rig).flatMap((id) => mountsOf(rig, id).map(({ point }) => point));
  const tyres = SIDES.flatMap((side): Point[][] => {
    const y = (signOf(side) * track) / 2;
    return [boxOf([-tireRadius, y - wide, 0], [tireRadius, y + wide, 2 * tireRadius])];
  });
  const rails = railsOf(job).map(({ outside, underside, width, height }) => {
    const inside = outside - Math.sign(outside) * width;
    return boxOf(
      [-600, Math.min(inside, outside), underside],
      [900, Math.max(inside, outside), underside + height],
    );
  });
  return VIEWS.map(({ title, of }) => ({
    title,
    lines: [
      ...[...tyres, ...rails].map((corners) => ({ points: outlineOf(corners.map(of)), dashed: true })),
      ...members.map((line) => ({ points: line.map(of), heavy: true })),
      ...bars.map((line) => ({ points: line.map(of) })),
    ],
    rings: eyes.map((eye) => ({ at: of(eye), radius: EYE })),
  }));
}

/** The corners of an upright box. */
const boxOf = ([x1, y1, z1]: Point, [x2, y2, z2]: Point): Point[] =>
  [x1, x2].flatMap((x) => [y1, y2].flatMap((y) => [z1, z2].map((z): Point => [x, y, z])));

/** The rectangle round places on paper, closed. */
function outlineOf(places: [number, number][]): [number, number][] {
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  const [x1, x2, y1, y2] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return [
    [x1, y1],
    [x2, y1],
    [x2, y2],
    [x1, y2],
    [x1, y1],
  ];
}
