import type { Collar } from '../collar/collar.ts';
import { collarFill } from '../collar/fill.ts';
import { bandShowsUnder, swampsOver } from '../plan/criteria/collarFill.ts';
import type { MappedKnot } from './mappedKnots.ts';

/** Widths at the top that suit a collar by thirds, mm. */
export interface Zone {
  readonly fromMm: number;
  readonly toMm: number;
}

const smallestMm = 10;
const largestMm = 160;
const closeMm = 0.05;

/**
 * The sizes of knot that fill a collar: from where the neck band would show to where the knot
 * swamps it, for knots of the field's usual proportions. Found by halving, since the fill grows
 * with the size.
 */
export function zoneFor(collar: Collar, knots: readonly MappedKnot[]): Zone | undefined {
  const shapes = knots.map(({ plan: { shape } }) => shape).filter(({ topMm }) => topMm > 0);
  if (shapes.length === 0) return undefined;
  const mean = (of: (shape: (typeof shapes)[number]) => number) => shapes.reduce((sum, shape) => sum + of(shape), 0) / shapes.length;
  const bottomShare = mean(({ bottomMm, topMm }) => bottomMm / topMm);
  // A knot's height follows the cloth's width, hardly its own size.
  const heightMm = mean((shape) => shape.heightMm);
  const [first] = shapes;
  if (!first) return undefined;
  const fillAt = (topMm: number) => collarFill(collar, { ...first, topMm, bottomMm: bottomShare * topMm, heightMm }).fill;
  return { fromMm: sizeAt(fillAt, bandShowsUnder), toMm: sizeAt(fillAt, swampsOver) };
}

function sizeAt(fillAt: (topMm: number) => number, fill: number): number {
  let low = smallestMm;
  let high = largestMm;
  while (high - low > closeMm) {
    const middle = (low + high) / 2;
    if (fillAt(middle) < fill) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
