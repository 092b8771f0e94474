import type { KnotShape } from '../tying/shape.ts';
import type { EffectName } from './effects.ts';
import { effectName } from './effects.ts';

/**
 * How a knot comes out against the formulas: its size as shares beyond theirs, the bottom beyond what the width makes of it, the
 * lean in degrees toward the wearer’s right. What was kept before bottom and depth were measured has none of them.
 */
export interface ShapeOff {
  readonly top: number;
  readonly bottom?: number;
  readonly height: number;
  readonly depth?: number;
  readonly leanDeg: number;
}

/** What is learnt of how knots come out, each by the tie and by the knot. */
export const shapeParts = ['top', 'bottom', 'height', 'depth', 'lean'] as const;
export type ShapePart = (typeof shapeParts)[number];

/** What is known of the knots of one tie; a knot that was never looked at is as the tie’s others. */
export interface ShapeLearnt extends ShapeOff {
  readonly knots?: Readonly<Record<string, ShapeOff>>;
}

/** Means of the effects on how knots come out, by their names. */
export type LooksLearnt = Readonly<Partial<Record<EffectName, number>>>;

/** What results that were looked at say of one tie’s knots; `undefined` where none was. */
export function shapeLearnt(looks: LooksLearnt, tie: string): ShapeLearnt | undefined {
  const names = Object.keys(looks) as EffectName[];
  if (names.length === 0) return undefined;
  const of = (moves: string): ShapeOff => {
    const off = (part: ShapePart) => (looks[effectName(`${part}Tie`, tie)] ?? 0) + (looks[effectName(`${part}Knot`, moves)] ?? 0);
    return { top: off('top'), bottom: off('bottom'), height: off('height'), depth: off('depth'), leanDeg: off('lean') };
  };
  const knots = [...new Set(names.filter((name) => /^\w+Knot\//.test(name)).map((name) => name.slice(name.indexOf('/') + 1)))];
  return { ...of(''), ...(knots.length > 0 && { knots: Object.fromEntries(knots.map((moves) => [moves, of(moves)])) }) };
}

/** A knot’s measures as its tie’s results have them: the flanks go with the width, and the bottom but for its own share; the front with the lean. */
export function asSeen(shape: KnotShape, learnt: ShapeLearnt | undefined, moves: string): KnotShape {
  const off = learnt?.knots?.[moves] ?? learnt;
  if (!off) return shape;
  const wider = 1 + off.top;
  return {
    ...shape,
    topMm: shape.topMm * wider,
    middleMm: shape.middleMm * wider,
    bottomMm: shape.bottomMm * (wider + (off.bottom ?? 0)),
    leftFlankMm: shape.leftFlankMm * wider,
    rightFlankMm: shape.rightFlankMm * wider,
    heightMm: shape.heightMm * (1 + off.height),
    depthMm: shape.depthMm * (1 + (off.depth ?? 0)),
    tiltDeg: shape.tiltDeg + off.leanDeg,
  };
}
