import { mountId } from '@/core/job/placed';
import { JOINTS, jointsOf } from '@/core/materials/joints';
import { guessesAmong, mountInputs } from '@/core/provenance/inputs';
import { memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import type { Tape } from '@/core/units/tape';
import { distance, type Point } from '@/core/geometry/vector';
import { useJob } from '@/store/jobStore';
import { PaperSheet } from '@/ui/paper/PaperSheet';
import { usePrinting } from '@/ui/paper/usePrinting';
import { COORDINATES } from './places';
import { isLink } from '@/core/rig/members/members';
import { DRIVESHAFT, mountsOf, STEERING } from '@/core/rig/mounts';

const CAUTION =
  'With the car at its ride height, from the centreline, the floor and the axle’s own middle. Measure twice; tack, cycle the axle and measure again before anything is finish-welded. What holds an axle is life-critical: a qualified welder and the rules of the place come before this sheet, which certifies nothing.';

/** Every point that is to be built, with room to write down where it came to be. */
export function MountSheet() {
  const job = useJob();
  const printing = usePrinting();
  if (!printing) return null;
  const { rig, tape, joints } = job;
  const owners = [...rig.members.map((m) => m.id), STEERING, DRIVESHAFT];
  const guessed = new Set(guessesAmong(job, mountInputs(rig, owners)).map(({ id }) => id));
  const lengths = rig.members.filter(isLink).map((m) => {
    const made = jointsOf(joints, m.id);
    return [m.id, distance(m.chassis, m.axle), JOINTS[made.chassis].name, JOINTS[made.axle].name] as const;
  });
  return (
    <PaperSheet label="Mounts" title="Where the mounts stand" caution={CAUTION}>
      <table className="mounts-sheet">
        <thead>
          <tr>
            <th>Mount</th>
            {COORDINATES.map(({ name }) => (
              <th key={name}>{name}</th>
            ))}
            <th>as built</th>
          </tr>
        </thead>
        <tbody>
          {owners.flatMap((id) =>
            mountsOf(rig, id).map(({ key, name, point }) => (
              <tr key={`${id} ${key}`}>
                <td>
                  {memberName(id, rig.end)}, {name.toLowerCase()}
                  {guessed.has(`mount.${mountId(id, key)}`) && ' *'}
                </td>
                {COORDINATES.map((place) => (
                  <td key={place.axis}>{sayPlace(point, place, tape)}</td>
                ))}
                <td className="box" />
              </tr>
            )),
          )}
        </tbody>
      </table>
      {guessed.size > 0 && (
        <p className="paper-guesses">* Guessed: it stands where the pattern of the layout put it.</p>
      )}
      <h2>Eye to eye</h2>
      <table className="mounts-sheet">
        <tbody>
          {lengths.map(([id, length, frame, axle]) => (
            <tr key={id}>
              <td>{memberName(id, rig.end)}</td>
              <td>{sayLength(length, tape)}</td>
              <td>
                {frame === axle
                  ? `${frame} at both ends`
                  : `${frame} at the frame, ${axle.toLowerCase()} at the axle`}
              </td>
              <td className="box" />
            </tr>
          ))}
        </tbody>
      </table>
    </PaperSheet>
  );
}

function sayPlace(point: Point, { axis, ways, sign }: (typeof COORDINATES)[number], tape: Tape): string {
  const mm = sign * point[axis];
  if (!ways) return sayLength(mm, tape);
  const size = sayLength(Math.abs(mm), tape);
  if (size.startsWith('0 ')) return axis === 1 ? 'in the middle' : 'in line with it';
  return `${size} ${ways[mm < 0 ? 1 : 0]}`;
}
