/**
 * Cuts tubes against barrels with the solid geometry of `manifold-3d`, in a process of its own, as it is a module that Jest does not load.
 * Reads saddles as JSON from its input; prints, of each, the corners of the cut on the tube's outside: turns round the tube from its near
 * side, radians, and places along it from the barrel's axis, mm.
 */
import { readFileSync } from 'node:fs';
import Module from 'manifold-3d';

const kernel = await Module();
kernel.setup();
const { Manifold } = kernel;

/** So many sides that a chord is within a thousandth of a millimetre of its circle. */
const SIDES = 720;
const LONG = 600;

const cut = ({ od, barrel, angleDeg, offset }) => {
  const lean = (angleDeg * Math.PI) / 180;
  const tube = Manifold.cylinder(LONG, od / 2, od / 2, SIDES);
  // The tube stands up; the barrel's axis leans from it toward x, and passes beside it.
  const solid = Manifold.cylinder(LONG, barrel / 2, barrel / 2, SIDES, true)
    .rotate([0, angleDeg, 0])
    .translate([0, offset, 0]);
  const { vertProperties, numProp } = tube.subtract(solid).getMesh();
  const corners = [];
  for (let i = 0; i < vertProperties.length; i += numProp) {
    const [x, y, z] = vertProperties.slice(i, i + 3);
    const onTube = Math.abs(Math.hypot(x, y) - od / 2) < 1e-3 && z > 0 && z < LONG - 1;
    // The tube may stick out of the barrel's far side too.
    const isNear = z * Math.sin(lean) > x * Math.cos(lean);
    if (!onTube || !isNear) continue;
    corners.push([Math.atan2(y, x), z]);
  }
  return corners;
};

process.stdout.write(JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map(cut)));
