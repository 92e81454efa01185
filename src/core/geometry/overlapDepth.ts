import { cross, dot, minus, unit, type Point } from './vector';

/** The farthest point of a convex body in a direction (not of unit length), written into `out`. */
export type Support = (x: number, y: number, z: number, out: Point) => void;

/** A face of the hull by its corners, counter-clockwise from outside, its normal (unit) and how far it is from the origin, mm. */
type Face = { corners: [Point, Point, Point]; normal: Point; out: number };

/** How finely the least way out is found, mm; where it is alike all round, no more corners than these are looked at. */
const FINE = 1e-3;
const MOST_CORNERS = 300;
/** Corners nearer to a plane than this are in it, mm. */
const FLAT = 1e-6;

/**
 * Least way by which one of two overlapping convex bodies must be moved to be clear of the other, mm; 0 where they only touch, or
 * where their difference is flat. The difference of the two is closed in by a hull of its farthest points, whose face nearest to the
 * origin is pushed out until it stands on the surface: van den Bergen's expanding polytope (2001), from memory.
 */
export function overlapDepth(a: Support, b: Support): number {
  const [onA, onB]: [Point, Point] = [
    [0, 0, 0],
    [0, 0, 0],
  ];
  const farthest = ([x, y, z]: Point): Point => {
    a(x, y, z, onA);
    b(-x, -y, -z, onB);
    return minus(onA, onB);
  };
  let faces = firstHull(AROUND.map(farthest));
  if (!faces) return 0;
  let least = Infinity;
  let nearest = -Infinity;
  for (let n = 0; n < MOST_CORNERS; n++) {
    const face: Face = faces.reduce((p, q) => (q.out < p.out ? q : p));
    // Round the origin a hull only grows: where rounding has torn it, what was found so far is as good as it gets.
    if (nearest > 0 && face.out < nearest - FINE) break;
    nearest = face.out;
    const corner = farthest(face.normal);
    const out = dot(corner, face.normal);
    least = Math.min(least, out);
    if (least - face.out <= FINE) break;
    const next = pushedOut(faces, face, corner);
    if (!next) break;
    faces = next;
  }
  return Math.max(0, least);
}

/** The axes and the diagonals of a cube. */
const AROUND: Point[] = [-1, 0, 1].flatMap((x) =>
  [-1, 0, 1].flatMap((y) => [-1, 0, 1].flatMap((z): Point[] => (x || y || z ? [[x, y, z]] : []))),
);

/** The four faces between four corners as far apart as there are; null where all lie in a plane. */
function firstHull(corners: Point[]): Face[] | null {
  const most = (of: (p: Point) => number) => corners.reduce((p, q) => (of(q) > of(p) ? q : p));
  const a = corners[0]!;
  const b = most((p) => Math.hypot(...minus(p, a)));
  const c = most((p) => Math.hypot(...cross(minus(b, a), minus(p, a))));
  const across = cross(minus(b, a), minus(c, a));
  const area = Math.hypot(...across);
  if (!(area > FLAT)) return null;
  const height = (p: Point) => dot(across, minus(p, a)) / area;
  const d = most((p) => Math.abs(height(p)));
  if (!(Math.abs(height(d)) > FLAT)) return null;
  const [p, q, r] = height(d) > 0 ? [a, c, b] : [a, b, c];
  return [faceOf(p, q, r), faceOf(p, d, q), faceOf(q, d, r), faceOf(r, d, p)];
}

function faceOf(a: Point, b: Point, c: Point): Face {
  const normal = unit(cross(minus(b, a), minus(c, a)));
  return { corners: [a, b, c], normal, out: dot(normal, a) };
}

/**
 * The hull with one more corner: what that sees of it, from one face on to the next, goes, and the rim of what goes is joined to it. Null
 * where that is not one ring. Of faces that lie almost in one plane rounding may say that it sees one here and one there: only those that
 * hang together with the first go.
 */
function pushedOut(faces: Face[], first: Face, corner: Point): Face[] | null {
  const sees = ({ normal, out }: Face) => dot(normal, corner) > out + FLAT;
  const gone = new Set([first]);
  // A set that grows is gone through to its end.
  for (const face of gone)
    for (const edge of edgesOf(face)) {
      const next = faces.find((other) => runsBack(other, edge));
      if (next && sees(next)) gone.add(next);
    }
  const edges = [...gone].flatMap(edgesOf);
  // An edge between two faces that both go is run through both ways.
  const rim = edges.filter(([p, q]) => !edges.some(([r, s]) => r === q && s === p));
  if (!isRing(rim)) return null;
  return [...faces.filter((face) => !gone.has(face)), ...rim.map(([p, q]) => faceOf(p, q, corner))];
}

type Edge = [Point, Point];
const edgesOf = ({ corners: [a, b, c] }: Face): Edge[] => [
  [a, b],
  [b, c],
  [c, a],
];
/** Whether a face has an edge the other way round. */
const runsBack = ({ corners: [a, b, c] }: Face, [p, q]: Edge): boolean =>
  (a === q && b === p) || (b === q && c === p) || (c === q && a === p);

function isRing(edges: Edge[]): boolean {
  const after = new Map(edges);
  let [at] = edges[0] ?? [];
  let length = 0;
  do {
    at = at && after.get(at);
    length++;
  } while (at && at !== edges[0]![0] && length <= edges.length);
  return at !== undefined && length === edges.length && after.size === edges.length;
}
