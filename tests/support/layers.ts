import { measureNormals } from '../../src/core/cloth/forces/elastic.ts';
import type { LooseStrand } from '../../src/core/cloth/mesh/loosePath.ts';
import { type ClothMesh, layLoose } from '../../src/core/cloth/mesh/mesh.ts';
import type { Vec3 } from '../../src/core/numeric/vector.ts';

/** How finely the test strips are laid; how thick they are, mm. */
export const grid = { rowMm: 6, columns: 5 };
export const layerMm = 2.4;
export const noJitter = () => 0;

/** A flat strip along x at a height, its face up. */
export function flat(z: number, lengthMm = 60): LooseStrand {
  const points: Vec3[] = [0, 1].map((end) => [end * lengthMm, 0, z]);
  return { points, normals: points.map((): Vec3 => [0, 0, 1]), parts: ['turn', 'turn'], moves: [1, 1] };
}

/** Two flat strips over each other, so far apart. */
export function twoLayers(gapMm: number, rowMm = grid.rowMm): ClothMesh {
  const mesh = layLoose([flat(0), flat(gapMm)], { ...grid, rowMm }, 24, noJitter);
  measureNormals(mesh, mesh.active);
  measureNormals(mesh, mesh.standing);
  mesh.half.fill(layerMm / 2);
  return mesh;
}

export const heights = ({ position }: ClothMesh, from: number, to: number) =>
  Array.from({ length: to - from }, (_, i) => position[3 * (from + i) + 2] ?? 0);
export const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
