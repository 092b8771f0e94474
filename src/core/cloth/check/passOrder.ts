import type { Knot } from '../../knot/knot.ts';
import { passesOf } from '../../knot/passes.ts';
import type { Part } from '../mesh/loosePath.ts';
import type { ClothMesh, Strand } from '../mesh/mesh.ts';

/** Nearer along the cloth than this a pass and what it crosses are one fold, mm. */
const apartMm = 30;
/** At its ends a pass goes round an edge, from the front to the back: only its middle tells on which side it lies. */
const middle = { from: 0.2, to: 0.8 } as const;

/** Where a pass lies on the wrong side of a layer that was there before it. */
export interface WrongOrder {
  /** The pass, from 1, and what it crosses: an earlier pass, 0 for an arm of the same strand, −1 for the strand that stands still. */
  readonly pass: number;
  readonly crossed: number;
}

interface Piece {
  readonly a: readonly [x: number, y: number, z: number];
  readonly b: readonly [x: number, y: number, z: number];
  readonly alongMm: number;
}

/**
 * Seen from the front, a pass across the front lies over every earlier layer that it crosses, and one behind lies under it: every place
 * where that is not so, along the middle lines of the cloth.
 */
export function wrongOrders(mesh: ClothMesh, knot: Knot): WrongOrder[] {
  const passes = passesOf(knot);
  const own = pieces(mesh, mesh.active);
  const still = pieces(mesh, mesh.standing);
  const { moves, parts, entersAt } = mesh.active;
  const wrong: WrongOrder[] = [];
  const rowsOf = passes.map((_, i) => middleRows(own.flatMap((_, row) => (moves[row] === i + 1 && isWound(parts[row]) ? [row] : []))));
  passes.forEach(({ side }, i) => {
    for (const row of rowsOf[i] ?? []) {
      const piece = own[row];
      if (!piece) continue;
      const under = (other: Piece, crossed: number) => {
        const off = over(piece, other);
        if (off !== undefined && off > 0 !== (side === 'front')) wrong.push({ pass: i + 1, crossed });
      };
      const arm = own.slice(0, entersAt).keys();
      for (const before of [...arm, ...rowsOf.slice(0, i).flat()]) {
        const other = own[before];
        if (other && Math.abs(other.alongMm - piece.alongMm) > apartMm) under(other, moves[before] ?? 0);
      }
      for (const other of still) under(other, -1);
    }
  });
  return wrong;
}

function isWound(part: Part | undefined): boolean {
  return part !== 'tuck' && part !== 'hang';
}

function middleRows(rows: readonly number[]): readonly number[] {
  return rows.slice(Math.floor(middle.from * rows.length), Math.ceil(middle.to * rows.length));
}

function pieces({ position: p, columns }: ClothMesh, { first, rows, rest }: Strand): Piece[] {
  const at = (row: number) => {
    const i = 3 * (first + row * columns + Math.floor(columns / 2));
    return [p[i], p[i + 1], p[i + 2]] as const;
  };
  let alongMm = 0;
  return Array.from({ length: rows - 1 }, (_, row) => {
    const piece = { a: at(row), b: at(row + 1), alongMm };
    alongMm += rest[row];
    return piece;
  });
}

/** How far toward the eye one piece lies over another where they cross, seen from the front; `undefined` where they do not. */
function over({ a, b }: Piece, { a: c, b: d }: Piece): number | undefined {
  const [rx, ry, sx, sy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const det = rx * sy - ry * sx;
  if (Math.abs(det) < 1e-9) return undefined;
  const t = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / det;
  const u = ((c[0] - a[0]) * ry - (c[1] - a[1]) * rx) / det;
  if (t < 0 || t >= 1 || u < 0 || u >= 1) return undefined;
  return a[2] + t * (b[2] - a[2]) - c[2] - u * (d[2] - c[2]);
}
