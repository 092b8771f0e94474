import { knotOfCode } from './code.ts';
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
  /** The beginnings of names that fit. */
  | { readonly kind: 'names'; readonly entries: readonly NamedWord[] }
  /** Written as a word, and no knot: what is wrong with it. */
  | { readonly kind: 'illegal'; readonly error: KnotWordError }
  | { readonly kind: 'nothing' };

/** Words as they are compared: case, accents, hyphens and “knot” aside. */
function plain(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\bknot\b/g, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
}

/**
 * Finds a knot by its name or alias, its code, or its word spoken in `frame`. A family's name
 * (Windsor, half-Windsor) stands for all that pass under it.
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
  if (begun.length > 0) return { kind: 'names', entries: begun };
  try {
    return { kind: 'one', knot: parseKnot(text, frame) };
  } catch (error) {
    if (!(error instanceof KnotWordError)) throw error;
    return error.rule === 'unreadable' && error.move === 1 ? { kind: 'nothing' } : { kind: 'illegal', error };
  }
}

/** In which other frames a word that is illegal as it stands would be a knot. */
export function framesThatRead(text: string): Frame[] {
  return frames.filter((frame) => {
    try {
      return formatKnot(parseKnot(text, frame)) !== '';
    } catch {
      return false;
    }
  });
}
