import type { ClothMesh, Strand } from '../mesh/mesh.ts';

/** Rows nearer than this count as so far apart, mm: none pulls without bounds. */
const leastApartMm = 0.3;
/** What is held does not give. */
const heldMass = 1e12;

/**
 * The pull along a strand and its stiffness against bending along itself: one implicit step down the energy of a rope
 * under tension and a rod, ½ Σ |Δx|² / h + ½ b² Σ h |κ|², with h the distance of the rows and b the bending length.
 * Solved for all rows at once, so that neither how far a pull reaches nor how strong it is hangs on the grid.
 */
export class Pull {
  private readonly apart: Float64Array;
  /** The five bands of what is solved: on the diagonal, beside it, and one further; then its LDLᵀ. */
  private readonly diagonal: Float64Array;
  private readonly beside: Float64Array;
  private readonly further: Float64Array;
  private readonly mass: Float64Array;
  /** Where each row wants to be, coordinate by coordinate as it stands in the mesh, between two rows of nothing at either end. */
  private readonly solved: Float64Array;

  constructor(
    private readonly mesh: ClothMesh,
    private readonly strand: Strand,
    /** So many rows of each end do not move. */
    private readonly heldRows: number,
  ) {
    const { rows } = strand;
    this.apart = new Float64Array(rows);
    this.diagonal = new Float64Array(rows);
    this.beside = new Float64Array(rows);
    this.further = new Float64Array(rows);
    this.mass = new Float64Array(rows);
    this.solved = new Float64Array(3 * mesh.columns * (rows + 4));
  }

  /**
   * One step: a bend of radius r goes in by `freeMm2` / r where its rows are free and by `pressedMm2` / r where they are
   * pressed, but no row by more than `mostMm` in any direction.
   */
  step(freeMm2: number, pressedMm2: number, bendLengthMm: number, mostMm: number): void {
    this.measure();
    this.assemble(freeMm2, pressedMm2, bendLengthMm ** 2);
    this.factor();
    this.solve();
    const { mesh, strand, solved } = this;
    const { position: p, columns } = mesh;
    const from = 3 * strand.first;
    const solvedFrom = 6 * columns;
    for (let i = 0; i < 3 * columns * strand.rows; i++) {
      const way = solved[solvedFrom + i] - p[from + i];
      p[from + i] += Math.max(-mostMm, Math.min(mostMm, way));
    }
  }

  /** How far rows are apart: the mean over the arm, the knot, and what hangs, so that rows nearer than that spread again. */
  private measure(): void {
    const { entersAt, leavesAt, rows } = this.strand;
    this.measureMean(0, entersAt);
    this.measureMean(entersAt, leavesAt);
    this.measureMean(leavesAt, rows - 1);
  }

  private measureMean(from: number, to: number): void {
    const { mesh, strand, apart } = this;
    let sum = 0;
    for (let row = from; row < to; row++) sum += distance(mesh, strand, row);
    apart.fill(Math.max(leastApartMm, sum / (to - from)), from, to);
  }

  private assemble(freeMm2: number, pressedMm2: number, stiffness: number): void {
    const { apart, diagonal, beside, further, mass, heldRows } = this;
    const { rows, freedom } = this.strand;
    beside.fill(0);
    further.fill(0);
    for (let row = 0; row < rows; row++) {
      const own = ((row > 0 ? apart[row - 1] : 0) + (row < rows - 1 ? apart[row] : 0)) / 2;
      const isHeld = row < heldRows || row >= rows - heldRows;
      mass[row] = isHeld ? heldMass : own / (pressedMm2 * powerOf(freeMm2 / pressedMm2, freedom[row]));
      diagonal[row] = mass[row];
    }
    for (let row = 0; row < rows - 1; row++) {
      const tension = 1 / apart[row];
      diagonal[row] += tension;
      diagonal[row + 1] += tension;
      beside[row] -= tension;
    }
    for (let row = 1; row < rows - 1; row++) {
      const before = 1 / apart[row - 1];
      const after = 1 / apart[row];
      const here = -before - after;
      const weight = (2 * stiffness) / (apart[row - 1] + apart[row]);
      diagonal[row - 1] += weight * before * before;
      diagonal[row] += weight * here * here;
      diagonal[row + 1] += weight * after * after;
      beside[row - 1] += weight * before * here;
      beside[row] += weight * here * after;
      further[row - 1] += weight * before * after;
    }
  }

  private factor(): void {
    const { diagonal, beside, further } = this;
    for (let i = 0; i < diagonal.length; i++) {
      let d = diagonal[i];
      let next = beside[i];
      if (i > 0) {
        const last = beside[i - 1] * diagonal[i - 1];
        d -= beside[i - 1] * last;
        next -= further[i - 1] * last;
      }
      if (i > 1) d -= further[i - 2] ** 2 * diagonal[i - 2];
      diagonal[i] = d;
      beside[i] = next / d;
      further[i] /= d;
    }
  }

  /** All coordinates of a row at once: down all rows, and up again. */
  private solve(): void {
    const { diagonal, beside, further, mass, solved, mesh, strand } = this;
    const { position: p, columns } = mesh;
    const { rows, first } = strand;
    const each = 3 * columns;
    for (let row = 0; row < rows; row++) {
      const own = mass[row];
      const ofLast = row > 0 ? beside[row - 1] : 0;
      const ofOneBefore = row > 1 ? further[row - 2] : 0;
      const from = 3 * first + row * each;
      const at = (row + 2) * each;
      for (let k = 0; k < each; k++)
        solved[at + k] = own * p[from + k] - ofLast * solved[at - each + k] - ofOneBefore * solved[at - 2 * each + k];
    }
    for (let row = rows - 1; row >= 0; row--) {
      const own = diagonal[row];
      const ofNext = row < rows - 1 ? beside[row] : 0;
      const ofOneAfter = row < rows - 2 ? further[row] : 0;
      const at = (row + 2) * each;
      for (let k = 0; k < each; k++)
        solved[at + k] = solved[at + k] / own - ofNext * solved[at + each + k] - ofOneAfter * solved[at + 2 * each + k];
    }
  }
}

/** A power of a figure from 0 to 1: mostly it is one or the other. */
function powerOf(figure: number, power: number): number {
  if (power === 0) return 1;
  return power === 1 ? figure : figure ** power;
}

/** From a row to the next as they lie, along the middle, mm. */
export function distance({ position: p, columns }: ClothMesh, { first }: Strand, row: number): number {
  const i = 3 * (first + row * columns + Math.floor(columns / 2));
  const j = i + 3 * columns;
  const dx = p[j] - p[i];
  const dy = p[j + 1] - p[i + 1];
  const dz = p[j + 2] - p[i + 2];
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
}
