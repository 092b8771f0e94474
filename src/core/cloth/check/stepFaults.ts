import type { Knot } from '../../knot/knot.ts';
import { passesOf } from '../../knot/passes.ts';
import type { ClothMesh } from '../mesh/mesh.ts';
import { crossings } from './crossings.ts';
import { wrongOrders } from './passOrder.ts';

/** What can be wrong with a step that is settled after whole moves. */
export type StepFault = 'through-itself' | 'wrong-order' | 'wrong-face' | 'end-elsewhere';

/** The middle of a pass tells which way it turns its face. */
const middle = { from: 0.3, to: 0.7 } as const;
/** An end at a side hangs at least so far from the middle, mm. */
const asideMm = 12;

/**
 * Holds a settled step to its word: no cloth through cloth; passes across the front over all that they cross and those behind under it;
 * the newest pass with its face to the front where it passes in front and its seam side where it passes behind; and the end hanging
 * where the step says.
 */
export function stepFaults(mesh: ClothMesh, knot: Knot, done: number): StepFault[] {
  const faults: StepFault[] = [];
  if (crossings(mesh) > 0) faults.push('through-itself');
  if (wrongOrders(mesh, knot).length > 0) faults.push('wrong-order');
  const pass = passesOf(knot)[done - 1];
  if (!pass) return faults;
  const { position: p, normal: n, columns, active } = mesh;
  const centre = Math.floor(columns / 2);
  const at = (row: number, axis: number, of = p) => of[3 * (active.first + row * columns + centre) + axis];
  const rows = active.moves.flatMap((move, row) => (move === done ? [row] : []));
  const inner = rows.slice(Math.floor(middle.from * rows.length), Math.ceil(middle.to * rows.length));
  const facing = inner.reduce((sum, row) => sum + at(row, 2, n), 0) / inner.length;
  if (facing > 0 !== (pass.side === 'front')) faults.push('wrong-face');
  const still = mesh.standing;
  const stillAt = p[3 * (still.first + still.entersAt * columns + centre) + 2];
  const end = active.rows - 1;
  const [x, z] = [at(end, 0), at(end, 2)];
  const isThere =
    pass.region === 'L'
      ? x < -asideMm
      : pass.region === 'R'
        ? x > asideMm
        : pass.side === 'behind'
          ? z > p[3 * (still.first + (still.rows - 1) * columns + centre) + 2]
          : z < stillAt;
  if (!isThere) faults.push('end-elsewhere');
  return faults;
}
