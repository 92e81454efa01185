import { armStiffness, axleTorsion } from '@/core/beam/armStiffness';
import { assemble } from '@/core/kinematics/mechanism';
import { bindStiffness, smallMotions } from '@/core/kinematics/smallMotions';
import type { Member } from '@/core/rig/members/members';
import type { Rig } from '@/core/rig/schema';
import results from './calculix/arms.json';

const STIFF = 1e12;
const track = 1470;
const tireRadius = 330;

/** The same axle as a rig: arms that give as their sizes make them, joints and frame that do not. */
function rigOf({ out, joint: [x, y, z], tube, arm, spread, E, nu }: (typeof results)[number]): Rig {
  const made = {
    length: Math.hypot(x!, y! - out, z!),
    od: arm,
    wall: arm / 2,
    tubes: spread > 0 ? (2 as const) : (1 as const),
    spread,
  };
  const rate = armStiffness(made, { joint: STIFF, frame: STIFF, bracket: STIFF }, E);
  const members = [1, -1].map((s): Member => ({
    type: 'rigid-arm',
    id: s > 0 ? 'arm-left' : 'arm-right',
    chassis: [x!, s * y!, tireRadius + z!],
    rate,
  }));
  return {
    format: 'pellik.rig',
    version: 2,
    end: 'rear',
    tireRadius,
    track,
    axleTorsion: axleTorsion({ od: tube, wall: tube / 2 }, 2 * out, 2 * y!, track, E / (2 * (1 + nu))),
    members,
  };
}

// CalculiX (Debian's calculix-ccx), quadratic B32 beams, an axle's tube with two arms welded on and their joints pinned, rolled by
// half a degree: inputs beside this test, made by scripts/calculix/arms.ts. A rig's arms are springs at their joints.
test.each(results)('$name against beams: what they give against roll', (made) => {
  const mechanism = assemble(rigOf(made));
  const found = bindStiffness(smallMotions(mechanism), mechanism.ride);
  expect(Math.abs(found / made.perRadian - 1)).toBeLessThan(0.05);
});
