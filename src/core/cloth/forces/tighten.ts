import type { ClothMesh, Strand } from '../mesh/mesh.ts';
import { distance } from './pull.ts';

/** How far a row's rest length may move in a step, as a share of it. */
const mostAStep = 0.01;
/** So taut that it lies smooth; the pull itself is elsewhere. */
const tautStrain = 0.005;
/** Cloth is shared out between the rows over about so much of the loose winding to either side, mm. */
const evenOverMm = 32;

/**
 * Takes the cloth away that the pull has made too much: each row's rest length follows the length in which it lies, evened
 * out within the arm, the knot and what hangs, so that none of their rows shrinks to nothing. Loose turns keep at
 * least the length they are held open at. `rowMm` is how far rows lay apart in the loose winding.
 */
export function takeAway(mesh: ClothMesh, strand: Strand, rowMm: number, least: Float64Array | undefined): void {
  const { rows, rest, lengths, entersAt, leavesAt } = strand;
  for (let row = 0; row < rows - 1; row++) lengths[row] = distance(mesh, strand, row);
  // Each pass spreads by the square root of a half row.
  const passes = Math.round(2 * (evenOverMm / rowMm) ** 2);
  evenOut(lengths, 0, entersAt, passes);
  evenOut(lengths, entersAt, leavesAt, passes);
  evenOut(lengths, leavesAt, rows - 1, passes);
  for (let row = 0; row < rows - 1; row++) {
    const now = rest[row];
    const wanted = lengths[row] / (1 + tautStrain);
    const moved = Math.max(now * (1 - mostAStep), Math.min(now * (1 + mostAStep), wanted));
    rest[row] = least ? Math.max(moved, least[row]) : moved;
  }
}

/** Averages each entry with its neighbours, over and over; the sum stays what it is. */
function evenOut(lengths: Float64Array, from: number, to: number, passes: number): void {
  for (let pass = 0; pass < passes; pass++) {
    let before = lengths[from];
    for (let row = from; row < to; row++) {
      const own = lengths[row];
      const after = row < to - 1 ? lengths[row + 1] : own;
      lengths[row] = (before + 2 * own + after) / 4;
      before = own;
    }
  }
}

const risesBy = 0.01;
const fallsBy = 0.05;
/** With so much of its width pressed a row has no freedom left. */
const pressedAtMost = 0.8;
/** What presses a row takes the freedom of so much of the loose winding about it. */
const aboutMm = 10;

/**
 * Follows how free each row is: what touches nothing may be drawn in fast, what is pressed must not be crushed. What hangs
 * below `belowMm` is free whatever it touches, and turns from the move `openFrom` on, which are held open, are not.
 */
export function followFreedom(
  mesh: ClothMesh,
  strand: Strand,
  rowMm: number,
  isPressed: Uint8Array,
  belowMm: number,
  openFrom: number,
): void {
  const { position: p, columns } = mesh;
  const { first, rows, freedom, moves, leavesAt } = strand;
  const middle = Math.floor(columns / 2);
  const aboutRows = Math.round(aboutMm / rowMm);
  for (let row = 0; row < rows; row++) {
    let most = 0;
    for (let k = Math.max(0, row - aboutRows); k <= row + aboutRows && k < rows; k++) {
      let pressed = 0;
      for (let v = first + k * columns; v < first + (k + 1) * columns; v++) pressed += isPressed[v];
      if (pressed > most) most = pressed;
    }
    const hangs = row >= leavesAt && p[3 * (first + row * columns + middle) + 1] < belowMm;
    const isOpen = moves[row] >= openFrom;
    const wanted = hangs ? 1 : isOpen ? 0 : Math.max(0, 1 - most / (pressedAtMost * columns));
    const now = freedom[row];
    freedom[row] = now + Math.max(-fallsBy, Math.min(risesBy, wanted - now));
  }
}
