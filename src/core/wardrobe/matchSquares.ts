import { type ColouredCloth, type ColourShare, sharesOf } from '../colour/cloth.ts';
import { colourDifference, type Lab, labOf } from '../colour/compare.ts';
import type { Verdict } from '../plan/criteria/criterion.ts';

/** A pocket square in its cloth. `tieId` is the tie it was sold with, where there was one. */
export interface Square extends ColouredCloth {
  readonly id: string;
  readonly label: string;
  readonly tieId: string | null;
}

export interface SquaredTie extends ColouredCloth {
  readonly id: string;
  readonly label: string;
}

/** What the schools ask of a square beside a tie. */
export const squareRules = {
  echo: { label: 'picks up the tie’s colours' },
  apart: { label: 'shares nothing with the tie' },
  set: { label: 'a matched set is allowed' },
} as const;
export type SquareRule = keyof typeof squareRules;

export interface SquareJudgement {
  readonly square: Square;
  readonly score: number;
  readonly verdict: Verdict;
  readonly text: string;
  /** Share of the square that is in colours of the tie, 0 to 1. */
  readonly echo: number;
}

/** Colours nearer than this (CIEDE2000) are felt to be the same hue picked up again. */
const echoes = 20;
/** How far a shared colour's part may differ before the proportions count as other ones. */
const sameProportion = 0.2;
const echoFrom = 0.08;

/** Squares for a tie under one school, best first. */
export function matchSquares(tie: SquaredTie, squares: readonly Square[], rule: SquareRule = 'echo'): SquareJudgement[] {
  return squares.map((square) => judgeSquare(tie, square, rule)).toSorted((a, b) => b.score - a.score);
}

/** One square beside one tie. */
export function judgeSquare(tie: SquaredTie, square: Square, rule: SquareRule = 'echo'): SquareJudgement {
  const shared = sharedColours(sharesOf(tie), sharesOf(square));
  const echo = shared.reduce((sum, { inSquare }) => sum + inSquare, 0);
  return { square, echo, ...verdictOf() };

  function verdictOf(): Pick<SquareJudgement, 'score' | 'verdict' | 'text'> {
    if (square.colours.length === 0 || tie.colours.length === 0)
      return {
        score: 0,
        verdict: 'fair',
        text: `Not judged: the ${square.colours.length === 0 ? 'square' : 'tie'}’s colours aren’t entered.`,
      };
    if (isPlainWhite(square)) return { score: 0.8, verdict: 'good', text: 'Plain white in a flat fold always works.' };
    if (square.tieId === tie.id) {
      return rule === 'set'
        ? { score: 0.7, verdict: 'fair', text: 'Sold with this tie: safe, and looks bought as a set.' }
        : { score: 0.05, verdict: 'poor', text: 'Sold with this tie: wear it with another.' };
    }
    if (rule === 'apart') {
      return echo < echoFrom
        ? { score: 0.9, verdict: 'good', text: 'Shares no colour with the tie.' }
        : { score: 0.3, verdict: 'fair', text: `${percent(echo)} of it repeats the tie.` };
    }
    if (echo < echoFrom) return { score: 0.35, verdict: 'fair', text: 'Shares no colour with the tie.' };
    const moved = Math.max(...shared.map(({ inTie, inSquare }) => Math.abs(inTie - inSquare)));
    if (moved < sameProportion && echo > 1 - sameProportion) {
      return { score: 0.3, verdict: 'fair', text: 'The same colours in the same proportions: it reads as a matched set.' };
    }
    const most = shared.toSorted((a, b) => Math.abs(b.inTie - b.inSquare) - Math.abs(a.inTie - a.inSquare))[0];
    const text = most
      ? `Picks up the tie’s colours in other proportions: ${percent(most.inTie)} of the tie, ${percent(most.inSquare)} of the square.`
      : 'Picks up the tie’s colours.';
    return { score: Math.min(1, 0.55 + 0.6 * Math.min(moved, 0.75)), verdict: 'good', text };
  }
}

interface Shared {
  readonly inTie: number;
  readonly inSquare: number;
}

/** The square's colours that are felt as colours of the tie, with how much of each cloth they are. */
function sharedColours(tie: readonly ColourShare[], square: readonly ColourShare[]): Shared[] {
  const ofTie = tie.map(({ colour, share }) => ({ lab: labOf(colour), share }));
  return square.flatMap(({ colour, share }) => {
    const lab = labOf(colour);
    const near = ofTie.filter((each) => isSameHue(each.lab, lab));
    return near.length > 0 ? [{ inTie: near.reduce((sum, each) => sum + each.share, 0), inSquare: share }] : [];
  });
}

function isSameHue(one: Lab, other: Lab): boolean {
  return colourDifference(one, other) < echoes;
}

const whiteFrom = 93;
const whiteChroma = 5;

function isPlainWhite({ colours }: ColouredCloth): boolean {
  return colours.every((colour) => {
    const { lightness, a, b } = labOf(colour);
    return lightness >= whiteFrom && Math.hypot(a, b) <= whiteChroma;
  });
}

function percent(share: number): string {
  return `${Math.round(share * 100)}%`;
}

/** Two sets split up, each tie worn with the other's square. */
export interface Swap {
  readonly tie: SquaredTie;
  readonly withSquare: Square;
  readonly otherTie: SquaredTie;
  readonly otherSquare: Square;
  /** The lesser of both pairs' scores. */
  readonly score: number;
}

/**
 * Sets whose squares can be exchanged so that both pairs go well: the first tie with the
 * second's square and the other way round. Best first.
 */
export function swapsFor(tie: SquaredTie, ties: readonly SquaredTie[], squares: readonly Square[], rule: SquareRule = 'echo'): Swap[] {
  const own = squares.filter(({ tieId }) => tieId === tie.id);
  return own
    .flatMap((otherSquare) =>
      squares.flatMap((withSquare): Swap[] => {
        const otherTie = ties.find(({ id }) => id === withSquare.tieId && id !== tie.id);
        if (!otherTie) return [];
        const one = judgeSquare(tie, withSquare, rule);
        const other = judgeSquare(otherTie, otherSquare, rule);
        if (one.verdict !== 'good' || other.verdict !== 'good') return [];
        return [{ tie, withSquare, otherTie, otherSquare, score: Math.min(one.score, other.score) }];
      }),
    )
    .toSorted((a, b) => b.score - a.score);
}
