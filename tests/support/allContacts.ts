import type { ClothMesh, Strand } from '../../src/core/cloth/mesh/mesh.ts';
import { cross, dot, minus, size, type Vec3 } from '../../src/core/numeric/vector.ts';

/** Points of one strand nearer to a face along the cloth than so many times its thickness are neighbours. */
const neighbourLayers = 1.75;

/** How deep each point of the cloth is in each triangle of another part, mm, every one against every other: what is not touching has less than nothing. */
export function allDepths(mesh: ClothMesh): number[] {
  const { columns, half } = mesh;
  const at = (v: number): Vec3 => [mesh.position[3 * v]!, mesh.position[3 * v + 1]!, mesh.position[3 * v + 2]!];
  const depths: number[] = [];
  const points = pointsOf(mesh).map(({ ends: [v, w], ...rest }) => ({ ...rest, half: half[v]!, at: between(at(v), at(w), 0.5) }));
  for (const strand of [mesh.active, mesh.standing]) {
    const along = alongOf(strand);
    for (let row = 0; row < strand.rows - 1; row++) {
      for (let column = 0; column < columns - 1; column++) {
        for (const corners of trianglesOf(mesh, strand, row, column)) {
          const triangle = [at(corners[0]), at(corners[1]), at(corners[2])] as const;
          for (const { of, row: its, half: itsHalf, at: point } of points) {
            const thickness = itsHalf + half[corners[0]]!;
            const off = Math.max(along[row]! - along[its]!, along[its]! - along[row + 1]!);
            if (of === strand && off < neighbourLayers * thickness) continue;
            const apart = distanceTo(point, triangle);
            // In the very triangle there is no way out of it.
            if (apart > 1e-6) depths.push(thickness - apart);
          }
        }
      }
    }
  }
  return depths;
}

function alongOf({ rest }: Strand): number[] {
  const along = [0];
  for (const mm of rest) along.push(along.at(-1)! + mm);
  return along;
}

/** Every vertex, and the middles of the borders between rows: each as two vertices, with its strand and row. */
function pointsOf({ columns, active, standing }: ClothMesh) {
  const points: { readonly ends: readonly [number, number]; readonly of: Strand; readonly row: number }[] = [];
  for (const of of [active, standing])
    for (let row = 0; row < of.rows; row++) {
      const first = of.first + row * columns;
      for (let v = first; v < first + columns; v++) points.push({ ends: [v, v], of, row });
      if (row < of.rows - 1) for (const v of [first, first + columns - 1]) points.push({ ends: [v, v + columns], of, row });
    }
  return points;
}

/** Diagonals alternate, from either border to the middle alike; the corner told first lies in the first row. */
function trianglesOf({ columns }: ClothMesh, { first }: Strand, row: number, column: number): [number, number, number][] {
  const corner = first + row * columns + column;
  const fromBorder = Math.min(column, columns - 2 - column);
  const isLeft = column < (columns - 1) / 2;
  const [outer, inner] = isLeft ? [corner, corner + 1] : [corner + 1, corner];
  return (row + fromBorder) % 2 === 0
    ? [
        [outer, inner, outer + columns],
        [inner, inner + columns, outer + columns],
      ]
    : [
        [outer, inner, inner + columns],
        [outer, inner + columns, outer + columns],
      ];
}

/** From a point to a triangle: to its plane where it stands over it, else to the nearest of its sides. */
function distanceTo(point: Vec3, [a, b, c]: readonly [Vec3, Vec3, Vec3]): number {
  const normal = cross(minus(b, a), minus(c, a));
  const area = size(normal);
  const sides = [
    [a, b],
    [b, c],
    [c, a],
  ] as const;
  const isOver = area > 1e-9 && sides.every(([from, to]) => dot(cross(minus(to, from), minus(point, from)), normal) >= 0);
  if (isOver) return Math.abs(dot(minus(point, a), normal)) / area;
  return Math.min(
    ...sides.map(([from, to]) => {
      const side = minus(to, from);
      const share = dot(side, side) > 0 ? Math.min(1, Math.max(0, dot(minus(point, from), side) / dot(side, side))) : 0;
      return size(minus(point, between(from, to, share)));
    }),
  );
}

function between(a: Vec3, b: Vec3, share: number): Vec3 {
  return [a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1]), a[2] + share * (b[2] - a[2])];
}
