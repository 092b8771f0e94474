import type { ColourShare } from './cloth.ts';

/** Shares in whole hundredths that make up 100. */
export function inHundredths(shares: readonly ColourShare[]): number[] {
  const parts = shares.map(({ share }) => Math.max(1, Math.round(share * 100)));
  const rest = 100 - parts.reduce((sum, part) => sum + part, 0);
  return parts.map((part, i) => (i === 0 ? part + rest : part));
}
