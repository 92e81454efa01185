'use client';
import { JOINT_NAMES, JOINTS, jointsOf } from '@/core/materials/joints';
import { useJobPart } from '@/store/jobStore';
import { sayGive } from './sayGive';

/** What an end can be made with, side by side: how far it swings and gives under what the car asks of this bar, how it sounds, lasts and costs. */
export function JointTable({ member, asked }: { member: string; asked: number }) {
  const tape = useJobPart((j) => j.tape);
  const { chassis, axle } = useJobPart((j) => jointsOf(j.joints, member));
  return (
    <details className="metals" data-joints>
      <summary>Its joints otherwise</summary>
      <table>
        <thead>
          <tr>
            <th scope="col">A joint as</th>
            <th scope="col">swings</th>
            <th scope="col">gives</th>
            <th scope="col">sounds</th>
            <th scope="col">lasts</th>
            <th scope="col">costs</th>
          </tr>
        </thead>
        <tbody>
          {JOINT_NAMES.map((id) => {
            const { name, swing, rate, noise, life, price } = JOINTS[id];
            return (
              <tr key={id} data-now={id === chassis || id === axle}>
                <th scope="row">{name}</th>
                <td>±{swing}°</td>
                <td>{sayGive(asked / rate, tape)}</td>
                <td>{noise}</td>
                <td>{life}</td>
                <td>{price}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="hint">
        Against each other, by common practice; swings and gives are usual figures, its maker’s come before
        them. A bar that is set by its thread wants a joint that swings at one end at least: between two soft
        ones its jam nuts work loose.
      </p>
    </details>
  );
}
