import { invert } from './dense.ts';
import { add, addBothWays, type Sparse, type Symmetric } from './symmetric.ts';

/** A symmetric positive definite matrix, taken apart so that it can be solved again and again. */
export interface Eliminated {
  readonly solve: (right: Float64Array) => Float64Array;
  /** v A⁻¹ w, without solving for more than v and w reach. */
  readonly between: (v: Sparse, w: Sparse) => number;
  /** How many places were eliminated one by one, and how many were left to be inverted together. */
  readonly oneByOne: number;
  readonly together: number;
}

/** One place eliminated: its pivot, and what it was tied to. */
interface Column {
  readonly place: number;
  readonly pivot: number;
  readonly at: Int32Array;
  /** Entries of L: shares of the pivot. */
  readonly by: Float64Array;
}

/** From this share of others that even the loneliest place is tied to, the rest is inverted as a whole. */
const crowded = 1 / 25;

/**
 * L D Lᵀ by elimination on the graph of the matrix: the place tied to fewest others first (greedy minimum degree), its
 * neighbours then tied to each other; `late` places, which nearly all others are tied to, are never counted and come last.
 * What is left once everything is tied to everything is small, and is inverted as it stands. Changes the matrix.
 */
export function eliminate(matrix: Symmetric, late: ReadonlySet<number>): Eliminated {
  const { diagonal, rows } = matrix;
  const size = diagonal.length;
  const early = Array.from({ length: size }, (_, i) => i).filter((i) => !late.has(i));
  const degree = new Int32Array(size);
  for (const i of early) for (const j of rows[i].keys()) if (!late.has(j)) degree[i]++;
  const queue = queueOf(early, degree);
  const lateOnes = squareOf([...late], rows);
  const columns: Column[] = [];
  let left = early.length;
  for (let place = queue.next(); place !== undefined; place = queue.next()) {
    if (degree[place] > crowded * (left - 1) && degree[place] > 0) break;
    columns.push(eliminateOne(matrix, place, lateOnes, degree, queue.moved));
    left--;
  }
  const gone = new Set(columns.map(({ place }) => place));
  const core = Array.from({ length: size }, (_, i) => i).filter((i) => !gone.has(i));
  return solverOf(size, columns, core, inverseOf(matrix, core, lateOnes));
}

function eliminateOne(
  { diagonal, rows }: Symmetric,
  place: number,
  { orderOf, count, values }: Square,
  degree: Int32Array,
  moved: (place: number) => void,
): Column {
  const row = rows[place];
  const pivot = diagonal[place];
  const at = Int32Array.from(row.keys());
  const by = Float64Array.from(row.values(), (value) => value / pivot);
  for (let i = 0; i < at.length; i++) {
    const a = at[i];
    const lateA = orderOf[a];
    diagonal[a] -= by[i] * by[i] * pivot;
    for (let j = 0; j < i; j++) {
      const b = at[j];
      const lateB = orderOf[b];
      const value = -by[i] * by[j] * pivot;
      if (lateA >= 0 && lateB >= 0) {
        values[lateA * count + lateB] += value;
        values[lateB * count + lateA] += value;
      } else if (lateA >= 0) {
        add(rows[b], a, value);
      } else if (lateB >= 0) {
        add(rows[a], b, value);
      } else {
        if (!rows[a].has(b)) {
          degree[a]++;
          degree[b]++;
        }
        addBothWays(rows, a, b, value);
      }
    }
  }
  row.clear();
  for (const a of at) {
    if (orderOf[a] >= 0) continue;
    rows[a].delete(place);
    degree[a]--;
    moved(a);
  }
  return { place, pivot, at, by };
}

/** The late places among themselves, entry by entry, without their diagonal. */
interface Square {
  /** A place’s row in it; −1 for others. */
  readonly orderOf: Int32Array;
  readonly count: number;
  readonly values: Float64Array;
}

function squareOf(places: readonly number[], rows: Symmetric['rows']): Square {
  const orderOf = new Int32Array(rows.length).fill(-1);
  places.forEach((place, i) => {
    orderOf[place] = i;
  });
  const values = new Float64Array(places.length ** 2);
  places.forEach((place, i) => {
    for (const [other, value] of rows[place]) if (orderOf[other] >= 0) values[i * places.length + orderOf[other]] = value;
  });
  return { orderOf, count: places.length, values };
}

