import { hardshipsOf } from '../knot/difficulty.ts';
import { leanWord } from '../plan/criteria/symmetry.ts';
import { type MappedKnot, signedLean } from './mappedKnots.ts';
import { unlike } from './similar.ts';

/** One thing asked of a knot, against the one it is looked for from. */
interface Wish {
  /** How it is told again. */
  readonly label: string;
  /** The words it is asked by. */
  readonly words: RegExp;
  readonly holds: (knot: MappedKnot, from: MappedKnot) => boolean;
}

/** Less than this cannot be seen, mm; a bit of it is up to so much; much of it more. */
const seenMm = 0.6;
const bitMm = 6;
const seenShare = 0.01;

const top = ({ plan: { shape } }: MappedKnot) => shape.topMm;
const high = ({ plan: { shape } }: MappedKnot) => shape.heightMm;
const lean = (knot: MappedKnot) => leanWord(signedLean(knot));
const hard = ({ plan: { properties } }: MappedKnot) => hardshipsOf(properties).reduce((sum, { cost }) => sum + cost, 0);

/** What can be wished for. Sizes are against the knot it is looked for from, the rest is so or is not. */
const wishes = {
  larger: {
    label: 'larger',
    words: /\b(larger|bigger|wider|broader|bolder|fuller)\b/,
    holds: (knot, from) => top(knot) >= top(from) + seenMm,
  },
  smaller: {
    label: 'smaller',
    words: /\b(smaller|narrower|slimmer|quieter|neater)\b/,
    holds: (knot, from) => top(knot) <= top(from) - seenMm,
  },
  longer: {
    label: 'longer from top to bottom',
    words: /\b(taller|higher|longer)\b/,
    holds: (knot, from) => high(knot) >= high(from) + seenMm,
  },
  shorter: {
    label: 'shorter from top to bottom',
    words: /\b(shorter|flatter|lower)\b/,
    holds: (knot, from) => high(knot) <= high(from) - seenMm,
  },
  level: { label: 'level', words: /\b(level|straight|symmetrical|symmetric|even)\b/, holds: (knot) => lean(knot) === 'level' },
  leaning: {
    label: 'leaning',
    words: /\b(lean(s|ing)?|relaxed|crooked|asymmetric(al)?|uneven)\b/,
    holds: (knot) => lean(knot) !== 'level',
  },
  pullsOpen: {
    label: 'pulls open',
    words: /\b(pulls? open|self[- ]releasing|falls? open|undoes itself|releases)\b/,
    holds: ({ plan: { properties } }) => properties.selfReleasing,
  },
  staysKnotted: {
    label: 'does not pull open',
    words: /\b(does(n[’']t| not) pull open|stays (tied|knotted|shut)|locks)\b/,
    holds: ({ plan: { properties } }) => !properties.selfReleasing,
  },
  fewerMoves: {
    label: 'fewer moves',
    words: /\b(fewer moves|quicker|faster|simpler)\b/,
    holds: ({ plan }, from) => plan.properties.moves < from.plan.properties.moves,
  },
  moreMoves: {
    label: 'more moves',
    words: /\b(more moves|fancier)\b/,
    holds: ({ plan }, from) => plan.properties.moves > from.plan.properties.moves,
  },
  easier: { label: 'easier', words: /\b(easier|easy)\b/, holds: (knot, from) => hard(knot) < hard(from) - seenShare },
  takesMore: {
    label: 'takes up more',
    words: /\b(takes? up more|uses? more|for a long(er)? tie)\b/,
    holds: ({ plan }, from) => plan.takeUpMm > from.plan.takeUpMm + seenMm,
  },
  takesLess: {
    label: 'takes up less',
    words: /\b(takes? up less|uses? less|for a short(er)? tie)\b/,
    holds: ({ plan }, from) => plan.takeUpMm < from.plan.takeUpMm - seenMm,
  },
  works: { label: 'works with this tie', words: /\b(works?|possible)\b/, holds: ({ plan }) => plan.feasible },
} as const satisfies Record<string, Wish>;

export type WishCode = keyof typeof wishes;

export interface Likeness {
  readonly wishes: readonly WishCode[];
  /** Sizes not far from the one it is looked for from, or far from it. */
  readonly far: 'a bit' | 'much' | undefined;
}

/** Reads what is wished for of a knot, as “a bit larger than this, level, pulls open”; `undefined` where nothing is. */
export function readLikeness(text: string): Likeness | undefined {
  let left = text.toLowerCase();
  const asked: WishCode[] = [];
  // Longer phrases first: “doesn’t pull open” is not “pulls open”.
  const order: readonly WishCode[] = ['staysKnotted', 'takesMore', 'takesLess', ...(Object.keys(wishes) as WishCode[])];
  for (const code of new Set(order)) {
    const { words } = wishes[code];
    if (!words.test(left)) continue;
    asked.push(code);
    left = left.replace(words, ' ');
  }
  if (asked.length === 0) return undefined;
  const far = /\ba (bit|little)\b|\bslightly\b/.test(left) ? 'a bit' : /\bmuch\b|\bfar\b|\ba lot\b/.test(left) ? 'much' : undefined;
  return { wishes: asked, far };
}

/** What was understood, to be told again: `a bit larger, level, pulls open`. */
export function likenessInWords({ wishes: asked, far }: Likeness): string {
  return asked.map((code) => (far && sizes.has(code) ? `${far} ${wishes[code].label}` : wishes[code].label)).join(', ');
}

/** Wishes of more or less of a size, and which. */
const sizes: ReadonlyMap<WishCode, (knot: MappedKnot) => number> = new Map([
  ['larger', top],
  ['smaller', top],
  ['longer', high],
  ['shorter', high],
]);

/**
 * Knots that have all that is wished for, the most like the one it is looked for from first; those that work with the tie
 * come before those that don't.
 */
export function findAlike(from: MappedKnot, all: readonly MappedKnot[], { wishes: asked, far }: Likeness): MappedKnot[] {
  // Each size that was asked for is held to how far, by itself.
  const near = (knot: MappedKnot) =>
    far === undefined ||
    asked.every((code) => {
      const size = sizes.get(code);
      if (!size) return true;
      const apart = Math.abs(size(knot) - size(from));
      return far === 'a bit' ? apart <= bitMm : apart > bitMm;
    });
  const fitting = all.filter(
    (knot) => knot.plan.moves !== from.plan.moves && near(knot) && asked.every((code) => wishes[code].holds(knot, from)),
  );
  return fitting.toSorted((a, b) => Number(b.plan.feasible) - Number(a.plan.feasible) || unlike(a, from) - unlike(b, from));
}
