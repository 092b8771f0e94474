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
    this.solved = new Float64Array(rows);
  }

  /**
   * One step: a bend of radius r goes in by `freeMm2` / r where its rows are free and by `pressedMm2` / r where they are
   * pressed, but no row by more than `mostMm` in any direction.
   */
  step(freeMm2: number, pressedMm2: number, bendLengthMm: number, mostMm: number): void {
    this.measure();
    this.assemble(freeMm2, pressedMm2, bendLengthMm ** 2);
    this.factor();
    const { mesh, strand, solved } = this;
    const { position: p, columns } = mesh;
    const { first, rows } = strand;
    const stride = 3 * columns;
    for (let k = 0; k < stride; k++) {
      const from = 3 * first + k;
      this.solve(p, from, stride);
      for (let row = 0; row < rows; row++) {
        const at = from + row * stride;
        const way = solved[row] - p[at];
        p[at] += Math.max(-mostMm, Math.min(mostMm, way));
      }
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
      mass[row] = isHeld ? heldMass : own / (pressedMm2 * (freeMm2 / pressedMm2) ** freedom[row]);
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

  /** One coordinate of one column, of which the first row's is at `from`. */
  private solve(p: Float64Array, from: number, stride: number): void {
    const { diagonal, beside, further, mass, solved } = this;
    const { rows } = this.strand;
    for (let i = 0; i < rows; i++) {
      let x = mass[i] * p[from + i * stride];
      if (i > 0) x -= beside[i - 1] * solved[i - 1];
      if (i > 1) x -= further[i - 2] * solved[i - 2];
      solved[i] = x;
    }
    for (let i = rows - 1; i >= 0; i--) {
      let x = solved[i] / diagonal[i];
      if (i < rows - 1) x -= beside[i] * solved[i + 1];
      if (i < rows - 2) x -= further[i] * solved[i + 2];
      solved[i] = x;
    }
  }
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
