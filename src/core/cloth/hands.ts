import type { Knot } from '../knot/knot.ts';
import { shirtZMm } from './body.ts';
import type { Crease } from './elastic.ts';
import type { ClothMesh } from './mesh.ts';

/** What is imposed on the cloth as hands and collar do it, on top of what tension and contact give. */

const pressForce = 0.002;

/** Presses the whole knot gently toward the shirt. */
export function pressToShirt({ position: p, count }: ClothMesh): void {
  for (let i = 0; i < 3 * count; i += 3) {
    const y = p[i + 1] as number;
    if (y > -70 && y < 50 && (p[i + 2] as number) > shirtZMm) p[i + 2] = (p[i + 2] as number) - pressForce;
  }
}

/** The dimples that are laid: one crease in the middle, a hair off it, two, or none. */
export type DimpleLaid = 'none' | 'centred' | 'off-centre' | 'double';

const dimpleDepthMm = 5;
const shoulderShare = 0.5;
const belowKnotMm = 45;

/** Only a blade that comes out of a tuck has a dimple to lay. */
export function takesDimple({ active, finish }: Knot): boolean {
  return active === 'blade' && finish === 'tuck';
}

/** The crease from the tuck to just below the knot; `undefined` where none is laid. */
export function creaseOf(knot: Knot, { columns, active: strand }: ClothMesh, dimple: DimpleLaid): Crease | undefined {
  if (!takesDimple(knot)) return undefined;
  const firstRow = strand.parts.indexOf('tuck');
  const hangs = strand.parts.lastIndexOf('tuck') + 1;
  if (dimple === 'none' || firstRow < 0) return undefined;
  const depth = Float64Array.from({ length: columns }, (_, c) => depthAt((2 * c) / (columns - 1) - 1, dimple));
  const offset = Float64Array.from({ length: columns }, (_, c) =>
    c === 0 || c === columns - 1 ? 0 : (depth[c] as number) - ((depth[c - 1] as number) + (depth[c + 1] as number)) / 2,
  );
  let lastRow = hangs;
  for (let below = 0; below < belowKnotMm && lastRow < strand.rows - 3; lastRow++) below += strand.rest[lastRow] ?? 0;
  return { firstRow, lastRow, offset };
}

function depthAt(across: number, dimple: DimpleLaid): number {
  const bump = (at: number, width: number) => Math.exp(-(((across - at) / width) ** 2));
  const one = (at: number) => -dimpleDepthMm * bump(at, 0.35) + dimpleDepthMm * shoulderShare * (bump(at - 0.7, 0.3) + bump(at + 0.7, 0.3));
  if (dimple === 'double') return 0.7 * (one(-0.45) + one(0.45));
  return one(dimple === 'off-centre' ? 0.12 : 0);
}
