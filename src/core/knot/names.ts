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
  readonly family?: 'Windsor' | 'half-Windsor';
  /** One of the few that most stylists tie without looking it up. */
  readonly everyday?: true;
}

export const namedWords: readonly NamedWord[] = [
  { word: 'Lo Ri Co T', names: ['oriental', 'simple knot'] },
  { word: 'Li Ro Li Co T', names: ['four-in-hand'], everyday: true },
  { word: 'Lo Ci Ro Li Co T', names: ['nicky'] },
  { word: 'Lo Ci Lo Ri Co T', names: ['pratt'] },
  { word: 'Li Ro Li Ro Li Co T', names: ['victoria'] },
  { word: 'Li Ro Ci Lo Ri Co T', names: ['half-Windsor'], family: 'half-Windsor', everyday: true },
  { word: 'Li Ro Ci Ro Li Co T', names: ['half-Windsor, releasing sister'], family: 'half-Windsor' },
  { word: 'Lo Ri Lo Ci Ro Li Co T', names: ['St Andrew'] },
  { word: 'Lo Ci Ro Ci Lo Ri Co T', names: ['plattsburgh'] },
  { word: 'Li Ro Li Co Ri Lo Ri Co T', names: ['cavendish'] },
  {
    word: 'Li Co Ri Lo Ci Ro Li Co T',
    names: ['Windsor', 'full Windsor', 'double Windsor', 'plain Windsor'],
    family: 'Windsor',
    everyday: true,
  },
  { word: 'Li Co Li Ro Ci Ro Li Co T', names: ['Windsor, second path'], family: 'Windsor' },
  { word: 'Li Co Li Ro Ci Lo Ri Co T', names: ['Windsor, third path'], family: 'Windsor' },
  { word: 'Li Co Ri Lo Ci Lo Ri Co T', names: ['Windsor, fourth path'], family: 'Windsor' },
  { word: 'Li Ro Li Co Ri Lo Ci Ro Li Co T', names: ['triple Windsor'] },
];

const byWord = new Map(namedWords.map((entry) => [entry.word, entry]));

/** What is known of a canonical word by name; `undefined` for most words. */
export function namedWord(word: string): NamedWord | undefined {
  return byWord.get(word);
}
