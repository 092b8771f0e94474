import type { HouseRules } from '../schools.ts';
import { type Criterion, type Judgement, nearness, type Situation } from './criterion.ts';

const matchMm = 6;
const inchMm = 25.4;
const tooNarrowCounts = 1.3;

/** Knots read in proportion to a lapel when their top is about this share of it. */
const knotShareOfLapel = 0.6;
const knotShareWidth = 0.15;
const bladePart = 0.6;

/** Blade against lapel under the chosen school, and the knot's size against it. */
export const lapelCriterion: Criterion = {
  code: 'lapel',
  weight: 0.1,
  judge: (situation) => {
    const { jacket } = situation.request;
    return jacket ? againstLapel(situation, jacket.lapelMm) : undefined;
  },
};

type LapelRule = HouseRules['lapelRule'];

/** How far blade and lapel may differ under each school, mm. */
export function allowanceOf(rule: LapelRule): number {
  return rule === 'match' ? matchMm : inchMm;
}

/** How well a blade goes with a lapel, 0 to 1. Too narrow is the worse fault of the two. */
export function bladeOnLapel(bladeMm: number, lapelMm: number, rule: LapelRule): number {
  const off = bladeMm - lapelMm;
  return nearness(off < 0 ? off * tooNarrowCounts : off, 0, allowanceOf(rule));
}

function againstLapel({ request, shape, say }: Situation, lapelMm: number): Judgement {
  const { bladeMm } = request.tie;
  const off = bladeMm - lapelMm;
  const allowed = allowanceOf(request.rules.lapelRule);
  const knotScore = nearness(shape.topMm / lapelMm, knotShareOfLapel, knotShareWidth);
  const score = bladePart * bladeOnLapel(bladeMm, lapelMm, request.rules.lapelRule) + (1 - bladePart) * knotScore;
  const both = `Blade ${say(bladeMm)}, lapel ${say(lapelMm)}`;
  if (Math.abs(off) <= matchMm) return { score, verdict: 'good', text: `${both}: they match.` };
  const side = off < 0 ? 'narrower' : 'wider';
  if (Math.abs(off) <= allowed)
    return { score, verdict: 'good', text: `${both}: ${say(Math.abs(off))} ${side} than the lapel, within an inch.` };
  const look = off < 0 ? 'looks lost' : 'looks overblown';
  const far = Math.abs(off) > 2 * allowed || off < 0;
  return { score, verdict: far ? 'poor' : 'fair', text: `${both}: ${say(Math.abs(off))} ${side} than the lapel: the tie ${look}.` };
}
