import { type Criterion, type Judgement, nearness, type Situation } from './criterion.ts';

const matchMm = 6;
const inchMm = 25.4;

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

function againstLapel({ request, shape, say }: Situation, lapelMm: number): Judgement {
  const { bladeMm } = request.tie;
  const off = bladeMm - lapelMm;
  const allowed = request.taste.lapelRule === 'match' ? matchMm : inchMm;
  const knotScore = nearness(shape.topMm / lapelMm, knotShareOfLapel, knotShareWidth);
  // Too narrow is the worse fault of the two.
  const bladeScore = nearness(off < 0 ? off * 1.3 : off, 0, allowed);
  const score = bladePart * bladeScore + (1 - bladePart) * knotScore;
  const both = `Blade ${say(bladeMm)}, lapel ${say(lapelMm)}`;
  if (Math.abs(off) <= matchMm) return { score, verdict: 'good', text: `${both}: a match.` };
  const side = off < 0 ? 'narrower' : 'wider';
  if (Math.abs(off) <= allowed) return { score, verdict: 'good', text: `${both}: ${say(Math.abs(off))} ${side}, within an inch.` };
  const look = off < 0 ? 'looks lost' : 'looks overblown';
  const far = Math.abs(off) > 2 * allowed || off < 0;
  return { score, verdict: far ? 'poor' : 'fair', text: `${both}: ${say(Math.abs(off))} ${side}, so the tie ${look}.` };
}
