import { rounded } from '../mesh/exact.ts';
import type { ClothMesh } from '../mesh/mesh.ts';
import { shirtZMm } from './body.ts';
import type { KnotPlace } from './place.ts';

/** What fingers press, as forces that the cloth withstands. */

/**
 * How hard the hands that draw a knot up work on the reference tie, in a step, mm: what a finger squeezes in and what a thumb smooths down, each over all
 * that lies under it, and what a hand presses back.
 */
export interface Hands {
  readonly squeezeMm: number;
  readonly smoothMm: number;
  readonly pressMm: number;
}

/** Squeeze and press are fitted on two knots of which real ties were handled (`npm run cloth calibrate`); a thumb smooths down about as hard as a finger squeezes. */
export const usualHands: Hands = { squeezeMm: 2.1, smoothMm: 2, pressMm: 0.014 };

/** So thick the reference tie's cloth lies where it is pressed, mm. */
export const usualLayerMm = 1.984;
/** Where such cloth is pressed into other cloth by more than this, it withstands, mm. */
const withstandsFromMm = 1.4;

/** Share of their strength that hands press with where cloth of a thickness lies so deep in other cloth: as much less as it is deeper than it gives. */
export function yielding(deepestMm: number, layerMm: number): number {
  return Math.min(1, (withstandsFromMm * layerMm) / usualLayerMm / deepestMm);
}

/** The reference tie's neck holds so much cloth, mm²; a fuller one is squeezed as much harder, a slimmer one no softer. */
const squeezedMm2 = 67.5;
/** On that tie fingers reach no nearer to the middle than this, press with all their strength from so much further out, and reach so far past the knot, mm. */
const betweenFingersMm = 10;
const fingertipMm = 12;
const pastKnotMm = 4;
/** A finger under which less lies than so many points is not pressed against it any harder. */
const leastUnder = 32;
/** Where on it a finger presses harder, so that both press at one height, it does by no more than this share. */
const mostHarder = 1.5;

/** What lies under one of two fingers: how much of it, and how high up the knot, from 0 at its bottom to 1 at its top. */
class Finger {
  private weight = 0;
  private height = 0;
  private square = 0;
  private harderAbove = 0;
  private total = 0;

  feel(held: number, up: number): void {
    this.weight += rounded(held);
    this.height += rounded(held * up);
    this.square += rounded(held * up * up);
  }

  get isFree(): boolean {
    return this.weight < 1;
  }

  get meanHeight(): number {
    return this.height / this.weight;
  }

  /** Presses so that what it presses with has its middle at a height. */
  pressAt(level: number): void {
    const above = this.height - level * this.weight;
    this.harderAbove = -above / (this.square - 2 * level * this.height + level * level * this.weight + leastSpread);
    this.total = this.weight + this.harderAbove * above;
  }

  /** Share of its strength that a point at a height takes. */
  shareAt(up: number, level: number): number {
    const harder = Math.max(-mostHarder, Math.min(mostHarder, this.harderAbove * (up - level)));
    return Math.max(0, 1 + harder) / Math.max(leastUnder, this.total);
  }
}

const leastSpread = 0.05;

/**
 * Squeezes the knot from both sides, as two fingers do that draw it up: with the same strength, at one height, shared out over what
 * lies under each; the cloth withstands. So they work on a large knot as on a small one, and turn none. Fingers take a fuller tie
 * harder and further apart, a slimmer one closer together and no softer: `sectionMm2` is what its neck holds. Where the last `turns` are held open, they let the top be.
 */
