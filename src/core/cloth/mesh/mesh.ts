import { cross, minus, size, unit, type Vec3 } from '../../numeric/vector.ts';
import type { LooseStrand, Part } from './loosePath.ts';

/** One strip of cloth in a mesh: where its vertices start, and how it lies along the tie. */
export interface Strand {
  readonly first: number;
  readonly rows: number;
  readonly parts: readonly Part[];
  readonly moves: readonly number[];
  /** The first row of the knot and the first that hangs out of it: before it is the arm. Where nothing is wound they are one. */
  readonly entersAt: number;
  readonly leavesAt: number;
  /** Rest length from each row to the next, mm; falls as cloth is taken away. */
  readonly rest: Float64Array;
  /** Length from each row to the next as it lies, mm, evened out over the rows about it. */
  readonly lengths: Float64Array;
  /** Which share of a free row's step each row takes: 1 where it touches nothing, 0 where it is pressed. */
  readonly freedom: Float64Array;
  /** Folded width at each row, mm. */
  readonly width: Float64Array;
}

/** Two strips of cloth as rows and columns of points, mm. Row by row, the working strand first. */
export interface ClothMesh {
  readonly columns: number;
  readonly count: number;
  /** x, y, z of every vertex. */
  readonly position: Float64Array;
  readonly before: Float64Array;
  /** Unit normals, the outermost side of the loose winding. */
  readonly normal: Float64Array;
  /** Half of the thickness in which the cloth lies folded at every vertex, mm. */
  readonly half: Float64Array;
  readonly active: Strand;
  readonly standing: Strand;
}

export interface Grid {
  /** Rows of the working strand this far apart in the loose winding; drawn up they come to lie a fifth of that apart. */
  readonly rowMm: number;
  readonly columns: number;
}

/** The standing strand is short, and twists on its way out of the neck: its rows lie nearer. */
const standingRows = 0.6;

/** How far the rows of the working and of the standing strand lie apart in the loose winding, mm. */
export function laidRowsMm({ rowMm }: Grid): readonly [active: number, standing: number] {
  return [rowMm, standingRows * rowMm];
}

/** Lays both strands out as flat ribbons of `widthMm` along their loose paths, each point moved by up to `jitterMm`. */
export function layLoose(paths: readonly [LooseStrand, LooseStrand], grid: Grid, widthMm: number, jitter: () => number): ClothMesh {
  const rowMm = laidRowsMm(grid);
  const laid = [resample(paths[0], rowMm[0]), resample(paths[1], rowMm[1])];
  const { columns } = grid;
  const rows = laid.map(({ points }) => points.length);
  const count = rows.reduce((sum, each) => sum + each, 0) * columns;
  const position = new Float64Array(3 * count);
  const strands: Strand[] = [];
  let first = 0;
  for (const path of laid) {
    const { points, normals } = path;
    points.forEach((point, row) => {
      const along = minus(points[Math.min(row + 1, points.length - 1)] ?? point, points[Math.max(row - 1, 0)] ?? point);
      const across = unit(cross(normals[row] ?? [0, 0, 1], along));
      const [jx, jy, jz] = [jitter(), jitter(), jitter()];
      for (let column = 0; column < columns; column++) {
        const aside = asideOf(column, columns) * widthMm;
        const at = 3 * (first + row * columns + column);
        position[at] = point[0] + across[0] * aside + jx;
        position[at + 1] = point[1] + across[1] * aside + jy;
        position[at + 2] = point[2] + across[2] * aside + jz;
      }
    });
    strands.push(
      strandOf(
        first,
        path.parts,
        path.moves,
        new Float64Array(points.length - 1).fill(strands.length === 0 ? rowMm[0] : rowMm[1]),
        widthMm,
      ),
    );
    first += points.length * columns;
  }
  return meshOf(columns, position, strands as [Strand, Strand]);
}

/** How far a column lies off the middle one, as a share of the width: the same on both sides, to the bit. */
export function asideOf(column: number, columns: number): number {
  return (2 * column - (columns - 1)) / (2 * (columns - 1));
}

/** A strand whose rows are of the given parts and moves, `rest` apart and `widthMm` wide; `first` is its first vertex. */
export function strandOf(first: number, parts: readonly Part[], moves: readonly number[], rest: Float64Array, widthMm: number): Strand {
  const entersAt = parts.lastIndexOf('arm') + 1;
  const hangs = parts.indexOf('hang', entersAt);
  return {
    first,
    rows: parts.length,
    parts,
    moves,
    entersAt,
    leavesAt: hangs < 0 ? parts.length - 1 : hangs,
    rest,
    lengths: new Float64Array(rest.length),
    freedom: new Float64Array(parts.length).fill(1),
    width: new Float64Array(parts.length).fill(widthMm),
  };
}

/** The two strands whose vertices lie at `position`, mm, at rest. */
export function meshOf(columns: number, position: Float64Array, [active, standing]: readonly [Strand, Strand]): ClothMesh {
  const count = position.length / 3;
  return {
    columns,
    count,
    position,
    before: position.slice(),
    normal: new Float64Array(3 * count),
    half: new Float64Array(count),
    active,
    standing,
  };
}

/** Points at even steps along a path. */
function resample({ points, normals, parts, moves }: LooseStrand, stepMm: number): LooseStrand {
  const at = [0];
  points.forEach((point, i) => {
    const previous = points[i - 1];
    if (previous) at.push((at[i - 1] ?? 0) + size(minus(point, previous)));
  });
  const total = at[at.length - 1] ?? 0;
  const steps = Math.max(2, Math.round(total / stepMm));
  const result = { points: [] as Vec3[], normals: [] as Vec3[], parts: [] as Part[], moves: [] as number[] };
  let i = 0;
  for (let step = 0; step <= steps; step++) {
    const wanted = (total * step) / steps;
    while (i < points.length - 2 && (at[i + 1] ?? 0) < wanted) i++;
    const [from, to] = [at[i] ?? 0, at[i + 1] ?? 0];
    const share = to > from ? (wanted - from) / (to - from) : 0;
    const mix = (all: readonly Vec3[]): Vec3 => {
      const [a, b] = [all[i] ?? [0, 0, 0], all[i + 1] ?? all[i] ?? [0, 0, 0]];
      return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share];
    };
    const near = share < 0.5 ? i : i + 1;
    result.points.push(mix(points));
    result.normals.push(unit(mix(normals)));
    result.parts.push(parts[near] ?? 'hang');
    result.moves.push(moves[near] ?? 0);
  }
  return result;
}
