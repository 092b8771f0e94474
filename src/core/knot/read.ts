import { type Frame, swapsSides } from './frame.ts';
import { type ActiveEnd, type Direction, type Finish, type LooseTurns, type Move, type Region, twoFingersMm } from './knot.ts';
import { drawnOverLoose, KnotWordError } from './wordError.ts';

/** A word as it was read: its sides as they were spoken, not yet held to any rule. */
export interface Spoken {
  readonly moves: readonly Move[];
  readonly active: ActiveEnd;
  readonly finish: Finish;
  readonly loose?: LooseTurns;
}

/** Reads a text as manoeuvres, or else as moves; throws a {@link KnotWordError} where it is neither. */
export function readWord(text: string, frame: Frame): Spoken {
  return readManoeuvres(text, frame) ?? readMoves(text);
}

const separators = /(?:[\s,;.:·>→/|–—-]|(?:and )?then\b|and\b(?= (?:behind|under|over|across|up|down|tuck|through)))*/iy;
const narrowToken = /n(?:arrow(?:[\s-]*end)?)?(?![a-z])|with the (?:tail|narrow end)/iy;
const opening = /\(|loosely\b/iy;
const closing = /\)\s*(\d+)?(?:\s*mm\b)?/iy;

/** How the finish may be written, and which one it is. */
const finishTokens: readonly { readonly finish: Finish; readonly written: RegExp }[] = [
  { finish: 'tuck', written: /t(?:uck|hrough)?(?![a-z])/iy },
  { finish: 'open', written: /d(?:rops?)?(?![a-z])|open(?![a-z])/iy },
  { finish: 'collar', written: /h(?:ide|idden)?(?![a-z])|collar(?![a-z])/iy },
];

const moveToken =
  /(left|right|cent(?:re|er)|throat|[lcr])[\s-]*(inwards?|into|in|outwards?|out|[io])(?=$|[^a-z]|[lcr][\s-]*[io]|[tdh]\b)/iy;

/** The four everyday manoeuvres, as they are said, and the move each one is. Sides are left to the word itself. */
const manoeuvres: readonly { readonly said: RegExp; readonly region: 'side' | 'C'; readonly direction: Direction | Finish }[] = [
  {
    said: /(?:over and )?(?:tuck(?:ed)? )?(?:down )?(?:through|into|behind) (?:the )?(?:front (?:band|loop)|front|loop|band|knot)(?! ?of)/iy,
    region: 'C',
    direction: 'tuck',
  },
  { said: /(?:(?:let it )?drops?|dropped|falls?) over (?:the )?(?:front|knot)(?: as a panel)?/iy, region: 'C', direction: 'open' },
  { said: /(?:hide (?:it|the end|what is left) )?(?:up )?under the collar/iy, region: 'C', direction: 'collar' },
  {
    said: /(?:up and out|out and up|up|out) (?:and out )?through (?:the )?(?:neck[\s-]*loop|throat|neck|collar)|up (?:through )?from (?:under|behind)/iy,
    region: 'C',
    direction: 'o',
  },
  {
    said: /(?:over and )?(?:down|in) (?:and in )?(?:through|into) (?:the )?(?:neck[\s-]*loop|throat|neck|collar)/iy,
    region: 'C',
    direction: 'i',
  },
  {
    said: /(?:across|over|in front of) (?:the )?(?:front|top|tail|narrow end)|in front|(?:across|over)(?=$|[\s,;.]*(?:to|then|and|under|behind|up|$))/iy,
    region: 'side',
    direction: 'i',
  },
  {
    said: /(?:round |around |across )?behind(?: (?:the )?(?:tail|narrow end|knot))?|(?:round|around|across) the back|under(?:neath)?(?: (?:the )?(?:tail|narrow end|knot))?/iy,
    region: 'side',
    direction: 'o',
  },
  { said: /up(?=$|[\s,;.]*(?:and|then|down|tuck|through|$))/iy, region: 'C', direction: 'o' },
  {
    said: /(?:and )?down(?=$|[\s,;.]*$)|(?:tuck(?: it| the blade)? (?:in|down)|tuck)(?=$|[\s,;.]*$)|(?:and )?through(?=[\s,;.]*$)/iy,
    region: 'C',
    direction: 'tuck',
  },
];

/**
 * Reads a sequence told as manoeuvres: `across the front, behind, up and out through the throat,
 * down through the front`. From a side, the other side is meant; from the throat the side is
 * told after it (`to the left`), or is the one the start was not on.
 */
