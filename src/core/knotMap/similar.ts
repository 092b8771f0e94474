import { type MappedKnot, signedLean } from './mappedKnots.ts';

/** The nearest knots that are a little more of something. */
export interface Similar {
  readonly larger: MappedKnot | undefined;
  readonly smaller: MappedKnot | undefined;
  readonly moreLevel: MappedKnot | undefined;
  readonly fewerMoves: MappedKnot | undefined;
}

/** A degree of lean counts as so much of size. */
const tiltWeighsMm = 0.6;
/** Less than this cannot be seen, mm. */
const seenMm = 0.6;
const seenTiltDeg = 2;

/** From one knot to its neighbours; among those far enough to be seen, the one that is most like it otherwise. */
export function similarTo(knot: MappedKnot, all: readonly MappedKnot[]): Similar {
  const size = ({ plan: { shape } }: MappedKnot) => shape.topMm;
  const tilt = (each: MappedKnot) => Math.abs(signedLean(each));
  const others = all.filter(({ code }) => code !== knot.code);
  const nearest = (keep: (each: MappedKnot) => boolean) =>
    others
      .filter(keep)
      .reduce<MappedKnot | undefined>((best, each) => (best && unlike(best, knot) <= unlike(each, knot) ? best : each), undefined);
  return {
    larger: nearest((each) => size(each) >= size(knot) + seenMm),
    smaller: nearest((each) => size(each) <= size(knot) - seenMm),
    moreLevel: nearest((each) => tilt(each) <= tilt(knot) - seenTiltDeg),
    fewerMoves: nearest((each) => each.plan.properties.moves < knot.plan.properties.moves),
  };
}

/** How unlike two knots look and tie: millimetres of size, with lean, height and moves turned into such. */
export function unlike(one: MappedKnot, other: MappedKnot): number {
  const { shape: a, properties: p } = one.plan;
  const { shape: b, properties: q } = other.plan;
  return (
    Math.abs(a.topMm - b.topMm) +
    tiltWeighsMm * Math.abs(signedLean(one) - signedLean(other)) +
    0.5 * Math.abs(a.heightMm - b.heightMm) +
    1.2 * Math.abs(p.moves - q.moves) +
    (p.startSeam === q.startSeam ? 0 : 0.5)
  );
}
