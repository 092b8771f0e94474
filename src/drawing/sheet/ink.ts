/** What a mark means: set by the stylist, following from it, outside tolerance, or neither. */
export type Ink = 'set' | 'follows' | 'outside' | 'plain';

export const inkColour: Readonly<Record<Ink, string>> = {
  set: 'var(--color-set)',
  follows: 'var(--color-follows)',
  outside: 'var(--color-outside)',
  plain: 'var(--color-soft)',
};
