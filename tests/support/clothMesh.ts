import type { SeenCloth, SeenStrand } from '../../src/core/cloth/mesh/compact.ts';
import { type ClothMesh, meshOf, type Strand, strandOf } from '../../src/core/cloth/mesh/mesh.ts';

/** A mesh that was kept for looking at, as one that can be checked again. */
export function meshFrom({ columns, active, standing }: SeenCloth): ClothMesh {
  const strand = ({ parts, rest }: SeenStrand, first: number): Strand =>
    strandOf(
      first,
      parts,
      parts.map(() => 0),
      rest,
      0,
    );
  const position = Float64Array.from([...active.position, ...standing.position]);
  return meshOf(columns, position, [strand(active, 0), strand(standing, active.rows * columns)]);
}
