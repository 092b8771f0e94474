import { type Calibration, type Learnt, uncalibrated } from './calibration.ts';

/** A tying whose outcome is known, against what the formulas said of it before anything was learnt. */
export interface Lesson {
  /** Names the tie; the same for each tying of it. */
  readonly tie: string;
  /** The knot's canonical moves. */
  readonly knot: string;
  readonly takeUpMm: number;
  /** How much lower than reckoned the tip ended against the belt, mm. */
  readonly errorMm: number;
  /** How far one such tying may be off by itself, mm. */
  readonly noiseMm: number;
}

/** How far each effect may be off before any lesson (one standard deviation): shares of the take-up, and mm. */
export interface LessonPriors {
  readonly stylist: number;
  readonly tie: number;
  readonly knot: number;
  /** All that moves the tip alike in every tying of one client by one hand: drop, loop, hand and how a start is read. */
  readonly offsetMm: number;
}

/**
 * What a few tyings of one client by one hand teach of the next, as a calibration of the plan: the exact posterior of
 * error = offset − takeUp · (stylist + tie + knot) + noise, all of them normal (best linear unbiased prediction). It is
 * worked out over the lessons, of which a fitting has a handful. `next` is the tie that will be tied.
 */
export function calibrationFrom(lessons: readonly Lesson[], next: { readonly tie: string }, priors: LessonPriors): Calibration {
  if (lessons.length === 0) return uncalibrated;
  const { stylist, tie, knot, offsetMm } = priors;
  const shareWith = (a: Pick<Lesson, 'tie' | 'knot'>, b: Pick<Lesson, 'tie' | 'knot'>) =>
    stylist ** 2 + (a.tie === b.tie ? tie ** 2 : 0) + (a.knot === b.knot ? knot ** 2 : 0);
  const between = lessons.map((a, i) =>
    lessons.map((b, j) => offsetMm ** 2 + a.takeUpMm * b.takeUpMm * shareWith(a, b) + (i === j ? a.noiseMm ** 2 : 0)),
  );
  const solve = solverOf(between);
  const errors = lessons.map(({ errorMm }) => errorMm);
  /** The posterior of one effect, given how it goes along with each lesson. */
  const posterior = (withLessons: readonly number[], variance: number): Learnt => {
    const weights = solve(withLessons);
    return { meanMm: dot(weights, errors), sdMm: Math.sqrt(Math.max(0, variance - dot(weights, withLessons))) };
  };
  const shareOf = (moves: string) => {
    const at = { tie: next.tie, knot: moves };
    const { meanMm: share, sdMm: sd } = posterior(
      lessons.map((lesson) => -lesson.takeUpMm * shareWith(lesson, at)),
      stylist ** 2 + tie ** 2 + knot ** 2,
    );
    return { share, sd };
  };
  /** Of the sum of both at a take-up: they were seen together, and what one is too much the other is too little. */
  const sumSd = (moves: string, takeUpMm: number) => {
    const at = { tie: next.tie, knot: moves };
    const withLessons = lessons.map((lesson) => offsetMm ** 2 + takeUpMm * lesson.takeUpMm * shareWith(lesson, at));
    return posterior(withLessons, offsetMm ** 2 + takeUpMm ** 2 * (stylist ** 2 + tie ** 2 + knot ** 2)).sdMm;
  };
  const offset = posterior(
    lessons.map(() => offsetMm ** 2),
    offsetMm ** 2,
  );
  // A knot whose blade hung at its length from the first says nothing of what knots take up.
  const taking = lessons.filter(({ takeUpMm }) => takeUpMm > 0);
  const tied = [...new Set(taking.map((lesson) => lesson.knot))].map((moves) => {
    const { takeUpMm } = taking.findLast((lesson) => lesson.knot === moves) as Lesson;
    return { moves, takeUpMm, sumSd: sumSd(moves, takeUpMm) };
  });
  // The plan adds what it is told of both as if they were apart, so together they are told no wider than they are known.
  const offsetSd = Math.min(offset.sdMm, ...tied.map((each) => each.sumSd));
  const apart = (sumSdMm: number, takeUpMm: number) => Math.sqrt(Math.max(0, sumSdMm ** 2 - offsetSd ** 2)) / takeUpMm;
  const usualTakeUp = taking.reduce((sum, { takeUpMm }) => sum + takeUpMm, 0) / taking.length;
  const other = shareOf('');
  return {
    takeUp: {
      share: other.share,
      sd: taking.length > 0 ? apart(sumSd('', usualTakeUp), usualTakeUp) : other.sd,
      knots: Object.fromEntries(
        tied.map(({ moves, takeUpMm, sumSd: sd }) => [moves, { share: shareOf(moves).share, sd: apart(sd, takeUpMm) }]),
      ),
    },
    hand: { meanMm: offset.meanMm, sdMm: 0 },
    client: { meanMm: 0, sdMm: offsetSd },
  };
}

function dot(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0);
}

/** Solves symmetric positive definite equations again and again (Cholesky). */
function solverOf(matrix: readonly (readonly number[])[]): (right: readonly number[]) => number[] {
  const n = matrix.length;
  const lower: number[][] = [];
  const at = (i: number, j: number) => lower[i]?.[j] ?? 0;
  for (let i = 0; i < n; i++) {
    const row: number[] = [];
    lower.push(row);
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]?.[j] ?? 0;
      for (let k = 0; k < j; k++) sum -= at(i, k) * at(j, k);
      row.push(i === j ? Math.sqrt(sum) : sum / at(j, j));
    }
  }
  return (right) => {
    const down: number[] = [];
    for (let i = 0; i < n; i++) {
      let sum = right[i] ?? 0;
      for (let k = 0; k < i; k++) sum -= at(i, k) * (down[k] ?? 0);
      down.push(sum / at(i, i));
    }
    const up: number[] = new Array(n).fill(0);
    for (let i = n - 1; i >= 0; i--) {
      let sum = down[i] ?? 0;
      for (let k = i + 1; k < n; k++) sum -= at(k, i) * (up[k] ?? 0);
      up[i] = sum / at(i, i);
    }
    return up;
  };
}
