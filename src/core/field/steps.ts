import { type FieldKnot, signedLean } from './knotField.ts';

/** The nearest knots that are a little more of something. */
export interface Steps {
  readonly larger: FieldKnot | undefined;
  readonly smaller: FieldKnot | undefined;
  readonly moreLevel: FieldKnot | undefined;
  readonly fewerMoves: FieldKnot | undefined;
}

/** A degree of lean counts as so much of size. */
const tiltWeighsMm = 0.6;
/** Less than this cannot be seen, mm. */
const seenMm = 0.6;
const seenTiltDeg = 2;

/** From one knot to its neighbours; among those far enough to be seen, the one that is most like it otherwise. */
export function stepsFrom(knot: FieldKnot, all: readonly FieldKnot[]): Steps {
  const size = ({ plan: { shape } }: FieldKnot) => shape.topMm;
  const tilt = (each: FieldKnot) => Math.abs(signedLean(each));
  const others = all.filter(({ code }) => code !== knot.code);
  const nearest = (keep: (each: FieldKnot) => boolean) =>
    others
      .filter(keep)
      .reduce<FieldKnot | undefined>((best, each) => (best && unlike(best, knot) <= unlike(each, knot) ? best : each), undefined);
  return {
    larger: nearest((each) => size(each) >= size(knot) + seenMm),
    smaller: nearest((each) => size(each) <= size(knot) - seenMm),
    moreLevel: nearest((each) => tilt(each) <= tilt(knot) - seenTiltDeg),
    fewerMoves: nearest((each) => each.plan.properties.moves < knot.plan.properties.moves),
  };
}

/** How unlike two knots look and tie: millimetres of size, with lean, height and moves turned into such. */
function unlike(one: FieldKnot, other: FieldKnot): number {
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
