/** More cells than this are not laid: they grow instead. */
const mostCells = 1 << 17;

/** Points in space, laid out by the cell that they are in: what lies near a place is found in a few runs of them. */
export class CellGrid {
  /** Numbers of the points in the order of their cells, and where each of them is, mm. */
  readonly points: Int32Array;
  readonly at: Float64Array;
  /** Where on the grid each cell begins; its end is where the next begins. */
  readonly start = new Int32Array(mostCells + 1);
  private readonly next = new Int32Array(mostCells);
  private readonly cell: Int32Array;
  private readonly low = new Float64Array(3);
  private readonly high = new Float64Array(3);
  /** How many cells lie along each axis. */
  private readonly cells = new Int32Array(3);
  private cellMm = 1;

  constructor(size: number) {
    this.points = new Int32Array(size);
    this.at = new Float64Array(3 * size);
    this.cell = new Int32Array(size);
  }

  /** Lays out points given as x, y, z, in cells of at least the given size. */
  lay(p: Float64Array, leastCellMm: number): void {
    const { points, at, start, next, cell, low, cells } = this;
    this.divide(p, leastCellMm);
    const all = cells[0] * cells[1] * cells[2];
    start.fill(0, 0, all + 1);
    for (let i = 0; i < cell.length; i++) {
      const x = Math.floor((p[3 * i] - low[0]) / this.cellMm);
      const y = Math.floor((p[3 * i + 1] - low[1]) / this.cellMm);
      const z = Math.floor((p[3 * i + 2] - low[2]) / this.cellMm);
      const place = this.runAt(x, y) + z;
      cell[i] = place;
      start[place + 1] += 1;
    }
    for (let k = 0; k < all; k++) {
      next[k] = start[k];
      start[k + 1] += start[k];
    }
    for (let i = 0; i < cell.length; i++) {
      const place = cell[i];
      const slot = next[place];
      next[place] = slot + 1;
      points[slot] = i;
      at[3 * slot] = p[3 * i];
      at[3 * slot + 1] = p[3 * i + 1];
      at[3 * slot + 2] = p[3 * i + 2];
    }
  }

  /** The cell along an axis; what lies beyond all points counts to the outermost. */
  cellAt(axis: 0 | 1 | 2, mm: number): number {
    const i = Math.floor((mm - this.low[axis]) / this.cellMm);
    return Math.max(0, Math.min(i, this.cells[axis] - 1));
  }

  /** Number of the first of the cells at an x and a y: those behind it, along z, follow it on the grid. */
  runAt(x: number, y: number): number {
    return (x * this.cells[1] + y) * this.cells[2];
  }

  private divide(p: Float64Array, leastCellMm: number): void {
    const { low, high, cells } = this;
    low.fill(Number.POSITIVE_INFINITY);
    high.fill(Number.NEGATIVE_INFINITY);
    for (let i = 0; i < p.length; i += 3) {
      for (let axis = 0; axis < 3; axis++) {
        const mm = p[i + axis];
        if (mm < low[axis]) low[axis] = mm;
        if (mm > high[axis]) high[axis] = mm;
      }
    }
    this.cellMm = leastCellMm;
    for (;;) {
      let all = 1;
      for (let axis = 0; axis < 3; axis++) {
        cells[axis] = Math.floor((high[axis] - low[axis]) / this.cellMm) + 1;
        all *= cells[axis];
      }
      if (all <= mostCells) return;
      this.cellMm *= 1.25;
    }
  }
}