export function squeeze(
  mesh: ClothMesh,
  { middleMm, topMm, bottomMm }: KnotPlace,
  sectionMm2: number,
  squeezeMm: number,
  turns: 'drawn' | 'open' = 'drawn',
): void {
  if (squeezeMm <= 0 || topMm <= bottomMm) return;
  const { position: p, columns, active } = mesh;
  const { first, entersAt, leavesAt, parts } = active;
  const tucked = parts.indexOf('tuck');
  const [from, to] = [3 * (first + entersAt * columns), 3 * (first + (tucked < 0 ? leavesAt : tucked) * columns)];
  const fullness = sectionMm2 / squeezedMm2;
  const size = Math.sqrt(fullness);
  const strengthMm = squeezeMm * Math.max(1, fullness);
  const upAt = (i: number) => (p[i + 1] - bottomMm) / (topMm - bottomMm);
  const heldAt = (i: number) => {
    if (p[i + 1] > topMm + pastKnotMm || p[i + 1] < bottomMm - pastKnotMm) return 0;
    const held = Math.min(1, (Math.abs(p[i] - middleMm) - size * betweenFingersMm) / (size * fingertipMm));
    return turns === 'open' ? held * Math.max(0, Math.min(1, 2 * (1 - upAt(i)))) : held;
  };
  const fingers = [new Finger(), new Finger()] as const;
  for (let i = from; i < to; i += 3) {
    const held = heldAt(i);
    if (held > 0) fingers[p[i] > middleMm ? 1 : 0].feel(held, upAt(i));
  }
  if (fingers[0].isFree || fingers[1].isFree) return;
  const level = (fingers[0].meanHeight + fingers[1].meanHeight) / 2;
  for (const finger of fingers) finger.pressAt(level);
  for (let i = from; i < to; i += 3) {
    const held = heldAt(i);
    if (held <= 0) continue;
    const side = p[i] > middleMm ? 1 : -1;
    p[i] -= side * strengthMm * held * fingers[side === 1 ? 1 : 0].shareAt(upAt(i), level);
  }
}

/** A thumb reaches what stands so far above the band, and smooths with all its strength what stands so much higher, mm. */
const aboveBandMm = 8;
const thumbMm = 8;

/** Smooths down what of the layers under the band stands up above it, as a thumb does while the knot is drawn up: it would pile up there. Shared out over what lies under it; the cloth withstands. */
export function smoothDown({ position: p, columns, active }: ClothMesh, { topMm, bottomMm }: KnotPlace, smoothMm: number): void {
  if (smoothMm <= 0 || topMm <= bottomMm) return;
  const { first, entersAt, parts } = active;
  const [from, to] = [3 * (first + entersAt * columns), 3 * (first + parts.indexOf('band') * columns)];
  const underThumb = (i: number) => Math.max(0, Math.min(1, (p[i + 1] - topMm - aboveBandMm) / thumbMm));
  let all = 0;
  for (let i = from; i < to; i += 3) all += rounded(underThumb(i));
  for (let i = from; i < to; i += 3) p[i + 1] -= (smoothMm * underThumb(i)) / Math.max(leastUnder, all);
}

/** A finger behind the blade holds it out over so much below the knot, by so much a step where it is strongest, mm. */
const archedOverMm = 60;
const archMm = 0.03;

/** Holds the blade out below the knot that it comes out of: pulled straight, it arches. `eased` goes from 0 to 1. */
export function arch({ position: p, columns, active }: ClothMesh, { bottomMm }: KnotPlace, eased: number): void {
  const { first, rows, parts } = active;
  const middle = Math.floor(columns / 2);
  for (let row = parts.indexOf('tuck'); row < rows; row++) {
    const at = first + row * columns;
    const below = (bottomMm - p[3 * (at + middle) + 1]) / archedOverMm;
    if (below <= 0 || below >= 1) continue;
    const out = eased * archMm * Math.sin(Math.PI * below) ** 2;
    for (let i = 3 * at; i < 3 * (at + columns); i += 3) p[i + 2] += out;
  }
}

const pressedTo = { topMm: 50, bottomMm: -70 } as const;

/** Presses the whole knot gently toward the shirt, by so much a step, which the cloth withstands. */
export function pressToShirt({ position: p, count }: ClothMesh, pressMm: number): void {
  for (let i = 0; i < 3 * count; i += 3) {
    const y = p[i + 1];
    if (y > pressedTo.bottomMm && y < pressedTo.topMm && p[i + 2] > shirtZMm) p[i + 2] -= pressMm;
  }
}
