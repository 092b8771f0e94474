import { formatKnot } from './format.ts';
import type { Knot, Manner } from './knot.ts';
import { usuallyLoose } from './manners.ts';
import { parseKnot } from './parse.ts';

/**
 * What people call the sequences. The word is the truth and the names are labels on it:
 * one name can stand on several words, one word can carry several names. The first name
 * is the one Ropewalk speaks; it is unique, so variants that pass under one name carry
 * their number in the family.
 */
export interface NamedWord {
  readonly word: string;
  readonly names: readonly [string, ...string[]];
  /** The name under which several words pass, when there is one. */
  readonly family?: string;
  /** One of the few that most stylists tie without looking it up. */
  readonly everyday?: true;
  /** Put together from parts: a description rather than a name in use. */
  readonly described?: true;
}

const classicWords: readonly NamedWord[] = [
  { word: 'Lo Ri Co T', names: ['Simple', 'Oriental'] },
  { word: 'Li Ro Li Co T', names: ['Four-in-hand'], everyday: true },
  { word: 'Lo Ri Lo Ri Co T', names: ['Kelvin'] },
  { word: 'Lo Ci Ro Li Co T', names: ['Nicky'] },
  { word: 'Lo Ci Lo Ri Co T', names: ['Pratt'] },
  { word: 'Li Ro Li Ro Li Co T', names: ['Victoria'] },
  { word: 'Li Ro Ci Lo Ri Co T', names: ['Half-Windsor'], family: 'Half-Windsor', everyday: true },
  { word: 'Li Ro Ci Ro Li Co T', names: ['Half-Windsor, pulls open'], family: 'Half-Windsor' },
  { word: 'Lo Ri Lo Ci Ro Li Co T', names: ['St Andrew'] },
  { word: 'Lo Ci Ro Ci Lo Ri Co T', names: ['Plattsburgh'] },
  { word: 'Li Ro Li Co Ri Lo Ri Co T', names: ['Cavendish'] },
  {
    word: 'Li Co Ri Lo Ci Ro Li Co T',
    names: ['Windsor', 'Full Windsor', 'Double Windsor', 'Plain Windsor'],
    family: 'Windsor',
    everyday: true,
  },
  { word: 'Li Co Li Ro Ci Ro Li Co T', names: ['Windsor, variant 2'], family: 'Windsor' },
  { word: 'Li Co Li Ro Ci Lo Ri Co T', names: ['Windsor, variant 3'], family: 'Windsor' },
  { word: 'Li Co Ri Lo Ci Lo Ri Co T', names: ['Windsor, variant 4'], family: 'Windsor' },
  { word: 'Li Ro Li Co Ri Lo Ci Ro Li Co T', names: ['Triple Windsor'] },
];

/** How a knot is described that is tied like a classic one but for its manner. */
const likeClassic: readonly { readonly manner: Manner; readonly called: (name: string) => string }[] = [
  { manner: { active: 'blade', finish: 'open' }, called: (name) => `${name} (open front)` },
  { manner: { active: 'narrow', finish: 'tuck' }, called: (name) => `${name} (tail ties)` },
  { manner: { active: 'narrow', finish: 'collar' }, called: (name) => `${name} (tail ties, hidden)` },
];

function derived({ word, names: [first, ...others], family }: NamedWord): NamedWord[] {
  const classicKnot = parseKnot(word);
  return likeClassic.map(({ manner, called }) => {
    const loose = usuallyLoose(classicKnot.moves.length, manner);
    return {
      word: formatKnot({ moves: classicKnot.moves, ...manner, ...(loose && { loose }) }),
      names: [called(first), ...others.map(called)],
      described: true,
      ...(family && { family: called(family) }),
    };
  });
}

/** Every word that has a name, the classic ones first. */
export const namedWords: readonly NamedWord[] = [
  ...classicWords,
  { word: 'Li Co D', names: ['Plain panel'], described: true },
  ...classicWords.flatMap(derived),
];

const byWord = new Map(namedWords.map((entry) => [entry.word, entry]));

/** What is known of a canonical word by name; `undefined` for most words. */
export function namedWord(word: string): NamedWord | undefined {
  return byWord.get(word);
}

/** The words that pass under one name. */
export function familyOf(name: string): NamedWord[] {
  return namedWords.filter(({ family }) => family === name);
}

/** What a knot is called, the name that Ropewalk speaks first; empty for most. */
export function namesOf(knot: Knot): readonly string[] {
  return namedWord(formatKnot(knot))?.names ?? [];
}
