import type { Knot } from '../../knot/knot.ts';
import type { Vec3 } from '../../numeric/vector.ts';
import { agree, alexanderAt } from '../../topology/alexander.ts';
import type { ClothMesh, Strand } from '../mesh/mesh.ts';

const values = [123_457n, 987_654_321n] as const;
/** Where the loop is closed behind the neck, and the tails below, mm. */
const nape: readonly Vec3[] = [
  [400, 500, -900],
  [-400, 500, -900],
];
const below: Vec3 = [0, -700, 0];
const far: readonly Vec3[] = [
  [8000, -8000, 9000],
  [8000, 8000, 9000],
];

/** An end that is hidden under the collar is reached from above, around everything. */
const aboveCollar: Vec3 = [30, 900, -65];
const besideAll: readonly Vec3[] = [
  [4000, -700, 0],
  [4000, 900, -65],
];

/** What identifies how the cloth is knotted: invariants of the working strand alone, and of the whole tie. */
export type KnotPrint = readonly bigint[];

export function knotPrint(mesh: ClothMesh, { finish }: Knot): KnotPrint {
  const active = centreline(mesh, mesh.active);
  const standing = centreline(mesh, mesh.standing);
  const isHidden = finish === 'collar';
  // An end that is hidden lies on an arm: that arm is first led away from it.
  const alone = isHidden ? [...nape.slice(0, 1), ...active, aboveCollar, ...far.slice(1)] : [...active, ...far];
  const whole = [...standing, below, ...(isHidden ? [...besideAll, aboveCollar] : []), ...active.toReversed(), ...nape];
  return [alone, whole].flatMap((curve) => values.map((value) => alexanderAt(curve, value)));
}

/** Whether two meshes are knotted alike, as far as the invariants tell: what differs in them is another knot beyond doubt. */
export function sameKnot(one: KnotPrint, other: KnotPrint): boolean {
  return one.every((value, i) => agree(value, other[i] ?? 0n, values[i % values.length] ?? 2n));
}

function centreline({ position: p, columns }: ClothMesh, { first, rows }: Strand): Vec3[] {
  const middle = Math.floor(columns / 2);
  return Array.from({ length: rows }, (_, row): Vec3 => {
    const i = 3 * (first + row * columns + middle);
    return [p[i] ?? 0, p[i + 1] ?? 0, p[i + 2] ?? 0];
  });
}
