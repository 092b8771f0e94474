import { enumerateKnots } from '../knot/enumerate.ts';
import { formatKnot } from '../knot/format.ts';
import type { Knot } from '../knot/knot.ts';
import { namedWords } from '../knot/names.ts';
import { parseKnot } from '../knot/parse.ts';
import { type Pass, passesOf } from '../knot/passes.ts';

/** Where the end that ties points, in the canonical frame: at a side, down the front, or out of sight behind. */
export type Points = 'L' | 'R' | 'front' | 'behind';

export interface Found {
  /** So many moves are made. */
  readonly done: number;
  /** Bands across the front that can be counted then. */
  readonly bands: number;
}

/** What can be seen of a tangle: where the end points, and which of its sides shows. */
export interface Seen {
  readonly points: Points;
  readonly shows: 'face' | 'seam';
}

/** How the end lies after a pass. Led down behind, it shows its back; fallen over the front, its face. */
function seenAfter({ region, side }: Pass): Seen {
  if (region === 'C') return side === 'front' ? { points: 'behind', shows: 'seam' } : { points: 'front', shows: 'face' };
  return { points: region, shows: side === 'front' ? 'face' : 'seam' };
}

/** The states of a knot that look so, the one nearest to where the hands were thought to be first. */
export function statesSeen(knot: Knot, seen: Seen, thoughtDone = 0): Found[] {
  let bands = 0;
  return passesOf(knot)
    .flatMap((pass, i) => {
      if (pass.side === 'front' && pass.spoke === 'tail') bands++;
      const own = seenAfter(pass);
      return own.points === seen.points && own.shows === seen.shows ? [{ done: i + 1, bands }] : [];
    })
    .toSorted((a, b) => Math.abs(a.done - thoughtDone) - Math.abs(b.done - thoughtDone));
}

/** Knots that some state of looks so, the ones with names first; `except` is the one that was meant. */
export function knotsSeenAs(seen: Seen, except: Knot, most: number): Knot[] {
  return known()
    .filter((knot) => formatKnot(knot) !== formatKnot(except) && statesSeen(knot, seen).length > 0)
    .slice(0, most);
}

/** What a row of passes is the beginning of. */
export interface Begun {
  /** So many of the passes made are those of the knot that was meant. */
  readonly agrees: number;
  /** Whether nothing else was done: the knot can be tied on. */
  readonly isOwn: boolean;
  /** Other knots that begin just so, those with names first; the last of them may be finished already. */
  readonly others: readonly Knot[];
}

/** Compares what was done with a knot, and finds those that it is the beginning of. */
export function beganAs(made: readonly Pick<Pass, 'region' | 'side'>[], meant: Knot, most: number): Begun {
  const agreeing = (knot: Knot) => {
    const passes = passesOf(knot);
    const differs = made.findIndex(({ region, side }, i) => passes[i]?.region !== region || passes[i]?.side !== side);
    return differs < 0 ? made.length : differs;
  };
  const agrees = agreeing(meant);
  return {
    agrees,
    isOwn: agrees === made.length,
    others: known()
      .filter((knot) => formatKnot(knot) !== formatKnot(meant) && agreeing(knot) === made.length)
      .slice(0, most),
  };
}

let all: Knot[] | undefined;

function known(): Knot[] {
  all ??= [
    ...new Map(
      [
        ...namedWords.map(({ word }) => parseKnot(word)).filter(({ active, finish }) => active === 'blade' && finish === 'tuck'),
        ...enumerateKnots(9),
      ].map((knot) => [formatKnot(knot), knot]),
    ).values(),
  ];
  return all;
}
