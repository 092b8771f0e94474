import type { Frame } from '../knot/frame.ts';
import type { Knot, Spoke } from '../knot/knot.ts';
import { type Pass, passesOf } from '../knot/passes.ts';
import { cornersOf, type FacePoint, isWithin, outlineOf } from './outline.ts';
import type { KnotShape } from './shape.ts';

/** Where a layer of cloth lies on the knot's face. */
export type LayerPlace = 'band' | 'left shoulder' | 'right shoulder' | 'throat' | 'panel';

/** One pass of the working end across the front, as a strip over the face. */
export interface Layer {
  /** The move that laid it, from 1; the finish counts as one more. */
  readonly move: number;
  readonly place: LayerPlace;
  readonly from: FacePoint;
  readonly to: FacePoint;
  readonly widthMm: number;
}

/** A layer and how much of the face it shows, 0 to 1. */
export interface ShownLayer extends Layer {
  readonly share: number;
}

const heightShare = 0.85;
/** Share of its width that a strip keeps, folded, over an arm of the loop or out of the throat. */
const folded = 0.62;
/** Earlier passes are made of narrower cloth: this much a move. */
const narrowing = 0.975;
const bandFrom = 0.2;
const slantOfLean = 1.2;
const steepestSlant = 0.16;

/**
 * Every pass over the front of the knot, the first laid first: across the front from side to side, over
 * an arm of the loop between the throat and a side, and at the end the tuck that shows in the
 * throat above its band, or the panel. Passes behind are not on the face. `blade` is the wearer's
 * side on which the blade started.
 */
export function layersOf(knot: Knot, shape: KnotShape, blade: Frame['blade']): Layer[] {
  const corners = cornersOf(shape);
  const { moves, finish } = knot;
  const last = moves.length;
  const widthAtMove = (move: number) => clothAcross(shape, last - move);
  const layers = passesOf(knot).flatMap(({ side, spoke }, i): Layer[] => {
    if (side === 'behind') return [];
    const move = i + 1;
    return [{ move, ...stripOver(onSide(spoke, blade), shape, corners, widthAtMove(move)) }];
  });
  if (finish === 'tuck') {
    // It goes down inside the last band, so it shows above it only.
    const band = layers.findLastIndex(({ place }) => place === 'band');
    layers.splice(band, 0, {
      move: last + 1,
      place: 'throat',
      from: outOfThroat(shape.heightMm),
      to: [0, 0.5 * shape.heightMm],
      widthMm: folded * 0.8 * widthAtMove(last),
    });
  }
  if (finish === 'open') layers.push(panel(last, shape));
  return layers;
}

/** How wide the cloth lies over the front so many moves before the last, mm. */
function clothAcross({ heightMm }: KnotShape, movesBefore: number): number {
  return (heightMm / heightShare) * narrowing ** movesBefore;
}

/** The layer that lies on top of all others: the last band across the front, or the panel that falls over it. */
export function topLayer(knot: Knot, shape: KnotShape): Layer | undefined {
  const { moves, finish } = knot;
  const last = moves.length;
  if (finish === 'open') return panel(last, shape);
  // A tuck goes down behind the band that was laid before it; where the end is led away there may be turns above that.
  const isBand = ({ side, spoke }: Pass) => side === 'front' && spoke === 'tail';
  const move = finish === 'tuck' ? last - 1 : passesOf(knot).findLastIndex(isBand) + 1;
  if (move < 1) return undefined;
  return { move, ...stripOver('middle', shape, cornersOf(shape), clothAcross(shape, last - move)) };
}

function panel(last: number, { heightMm, middleMm, bottomMm }: KnotShape): Layer {
  return { move: last + 1, place: 'panel', from: outOfThroat(heightMm), to: [0, heightMm], widthMm: (middleMm + bottomMm) / 2 };
}

function outOfThroat(heightMm: number): FacePoint {
  return [0, -0.1 * heightMm];
}

/** Which side of the face a spoke is on: the tail's arm is on the left where the blade started on the right. */
function onSide(spoke: Spoke, blade: Frame['blade']): 'middle' | 'left' | 'right' {
  if (spoke === 'tail') return 'middle';
  return (spoke === 'tailArm') === (blade === 'right') ? 'left' : 'right';
}

function stripOver(
  side: ReturnType<typeof onSide>,
  { heightMm, lean, leftFlankMm, rightFlankMm }: KnotShape,
  { topLeft, topRight, bottomLeft, bottomRight }: ReturnType<typeof cornersOf>,
  widthMm: number,
): Omit<Layer, 'move'> {
  switch (side) {
    case 'middle': {
      // The band's upper edge: lower on the side where the smaller flank is.
      const slant =
        Math.max(-steepestSlant, Math.min(steepestSlant, slantOfLean * lean)) * Math.sign(rightFlankMm - leftFlankMm) * heightMm;
      const y = ((1 + bandFrom) / 2) * heightMm;
      return {
        place: 'band',
        from: [topRight[0], y - slant],
        to: [topLeft[0], y + slant],
        widthMm: (1 - bandFrom) * (widthMm * heightShare),
      };
    }
    case 'left':
      return {
        place: 'left shoulder',
        from: outOfThroat(heightMm),
        to: [(topLeft[0] + bottomLeft[0]) / 2, 0.55 * heightMm],
        widthMm: folded * widthMm,
      };
    case 'right':
      return {
        place: 'right shoulder',
        from: outOfThroat(heightMm),
        to: [(topRight[0] + bottomRight[0]) / 2, 0.55 * heightMm],
        widthMm: folded * widthMm,
      };
  }
}

const columns = 28;
const rows = 24;

/**
 * Which layers show on the face, later ones hiding those before them, by looking at points of it;
 * the largest share first. What shows of none of them is cloth of the loop's arms underneath.
 */
export function shownLayers(knot: Knot, shape: KnotShape, blade: Frame['blade']): ShownLayer[] {
  const layers = layersOf(knot, shape, blade);
  const outline = outlineOf(shape);
  const { topLeft, topRight } = cornersOf(shape);
  const counts = new Map<Layer, number>();
  let within = 0;
  for (let column = 0; column < columns; column++) {
    for (let row = 0; row < rows; row++) {
      const point: FacePoint = [
        topLeft[0] + ((column + 0.5) / columns) * (topRight[0] - topLeft[0]),
        ((row + 0.5) / rows) * shape.heightMm,
      ];
      if (!isWithin(point, outline)) continue;
      within++;
      const on = layers.findLast((layer) => liesOn(point, layer));
      if (on) counts.set(on, (counts.get(on) ?? 0) + 1);
    }
  }
  return layers
    .map((layer) => ({ ...layer, share: within > 0 ? (counts.get(layer) ?? 0) / within : 0 }))
    .filter(({ share }) => share > 0)
    .toSorted((a, b) => b.share - a.share);
}

function liesOn([x, y]: FacePoint, { from, to, widthMm }: Layer): boolean {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  const along = ((x - from[0]) * dx + (y - from[1]) * dy) / length;
  const aside = Math.abs((x - from[0]) * dy - (y - from[1]) * dx) / length;
  return along >= -1 && along <= length + 1 && aside <= widthMm / 2;
}
