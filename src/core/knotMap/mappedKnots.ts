import { type DifficultyWord, difficultyWord } from '../knot/difficulty.ts';
import { leanWord } from '../plan/criteria/symmetry.ts';
import type { KnotPlan } from '../plan/knotPlan.ts';
import { plan } from '../plan/plan.ts';
import type { PlanQuestion } from '../plan/request.ts';
import { leanDegOf } from '../tying/shape.ts';
import { formatLength, type LengthUnit } from '../units/length.ts';

/** One knot among all the others, tied with one tie for one client. */
export interface MappedKnot {
  readonly code: string;
  readonly title: string;
  readonly plan: KnotPlan;
  readonly difficulty: DifficultyWord;
}

export interface MapAxis {
  readonly label: string;
  readonly of: (knot: MappedKnot) => number;
  readonly say: (value: number, units: LengthUnit) => string;
}

const percent = (value: number) => `${Math.round(value * 100)}%`;

/** The lean, degrees: positive toward the wearer's right. */
export function signedLean({ plan: { shape } }: MappedKnot): number {
  return leanDegOf(shape);
}

/** What the map can be laid out by. */
export const mapAxes = {
  size: { label: 'top width', of: ({ plan: { shape } }) => shape.topMm, say: formatLength },
  lean: {
    label: 'lean',
    of: signedLean,
    // The least certain of the measures, so no figure is told.
    say: (value) => {
      const word = leanWord(value);
      return word === 'level' ? 'level' : `${word === 'slight' ? 'slightly' : 'clearly'} to the wearer’s ${value > 0 ? 'right' : 'left'}`;
    },
  },
  height: { label: 'height', of: ({ plan: { shape } }) => shape.heightMm, say: formatLength },
  takeUp: { label: 'take-up', of: ({ plan: { takeUpMm } }) => takeUpMm, say: formatLength },
  fill: { label: 'collar edge covered', of: ({ plan: { collar } }) => collar.fill, say: percent },
  moves: { label: 'moves', of: ({ plan: { properties } }) => properties.moves, say: String },
  chance: { label: 'first try within tolerance', of: ({ plan: { tip } }) => tip.inBandProbability, say: percent },
} as const satisfies Record<string, MapAxis>;

export type MapAxisCode = keyof typeof mapAxes;

/** Every knot of the family asked for, to `maxMoves`, tied with one tie for one client and collar. Best first. */
export function mappedKnots(question: PlanQuestion): MappedKnot[] {
  const { knots } = plan({ ...question, search: { ...question.search, knots: 'all' } });
  return knots.map((knot) => ({ code: knot.code, title: knot.title, plan: knot, difficulty: difficultyWord(knot.properties) }));
}
