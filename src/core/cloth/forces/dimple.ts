import type { Knot } from '../../knot/knot.ts';
import type { Side } from '../mesh/loosePath.ts';
import { asideOf, type ClothMesh } from '../mesh/mesh.ts';
import type { Crease } from './elastic.ts';

/** The dimples that are laid: one crease in the middle, a hair off it, two, or none. */
export type DimpleLaid = 'none' | 'centred' | 'off-centre' | 'double';

/** As deep as this share of the blade's width. */
const dimpleDepth = 0.07;
const shoulderShare = 0.5;
const belowKnotMm = 45;

/** Only a blade that comes out of a tuck has a dimple to lay. */
export function takesDimple({ active, finish }: Knot): boolean {
  return active === 'blade' && finish === 'tuck';
}

/** The crease from the tuck to just below the knot, in a blade of a width, mm; `undefined` where none is laid. */
export function creaseOf(
  knot: Knot,
  { columns, active: strand }: ClothMesh,
  dimple: DimpleLaid,
  bladeMm: number,
  side: Side = 1,
): Crease | undefined {
  if (!takesDimple(knot)) return undefined;
  const firstRow = strand.parts.indexOf('tuck');
  const hangs = strand.parts.lastIndexOf('tuck') + 1;
  if (dimple === 'none' || firstRow < 0) return undefined;
  const depth = Float64Array.from({ length: columns }, (_, c) => dimpleDepth * bladeMm * depthAt(2 * side * asideOf(c, columns), dimple));
  const offset = Float64Array.from({ length: columns }, (_, c) =>
    c === 0 || c === columns - 1 ? 0 : depth[c] - (depth[c - 1] + depth[c + 1]) / 2,
  );
  let lastRow = hangs;
  for (let below = 0; below < belowKnotMm && lastRow < strand.rows - 3; lastRow++) below += strand.rest[lastRow] ?? 0;
  return { firstRow, lastRow, offset };
}

/** Across a blade, from −1 at one edge to 1 at the other: −1 where it lies deepest. */
function depthAt(across: number, dimple: DimpleLaid): number {
  const bump = (at: number, width: number) => Math.exp(-(((across - at) / width) ** 2));
  const one = (at: number) => shoulderShare * (bump(at - 0.7, 0.3) + bump(at + 0.7, 0.3)) - bump(at, 0.35);
  if (dimple === 'double') return 0.7 * (one(-0.45) + one(0.45));
  return one(dimple === 'off-centre' ? 0.12 : 0);
}
