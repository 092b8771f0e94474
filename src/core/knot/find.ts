import { knotOfCode } from './code.ts';
import { editDistance } from './editDistance.ts';
import { formatKnot } from './format.ts';
import { type Frame, frames, ownRight } from './frame.ts';
import type { Knot } from './knot.ts';
import { type NamedWord, namedWords } from './names.ts';
import { parseKnot } from './parse.ts';
import { KnotWordError } from './wordError.ts';

/** What a person may have meant by a text. */
export type Found =
  /** One knot, beyond doubt. */
  | { readonly kind: 'one'; readonly knot: Knot }
  /** Several pass under this name: which of them is meant has to be asked. */
  | { readonly kind: 'several'; readonly name: string; readonly knots: readonly Knot[] }
  /** Names that begin so, or that are spelled nearly so. */
  | { readonly kind: 'names'; readonly entries: readonly NamedWord[] }
  /** Written as moves, and no knot: what is wrong with it. */
  | { readonly kind: 'illegal'; readonly error: KnotWordError }
  | { readonly kind: 'nothing' };

/** Figures that stand in names for their words. */
const figures: Readonly<Record<string, string>> = { '1': 'one', '2': 'two', '3': 'three', '4': 'four' };

/** Words as they are compared: case, accents, hyphens, figures and “knot” aside. */
function plain(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\b(?:the|a|an|knot)\b/g, '')
    .replace(/\b[1-4]\b/g, (figure) => figures[figure] ?? figure)
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
}

/**
 * Finds a knot by its name or alias, its code, or its moves spoken in `frame`. A family's name
 * (Windsor, Half-Windsor) stands for all that pass under it; a near miss of a name finds the name.
 */
export function findKnot(text: string, frame: Frame = ownRight): Found {
  const sought = plain(text);
  if (sought === '') return { kind: 'nothing' };
  const family = namedWords.filter(({ family: name }) => name !== undefined && plain(name) === sought);
  if (family.length > 1) return { kind: 'several', name: family[0]?.family ?? text, knots: family.map(({ word }) => parseKnot(word)) };
  const named = namedWords.find(({ names }) => names.some((name) => plain(name) === sought));
  if (named) return { kind: 'one', knot: parseKnot(named.word) };
  const coded = knotOfCode(text.trim().replace(/^knot\s+/i, ''));
  if (coded) return { kind: 'one', knot: coded };
  const begun = namedWords.filter(({ names }) => names.some((name) => plain(name).startsWith(sought)));
  // Names in use before mere descriptions.
  const inUse = begun.filter(({ described }) => !described);
  if (begun.length > 0) return { kind: 'names', entries: inUse.length > 0 ? inUse : begun };
  try {
    return { kind: 'one', knot: parseKnot(text, frame) };
  } catch (error) {
    if (!(error instanceof KnotWordError)) throw error;
    if (error.rule !== 'unreadable' || error.move !== 1) return { kind: 'illegal', error };
    const near = nearNames(sought);
    return near.length > 0 ? { kind: 'names', entries: near } : { kind: 'nothing' };
  }
}

/** Slips of a name: a letter in so many, as they are typed. */
const lettersASlip = 4;
const mostNear = 4;

function nearNames(sought: string): NamedWord[] {
  const letters = [...sought.replaceAll(' ', '')];
  const most = Math.floor(letters.length / lettersASlip);
  return namedWords
    .filter(({ described }) => !described)
    .map((entry) => ({ entry, slips: Math.min(...entry.names.map((name) => editDistance(letters, [...plain(name).replaceAll(' ', '')]))) }))
    .filter(({ slips }) => slips <= most)
    .toSorted((a, b) => a.slips - b.slips)
    .slice(0, mostNear)
    .map(({ entry }) => entry);
}

/** In which other frames moves that are illegal as they stand would be a knot. */
export function framesThatRead(text: string): Frame[] {
  return frames.filter((frame) => {
    try {
      return formatKnot(parseKnot(text, frame)) !== '';
    } catch {
      return false;
    }
  });
}
