import { fewestMoves } from './enumerate.ts';
import { type Frame, ownRight, regionInFrame, swapsSides } from './frame.ts';
import type { Direction, Knot, Move, Region } from './knot.ts';

export type KnotRule =
  | 'unreadable'
  | 'empty'
  | 'first-move'
  | 'same-region'
  | 'alternation'
  | 'too-few-moves'
  | 'last-move'
  | 'front-band'
  | 'after-tuck';

/** A word that cannot be read or tied. `move` counts from 1 and is absent when no single move is at fault. */
export class KnotWordError extends Error {
  readonly rule: KnotRule;
  readonly move: number | undefined;

  constructor(rule: KnotRule, message: string, move?: number) {
    super(message);
    this.name = 'KnotWordError';
    this.rule = rule;
    this.move = move;
  }
}

const separators = /(?:[\s,;.:·>→/|–—-]|(?:and )?then\b)*/iy;
const tuckToken = /t(?:uck|hrough)?(?![a-z])/iy;
const moveToken = /(left|right|cent(?:re|er)|throat|[lcr])[\s-]*(inwards?|into|in|outwards?|out|[io])(?=$|[^a-z]|[lcr][\s-]*[io]|t\b)/iy;

const sideNames: Readonly<Record<Region, string>> = { L: 'left', C: 'centre', R: 'right' };

/**
 * Reads a classic knot from shorthand (`Li Ro Li Co T`, `li-ro-li-co`, `L in, R out, …`),
 * or as the everyday manoeuvres in words, with or without the tuck, spoken in `frame`, and
 * returns it in the canonical frame.
 * Throws a {@link KnotWordError} that names the move and the rule it breaks.
 */
export function parseKnot(text: string, frame: Frame = ownRight): Knot {
  const spoken = readManoeuvres(text, frame) ?? readMoves(text);
  const moves = spoken.map((move) => ({ ...move, region: regionInFrame(move.region, frame) }));
  refuseIllegal(moves, spoken, frame);
  return { moves, finish: 'tuck' };
}

/** The four everyday manoeuvres, as they are said, and the move each one is. Sides are left to the word itself. */
const manoeuvres: readonly { readonly said: RegExp; readonly region: 'side' | 'C'; readonly direction: Direction | 'T' }[] = [
  { said: /(?:over and )?down through (?:the )?(?:front|loop|band|knot|tuck)(?: band)?/iy, region: 'C', direction: 'T' },
  {
    said: /(?:up and out|out and up|up|out) (?:and out )?through (?:the )?(?:throat|neck|neck ?loop)|up through from (?:under|behind)/iy,
    region: 'C',
    direction: 'o',
  },
  { said: /(?:over and )?(?:down|in) (?:and in )?(?:through|into) (?:the )?(?:throat|neck|neck ?loop)/iy, region: 'C', direction: 'i' },
  { said: /(?:across|over) (?:the )?front/iy, region: 'side', direction: 'i' },
  { said: /(?:round |around |across )?behind|(?:round|around|across) the back/iy, region: 'side', direction: 'o' },
];

/**
 * Reads a sequence told as manoeuvres: `across the front, behind, up and out through the throat,
 * down through the front`. From a side, the other side is meant; from the throat the side is
 * told after it (`to the left`), or is the one the start was not on.
 */
function readManoeuvres(text: string, frame: Frame): Move[] | undefined {
  const moves: Move[] = [];
  const start: Region = swapsSides(frame) ? 'L' : 'R';
  let at = skip(text, 0);
  while (at < text.length) {
    const manoeuvre = manoeuvres.find(({ said }) => {
      said.lastIndex = at;
      return said.test(text);
    });
    if (!manoeuvre) return undefined;
    at = manoeuvre.said.lastIndex;
    toSide.lastIndex = at;
    const told = toSide.exec(text);
    if (told) at = toSide.lastIndex;
    at = skip(text, at);
    if (manoeuvre.direction === 'T') return at >= text.length && moves.length > 0 ? moves : undefined;
    const from = moves.at(-1)?.region ?? start;
    const side = told?.[1] ? regionOf(told[1]) : otherSide(from === 'C' ? start : from);
    moves.push({ region: manoeuvre.region === 'C' ? 'C' : side, direction: manoeuvre.direction });
  }
  return moves.length > 0 ? moves : undefined;
}

