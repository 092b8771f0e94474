import type { ClothMesh, Strand } from './mesh.ts';

/** How far a row's rest length may move in a step, as a share of it. */
const mostAStep = 0.01;
const strainAtOne = 0.08;

/**
 * Takes cloth away instead of pulling at it: each row's rest length moves toward what would leave it
 * stretched by the wanted strain, so that the strand is a rope of one tension without friction.
 * Toward the ends the strain falls to half. Loose turns keep at least the length they are held open at.
 */
export function takeAway(mesh: ClothMesh, strand: Strand, tension: number, least: Float64Array | undefined): void {
  const { position: p, columns } = mesh;
  const { first, rows, rest } = strand;
  const middle = Math.floor(columns / 2);
  for (let row = 0; row < rows - 1; row++) {
    const i = 3 * (first + row * columns + middle);
    const j = i + 3 * columns;
    const dx = (p[j] as number) - (p[i] as number);
    const dy = (p[j + 1] as number) - (p[i + 1] as number);
    const dz = (p[j + 2] as number) - (p[i + 2] as number);
    const length = Math.sqrt(dx * dx + dy * dy + dz * dz);
    const fromEnd = Math.min(row, rows - 2 - row) / (rows / 2);
    const strain = strainAtOne * tension * (0.5 + 0.5 * Math.min(1, 4 * fromEnd));
    const now = rest[row] as number;
    const wanted = length / (1 + strain);
    const moved = Math.max(now * (1 - mostAStep), Math.min(now * (1 + mostAStep), wanted));
    rest[row] = least ? Math.max(moved, least[row] as number) : moved;
  }
}

/** The tension there is room for: more while layers keep off each other, less where they are pressed in. */
export class Tension {
  now = 1;
  private static readonly grows = 1.03;
  private static readonly shrinks = 0.96;
  /** So few pairs pressed in are chance, not tension. */
  private static readonly few = 3;
  private static readonly least = 0.05;

  constructor(private readonly most: number) {}

  follow(touching: number, pressed: number): void {
    if (touching < Tension.few) this.now = Math.min(this.most, this.now * Tension.grows);
    else if (pressed > Tension.few) this.now = Math.max(Tension.least, this.now * Tension.shrinks);
  }
}
