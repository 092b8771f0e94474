import fc from 'fast-check';
import { type KnotPlan, type PlanQuestion, plan } from '../../src/core/index.ts';

const mm = (min: number, max: number) => fc.integer({ min, max });
const anySituation = fc.record({
  heightMm: mm(1560, 1980),
  neckMm: mm(350, 460),
  lengthMm: mm(1400, 1600),
  bladeMm: mm(52, 98),
  thicknessMm: fc.double({ min: 1.6, max: 4.6, noNaN: true }),
  collarSpreadMm: mm(65, 118),
  collarPointMm: mm(76, 92),
  lapelMm: mm(60, 105),
  waistcoat: fc.boolean(),
  worn: fc.constantFrom('open' as const, 'closed' as const),
  dressCode: fc.constantFrom(null, 'relaxed' as const, 'business' as const, 'formal' as const, 'uniform' as const),
});
export type Situation = typeof anySituation extends fc.Arbitrary<infer T> ? T : never;

export function askedIn(situation: Situation): PlanQuestion {
  const { heightMm, neckMm, lengthMm, bladeMm, thicknessMm, collarSpreadMm, collarPointMm, lapelMm, waistcoat, worn, dressCode } =
    situation;
  return {
    client: { heightMm, neckMm },
    shirt: { collarPointMm, collarSpreadMm, tieSpaceMm: 8 },
    jacket: { lapelMm, waistcoat, worn },
    tie: { lengthMm, bladeMm, thicknessMm },
    occasion: { dressCode },
  };
}

export function situations(count: number, seed: number): readonly Situation[] {
  return fc.sample(anySituation, { numRuns: count, seed });
}

export const firstIn = (situation: Situation): KnotPlan => {
  const [first] = plan(askedIn(situation)).knots;
  if (!first) throw new Error('No knots were asked for');
  return first;
};

const name = ({ properties, moves }: KnotPlan) => properties.family ?? moves;
const against = ({ reasons }: KnotPlan) => reasons.filter(({ verdict }) => verdict === 'poor').map(({ code }) => code);

/** What a ranking holds to, each by what would break it. */
export const rankingLaws: Readonly<Record<string, (situation: Situation) => boolean>> = {
  'opening the collar by 30 mm never makes the first pick smaller by more than 1 mm': (situation) => {
    const [before, after] = [firstIn(situation), firstIn({ ...situation, collarSpreadMm: situation.collarSpreadMm + 30 })];
    return before.feasible && after.feasible && after.shape.topMm < before.shape.topMm - 1;
  },
  'fabric thicker by 1.2 mm never asks for more moves': (situation) => {
    const [before, after] = [firstIn(situation), firstIn({ ...situation, thicknessMm: situation.thicknessMm + 1.2 })];
    return before.feasible && after.feasible && after.properties.moves > before.properties.moves;
  },
  'a knot of eight or more moves is not first on fabric over 3.8 mm where a smaller one works': (situation) => {
    const { knots } = plan(askedIn({ ...situation, thicknessMm: Math.max(3.81, situation.thicknessMm) }));
    return (knots[0]?.properties.moves ?? 0) >= 8 && knots.some(({ feasible, properties }) => feasible && properties.moves < 8);
  },
  'the tail of a first pick never hangs more than 40 mm below the blade': (situation) => {
    const { feasible, tail, tip } = firstIn(situation);
    return feasible && tail.dropMm - tip.dropMm > 40;
  },
  'a first pick carries no verdict against it that the second does not': (situation) => {
    const { knots } = plan(askedIn(situation));
    const [pick] = knots;
    const second = pick && knots.find((other) => name(other) !== name(pick));
    if (!pick?.feasible || !second?.feasible) return false;
    return against(pick).some((code) => !against(second).includes(code));
  },
};