function readManoeuvres(text: string, frame: Frame): Spoken | undefined {
  const moves: Move[] = [];
  const start: Region = swapsSides(frame) ? 'L' : 'R';
  let { at, active } = readActive(text);
  let loose: LooseTurns | undefined;
  let finish = supposedFinish(active);
  while (at < text.length) {
    const isLoose = matchAt(opening, text, at);
    if (isLoose) at = skip(text, isLoose.end);
    const manoeuvre = manoeuvres.find(({ said }) => matchAt(said, text, at));
    if (!manoeuvre) return undefined;
    at = manoeuvre.said.lastIndex;
    toSide.lastIndex = at;
    const told = toSide.exec(text);
    if (told) at = toSide.lastIndex;
    at = skip(text, at);
    if (manoeuvre.direction !== 'i' && manoeuvre.direction !== 'o') {
      finish = manoeuvre.direction;
      if (at < text.length || moves.length === 0) return undefined;
      break;
    }
    const from = moves.at(-1)?.region ?? start;
    const side = told?.[1] ? regionOf(told[1]) : otherSide(from === 'C' ? start : from);
    moves.push({ region: manoeuvre.region === 'C' ? 'C' : side, direction: manoeuvre.direction });
    if (isLoose) loose = { from: loose?.from ?? moves.length, diameterMm: twoFingersMm };
    else if (loose) throw drawnOverLoose(moves.length);
  }
  return moves.length > 0 ? { moves, active, finish, ...(loose && { loose }) } : undefined;
}

/** The match of a sticky expression at a place, and where it ends. */
function matchAt(
  expression: RegExp,
  text: string,
  at: number,
): { readonly end: number; readonly groups: readonly (string | undefined)[] } | undefined {
  expression.lastIndex = at;
  const match = expression.exec(text);
  return match ? { end: expression.lastIndex, groups: match } : undefined;
}

/** Which end ties, told before anything else; the blade where nothing is said. */
function readActive(text: string): { at: number; active: ActiveEnd } {
  const at = skip(text, 0);
  const narrow = matchAt(narrowToken, text, at);
  return narrow ? { at: skip(text, narrow.end), active: 'narrow' } : { at, active: 'blade' };
}

function supposedFinish(active: ActiveEnd): Finish {
  return active === 'narrow' ? 'collar' : 'tuck';
}

const toSide = /\s*,?\s*(?:over )?to (?:the |your |the wearer’s |the client’s |client’s )?(left|right)/iy;

function otherSide(side: Region): Region {
  return side === 'L' ? 'R' : 'L';
}

function readMoves(text: string): Spoken {
  const moves: Move[] = [];
  let { at, active } = readActive(text);
  let finish: Finish | undefined;
  let opened: number | undefined;
  let loose: LooseTurns | undefined;
  while (at < text.length) {
    if (finish) {
      throw new KnotWordError(
        'after-finish',
        'Nothing can follow the tuck, the panel or the hidden end: it ends the knot.',
        moves.length + 1,
      );
    }
    const opens = matchAt(opening, text, at);
    const closes = matchAt(closing, text, at);
    const move = matchAt(moveToken, text, at);
    const ends = finishTokens.find(({ written }) => matchAt(written, text, at));
    if (opens) {
      if (opened !== undefined || loose) throw new KnotWordError('loose', 'Only one run of moves can be held loose: one pair of brackets.');
      opened = moves.length + 1;
      at = skip(text, opens.end);
    } else if (closes) {
      if (opened === undefined || moves.length < opened) throw new KnotWordError('loose', 'The brackets hold no moves between them.');
      loose = { from: opened, diameterMm: closes.groups[1] ? Number(closes.groups[1]) : twoFingersMm };
      opened = undefined;
      at = skip(text, closes.end);
    } else if (move?.groups[1] && move.groups[2]) {
      if (loose) throw drawnOverLoose(moves.length + 1);
      moves.push({ region: regionOf(move.groups[1]), direction: directionOf(move.groups[2]) });
      at = skip(text, move.end);
    } else if (ends) {
      finish = ends.finish;
      at = skip(text, ends.written.lastIndex);
    } else {
      const fragment = text.slice(at).split(/[\s,;]/, 1)[0] ?? '';
      throw new KnotWordError(
        'unreadable',
        `Move ${moves.length + 1} cannot be read: “${fragment.slice(0, 20)}”. Write a side and a direction, as in Li, Ro or Co.`,
        moves.length + 1,
      );
    }
  }
  if (opened !== undefined) throw new KnotWordError('loose', 'A bracket is opened and not closed: say where the loose turns end.');
  return { moves, active, finish: finish ?? supposedFinish(active), ...(loose && { loose }) };
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
