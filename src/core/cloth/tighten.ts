import type { ClothMesh, Strand } from './mesh.ts';

/** How far a row's rest length may move in a step, as a share of it. */
const mostAStep = 0.01;

/**
 * Takes cloth away instead of pulling at it: each row's rest length moves toward what would leave it
 * stretched by `strain`, so that the strand is a rope of one tension without friction. Rows of one part share
 * the cloth between them, so that none of them shrinks to nothing. Toward the ends the strain falls to half. Loose
 * turns keep at least the length they are held open at.
 */
export function takeAway(mesh: ClothMesh, strand: Strand, strain: number, least: Float64Array | undefined): void {
  const { position: p, columns } = mesh;
  const { first, rows, rest, parts, lengths } = strand;
  const middle = Math.floor(columns / 2);
  for (let row = 0; row < rows - 1; row++) {
    const i = 3 * (first + row * columns + middle);
    const j = i + 3 * columns;
    const dx = (p[j] as number) - (p[i] as number);
    const dy = (p[j + 1] as number) - (p[i + 1] as number);
    const dz = (p[j + 2] as number) - (p[i + 2] as number);
    lengths[row] = Math.sqrt(dx * dx + dy * dy + dz * dz);
  }
  for (let row = 0; row < rows - 1; row++) {
    const own = lengths[row] as number;
    const before = row > 0 && parts[row - 1] === parts[row] ? (lengths[row - 1] as number) : own;
    const after = row < rows - 2 && parts[row + 1] === parts[row] ? (lengths[row + 1] as number) : own;
    const length = (before + 2 * own + after) / 4;
    const fromEnd = Math.min(row, rows - 2 - row) / (rows / 2);
    const wantedStrain = strain * (0.5 + 0.5 * Math.min(1, 4 * fromEnd));
    const now = rest[row] as number;
    const wanted = length / (1 + wantedStrain);
    const moved = Math.max(now * (1 - mostAStep), Math.min(now * (1 + mostAStep), wanted));
    rest[row] = least ? Math.max(moved, least[row] as number) : moved;
  }
}

/** The share of the wanted tension that there is room for: less where layers are pressed into each other. */
export class Tension {
  now = 1;
  private static readonly grows = 1.03;
  private static readonly shrinks = 0.96;
  /** Of the pairs that touch: so few pressed in are chance, and so many are tension. */
  private static readonly easyShare = 0.01;
  private static readonly tightShare = 0.03;
  private static readonly fewTouch = 10;
  private static readonly least = 0.05;

  constructor(private readonly most: number) {
    this.now = most;
  }

  follow(touching: number, pressed: number): void {
    if (pressed < Tension.easyShare * touching || touching < Tension.fewTouch) this.now = Math.min(this.most, this.now * Tension.grows);
    else if (pressed > Tension.tightShare * touching) this.now = Math.max(Tension.least, this.now * Tension.shrinks);
  }
}
