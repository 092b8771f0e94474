import { type Frame, type KnotShape, parseKnot } from '../../core/index.ts';
import type { Bezier } from '../../core/numeric/bezier.ts';
import { type Layer, layersOf, topLayer } from '../../core/tying/face.ts';
import { type FacePoint, sidesOf } from '../../core/tying/outline.ts';
import { along, curve, type Pt } from '../geometry/path.ts';
import { wearersLeft } from '../geometry/view.ts';

/** A layer of cloth on the face: all of its strip, and the edges that show where it lies over others. */
export interface DrawnLayer {
  readonly key: number;
  readonly place: Layer['place'];
  readonly strip: string;
  readonly edges: string;
}

/** The face of a drawn-up knot as paths in mm, its top edge at the collar button. */
export interface KnotFace {
  readonly outline: string;
  /** The first laid first. */
  readonly layers: readonly DrawnLayer[];
}

/** How much a band's upper edge bows, and a shoulder's fold, as a share of its length. */
const bow = 0.07;

/** The core's own outline and layers, as they are seen in `frame`: drawn exactly at its measures. */
export function knotFace(word: string, shape: KnotShape, { view, blade }: Frame): KnotFace {
  const seen = seenIn(view);
  return {
    outline: outlinePath(shape, seen),
    layers: layersOf(parseKnot(word), shape, blade).map((layer) => drawn(layer, seen)),
  };
}

/** A knot by its outline and the edge of what lies on top, as a small mark shows it. */
export function knotMark(word: string, shape: KnotShape, { view }: Frame): { readonly outline: string; readonly edges: string } {
  const seen = seenIn(view);
  const top = topLayer(parseKnot(word), shape);
  return { outline: outlinePath(shape, seen), edges: top ? drawn(top, seen).edges : '' };
}

function outlinePath(shape: KnotShape, seen: (point: FacePoint) => Pt): string {
  const sides = sidesOf(shape);
  const [x, y] = seen(sides[0][0]);
  return `${curve`M${x} ${y}`}${along(sides.map((side): Bezier => side.map(seen)))}Z`;
}

function seenIn(view: Frame['view']): (point: FacePoint) => Pt {
  const sign = -wearersLeft(view);
  return ([x, y]) => [sign * x, y];
}

function drawn({ move, place, from, to, widthMm }: Layer, seen: (point: FacePoint) => Pt): DrawnLayer {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const across: FacePoint = [(-(to[1] - from[1]) / length) * (widthMm / 2), ((to[0] - from[0]) / length) * (widthMm / 2)];
  // The edge that lies higher bows up, as a band does that is drawn over a round heap.
  const up = across[1] > 0 ? -1 : 1;
  const at = (end: FacePoint, side: number): Pt => seen([end[0] + side * across[0], end[1] + side * across[1]]);
  const bowed = (side: number): [Pt, Pt, Pt] => {
    const [a, b] = [at(from, side), at(to, side)];
    return [a, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2 - (place === 'band' ? 2 * bow * length : 0)], b];
  };
  const [a, middle, b] = bowed(up);
  const [c, other, d] = bowed(-up);
  const edge = curve`M${a[0]} ${a[1]} Q${middle[0]} ${middle[1]} ${b[0]} ${b[1]}`;
  const otherEdge = curve`M${c[0]} ${c[1]} Q${other[0]} ${other[1]} ${d[0]} ${d[1]}`;
  return {
    key: move,
    place,
    // A band runs on below the knot, so that its lower edge is the knot's own.
    strip:
      place === 'band'
        ? curve`M${a[0]} ${a[1]} Q${middle[0]} ${middle[1]} ${b[0]} ${b[1]} L${d[0]} ${d[1] + length} L${c[0]} ${c[1] + length} Z`
        : curve`M${a[0]} ${a[1]} Q${middle[0]} ${middle[1]} ${b[0]} ${b[1]} L${d[0]} ${d[1]} Q${other[0]} ${other[1]} ${c[0]} ${c[1]} Z`,
    edges: place === 'band' ? edge : `${edge} ${otherEdge}`,
  };
}
