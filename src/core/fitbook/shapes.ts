import type { KnotShape } from '../tying/shape.ts';
import type { EffectName } from './effects.ts';
import { effectName } from './effects.ts';

/** How a knot comes out against the formulas: width and height as shares of theirs, the lean in degrees toward the wearer’s right. */
export interface ShapeOff {
  readonly top: number;
  readonly height: number;
  readonly leanDeg: number;
}

/** What is known of the knots of one tie; a knot that was never looked at is as the tie’s others. */
export interface ShapeLearnt extends ShapeOff {
  readonly knots?: Readonly<Record<string, ShapeOff>>;
}

/** Means of the effects on how knots come out, by their names. */
export type LooksLearnt = Readonly<Partial<Record<EffectName, number>>>;

const parts = [
  ['top', 'topTie', 'topKnot'],
  ['height', 'heightTie', 'heightKnot'],
  ['leanDeg', 'leanTie', 'leanKnot'],
] as const;

/** What results that were looked at say of one tie’s knots; `undefined` where none was. */
export function shapeLearnt(looks: LooksLearnt, tie: string): ShapeLearnt | undefined {
  const names = Object.keys(looks) as EffectName[];
  if (names.length === 0) return undefined;
  const of = (moves: string): ShapeOff => {
    const [top, height, leanDeg] = parts.map(
      ([, ofTie, ofKnot]) => (looks[effectName(ofTie, tie)] ?? 0) + (looks[effectName(ofKnot, moves)] ?? 0),
    );
    return { top: top ?? 0, height: height ?? 0, leanDeg: leanDeg ?? 0 };
  };
  const knots = [...new Set(names.filter((name) => /^\w+Knot\//.test(name)).map((name) => name.slice(name.indexOf('/') + 1)))];
  return { ...of(''), ...(knots.length > 0 && { knots: Object.fromEntries(knots.map((moves) => [moves, of(moves)])) }) };
}

/** A knot’s measures as its tie’s results have them: the flanks and the bottom go with the width, the front with the lean. */
export function asSeen(shape: KnotShape, learnt: ShapeLearnt | undefined, moves: string): KnotShape {
  const off = learnt?.knots?.[moves] ?? learnt;
  if (!off) return shape;
  const wider = 1 + off.top;
  return {
    ...shape,
    topMm: shape.topMm * wider,
    middleMm: shape.middleMm * wider,
    bottomMm: shape.bottomMm * wider,
    leftFlankMm: shape.leftFlankMm * wider,
    rightFlankMm: shape.rightFlankMm * wider,
    heightMm: shape.heightMm * (1 + off.height),
    tiltDeg: shape.tiltDeg + off.leanDeg,
  };
}