const toSide = /\s*,?\s*(?:over )?to (?:the |his )?(left|right)/iy;

function otherSide(side: Region): Region {
  return side === 'L' ? 'R' : 'L';
}

function readMoves(text: string): Move[] {
  const moves: Move[] = [];
  let at = skip(text, 0);
  let tucked = false;
  while (at < text.length) {
    if (tucked) {
      throw new KnotWordError('after-tuck', 'Nothing can follow the tuck: it ends the knot.', moves.length + 1);
    }
    tuckToken.lastIndex = at;
    moveToken.lastIndex = at;
    const move = moveToken.exec(text);
    if (move?.[1] && move[2]) {
      moves.push({ region: regionOf(move[1]), direction: directionOf(move[2]) });
      at = skip(text, moveToken.lastIndex);
    } else if (tuckToken.test(text)) {
      tucked = true;
      at = skip(text, tuckToken.lastIndex);
    } else {
      const fragment = text.slice(at).split(/[\s,;]/, 1)[0] ?? '';
      throw new KnotWordError(
        'unreadable',
        `Move ${moves.length + 1} cannot be read: “${fragment.slice(0, 20)}”. Write a side and a direction, as in Li, Ro or Co.`,
        moves.length + 1,
      );
    }
  }
  return moves;
}

function skip(text: string, from: number): number {
  separators.lastIndex = from;
  separators.exec(text);
  return separators.lastIndex;
}

function regionOf(written: string): Region {
  const letter = written.charAt(0).toUpperCase();
  return letter === 'L' || letter === 'R' ? letter : 'C';
}

function directionOf(written: string): Direction {
  return written.charAt(0).toLowerCase() === 'i' ? 'i' : 'o';
}

/** The regions of a text that can be read as moves at all, in the canonical frame; legal or not. */
export function regionsIn(text: string, frame: Frame = ownRight): Region[] | undefined {
  try {
    return (readManoeuvres(text, frame) ?? readMoves(text)).map(({ region }) => regionInFrame(region, frame));
  } catch {
    return undefined;
  }
}

/** Checks the rules in the order a hand would meet them. Messages use the side as it was written. */
function refuseIllegal(moves: readonly Move[], spoken: readonly Move[], frame: Frame): void {
  const [first] = moves;
  if (!first) throw new KnotWordError('empty', 'There is no move in it. A knot starts like Li Ro …');

  if (first.region !== 'L') {
    const wanted = swapsSides(frame) ? 'right' : 'left';
    const written = sideNames[spoken[0]?.region ?? 'C'];
    const hint = first.region === 'R' ? ' Spoken for the other side of the mirror it may be right: swap left and right.' : '';
    throw new KnotWordError(
      'first-move',
      `Move 1 goes to the ${written}, but in this view the blade starts there or above: the first move goes to the ${wanted}.${hint}`,
      1,
    );
  }

  moves.forEach((move, i) => {
    const before = moves[i - 1];
    if (!before) return;
    const side = sideNames[spoken[i]?.region ?? 'C'];
    if (before.region === move.region) {
      throw new KnotWordError('same-region', `Move ${i + 1} stays at the ${side}: each move goes to another region.`, i + 1);
    }
    if (before.direction === move.direction) {
      const written = move.direction === 'i' ? 'in' : 'out';
      throw new KnotWordError(
        'alternation',
        `Move ${i + 1} goes ${written} again: moves go in and out by turns, since a blade that ends in front can only go behind next.`,
        i + 1,
      );
    }
  });

  const h = moves.length;
  const last = moves[h - 1];
  if (h < fewestMoves) {
    throw new KnotWordError('too-few-moves', `${h} ${h === 1 ? 'move does' : 'moves do'} not make a knot: ${fewestMoves} is the fewest.`);
  }
  if (last?.region !== 'C' || last.direction !== 'o') {
    throw new KnotWordError('last-move', `Move ${h} must be Co, up and out through the throat, so that the blade can be tucked.`, h);
  }
  const band = moves[h - 2];
  const bandFrom = moves[h - 3];
  if (band?.region === 'C' || bandFrom?.region === 'C') {
    throw new KnotWordError(
      'front-band',
      `Move ${h - 1} must cross the front from one side to the other, so that the tuck has a fresh band to pass through.`,
      h - 1,
    );
  }
}
