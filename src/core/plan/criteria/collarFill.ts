import type { CollarClass } from '../../collar/collar.ts';
import { piecewise } from '../../numeric/piecewise.ts';
import { type Criterion, type Judgement, nearness, type Situation } from './criterion.ts';

export const swampsOver = 1 / 3;
export const bandShowsUnder = 0.22;

/**
 * The thirds school's preference over the share covered: comfortable from 0.275 to a third, nearly flat between, falling
 * steadily on both sides and never flat above, so that of two knots that swamp a collar the smaller is still the better.
 */
const liking = piecewise([
  [0, -0.2],
  [0.2, 0.55],
  [0.24, 0.85],
  [0.275, 1],
  [swampsOver, 0.95],
  [0.4, 0.5],
  [0.5, 0],
  [1.2, -3.5],
]);

/** Top widths at which a hand calls a knot medium, then large, mm. */
const mediumFromMm = 44;
const largeFromMm = 54;
const sizeWidthMm = 6;

/** Does the knot fill the opening between the collar's leaves? */
export const collarFillCriterion: Criterion = {
  code: 'collar-fill',
  weight: 0.46,
  judge: (situation) => (situation.request.rules.collarRule === 'thirds' ? byThirds(situation) : byProportion(situation)),
};

/** What a knot too small is liked at, at least, where the band it leaves is held covered or tolerated. */
const likingOfSmall = 0.7;

export function inPercent(share: number): number {
  return Math.round(share * 100);
}

function byThirds({ collar, collarClass, request }: Situation): Judgement {
  const { fill } = collar;
  const score = liking(fill);
  // Held against the rule as both are told, in whole percent.
  const percent = inPercent(fill);
  const share = `${percent}% of the collar edge`;
  const where = `${collarClass.label} collar`;
  if (percent > inPercent(swampsOver)) {
    return fill < swampsOver + 0.03
      ? { score, verdict: 'fair', text: `A little large for the ${where}: covers ${share}, best 22–33%.` }
      : { score, verdict: 'poor', text: `Swamps the ${where}: covers ${share}, best 22–33%.` };
  }
  if (percent < inPercent(bandShowsUnder)) {
    const excuse = request.shirt.pointsHeld
      ? 'the fastened points keep the tie band covered'
      : request.liking.neckBand === 'tolerated'
        ? 'the client accepts a tie band that shows'
        : undefined;
    if (excuse) {
      return { score: Math.max(score, likingOfSmall), verdict: 'good', text: `Small for the ${where}: covers ${share}; ${excuse}.` };
    }
    return fill > bandShowsUnder - 0.03
      ? { score, verdict: 'fair', text: `A little small for the ${where}: covers ${share}, best 22–33%.` }
      : { score, verdict: 'poor', text: `Too small for the ${where}: covers ${share}, best 22–33%.` };
  }
  return { score, verdict: 'good', text: `Sits well in the ${where}: covers ${share}.` };
}

type Size = CollarClass['wants'];

const sizeCentreMm: Readonly<Record<Size, number>> = { small: 38, medium: 49, large: 60 };
const sizeOrder: readonly Size[] = ['small', 'medium', 'large'];

function byProportion({ shape, collarClass, say }: Situation): Judgement {
  const size: Size = shape.topMm < mediumFromMm ? 'small' : shape.topMm < largeFromMm ? 'medium' : 'large';
  const apart = Math.abs(sizeOrder.indexOf(size) - sizeOrder.indexOf(collarClass.wants));
  const score = apart === 0 ? 1 : nearness(shape.topMm, sizeCentreMm[collarClass.wants], sizeWidthMm);
  const text = `A ${size} knot, ${say(shape.topMm)} across, for a ${collarClass.label} collar`;
  if (apart === 0) return { score, verdict: 'good', text: `${text}: the right proportion.` };
  return { score, verdict: apart === 1 ? 'fair' : 'poor', text: `${text}, which wants a ${collarClass.wants} one.` };
}