/** Places by how many others they are tied to, the fewest first; of as many, the one that came to it first. */
function queueOf(places: readonly number[], degree: Int32Array) {
  const buckets: Set<number>[] = [];
  const inBucket = new Map<number, number>();
  let lowest = 0;
  const put = (place: number) => {
    const bucket = degree[place];
    while (buckets.length <= bucket) buckets.push(new Set());
    buckets[bucket].add(place);
    inBucket.set(place, bucket);
    lowest = Math.min(lowest, bucket);
  };
  for (const place of places) put(place);
  return {
    next(): number | undefined {
      while (lowest < buckets.length && buckets[lowest].size === 0) lowest++;
      if (lowest >= buckets.length) return undefined;
      const [place] = buckets[lowest];
      buckets[lowest].delete(place);
      inBucket.delete(place);
      return place;
    },
    moved(place: number): void {
      const bucket = inBucket.get(place);
      if (bucket === undefined || bucket === degree[place]) return;
      buckets[bucket].delete(place);
      put(place);
    },
  };
}

function inverseOf({ diagonal, rows }: Symmetric, core: readonly number[], { orderOf, count, values }: Square): Float64Array {
  const size = core.length;
  const placeIn = new Map(core.map((place, i) => [place, i]));
  const dense = new Float64Array(size * size);
  core.forEach((place, i) => {
    dense[i * size + i] = diagonal[place];
    if (orderOf[place] >= 0) {
      core.forEach((other, j) => {
        if (orderOf[other] >= 0 && i !== j) dense[i * size + j] = values[orderOf[place] * count + orderOf[other]];
      });
      return;
    }
    for (const [other, value] of rows[place]) {
      const j = placeIn.get(other) as number;
      dense[i * size + j] = value;
      dense[j * size + i] = value;
    }
    rows[place].clear();
  });
  return invert(dense, size);
}

function solverOf(size: number, columns: readonly Column[], core: readonly number[], inverse: Float64Array): Eliminated {
  const orderOf = new Int32Array(size).fill(-1);
  columns.forEach(({ place }, i) => {
    orderOf[place] = i;
  });
  const coreOf = new Int32Array(size).fill(-1);
  core.forEach((place, i) => {
    coreOf[place] = i;
  });

  /** L⁻¹ v: over the eliminated places it reaches, in their order, and over the core. */
  const forward = ({ at, by }: Sparse) => {
    const values = new Map<number, number>();
    at.forEach((place, i) => {
      add(values, place, by[i]);
    });
    const waiting = [...values.keys()].filter((place) => orderOf[place] >= 0);
    const eliminated = new Map<number, number>();
    while (waiting.length > 0) {
      let first = 0;
      for (let i = 1; i < waiting.length; i++) if (orderOf[waiting[i]] < orderOf[waiting[first]]) first = i;
      const [place] = waiting.splice(first, 1);
      const value = values.get(place) as number;
      values.delete(place);
      eliminated.set(orderOf[place], value);
      const column = columns[orderOf[place]];
      for (let i = 0; i < column.at.length; i++) {
        const other = column.at[i];
        if (orderOf[other] >= 0 && !values.has(other)) waiting.push(other);
        add(values, other, -column.by[i] * value);
      }
    }
    return { eliminated, inCore: [...values].map(([place, value]) => [coreOf[place], value] as const) };
  };

  return {
    oneByOne: columns.length,
    together: core.length,
    between: (v, w) => {
      const one = forward(v);
      const other = v === w ? one : forward(w);
      let sum = 0;
      for (const [order, value] of one.eliminated) sum += (value * (other.eliminated.get(order) ?? 0)) / columns[order].pivot;
      for (const [i, value] of one.inCore) for (const [j, with_] of other.inCore) sum += value * with_ * inverse[i * core.length + j];
      return sum;
    },
    solve: (right) => {
      const out = Float64Array.from(right);
      for (const { place, at, by } of columns) for (let i = 0; i < at.length; i++) out[at[i]] -= by[i] * out[place];
      const below = core.map((place) => out[place]);
      core.forEach((place, i) => {
        let sum = 0;
        for (let j = 0; j < core.length; j++) sum += inverse[i * core.length + j] * below[j];
        out[place] = sum;
      });
      for (let k = columns.length - 1; k >= 0; k--) {
        const { place, pivot, at, by } = columns[k];
        let sum = out[place] / pivot;
        for (let i = 0; i < at.length; i++) sum -= by[i] * out[at[i]];
        out[place] = sum;
      }
      return out;
    },
  };
}
