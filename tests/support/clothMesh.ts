import type { SeenCloth, SeenStrand } from '../../src/core/cloth/compact.ts';
import type { ClothMesh, Strand } from '../../src/core/cloth/mesh.ts';

/** A mesh that was kept for looking at, as one that can be checked again. */
export function meshOf({ columns, active, standing }: SeenCloth): ClothMesh {
  const strand = ({ rows, parts, rest }: SeenStrand, first: number): Strand => ({
    first,
    rows,
    parts,
    moves: parts.map(() => 0),
    rest,
    lengths: new Float64Array(rest.length),
    width: new Float64Array(rows),
  });
  const count = (active.rows + standing.rows) * columns;
  const position = new Float64Array(3 * count);
  position.set(active.position);
  position.set(standing.position, active.position.length);
  return {
    columns,
    count,
    position,
    before: position.slice(),
    normal: new Float64Array(3 * count),
    half: new Float64Array(count),
    active: strand(active, 0),
    standing: strand(standing, active.rows * columns),
  };
}
