/** One colour of a cloth and how much of it there is. */
export interface ColourShare {
  /** `#rrggbb`. */
  readonly colour: string;
  /** Part of the cloth, 0 to 1. */
  readonly share: number;
}

/** What is supposed of a cloth's shares when only its colours are known: the ground is most of it. */
const groundShare = 0.7;

/** A cloth by its colours, ground first, and, where they were judged, their shares in hundredths. */
export interface ColouredCloth {
  readonly colours: readonly string[];
  readonly shares?: readonly number[] | null;
}

/** The colours as shares that make up 1. */
export function sharesOf({ colours, shares }: ColouredCloth): ColourShare[] {
  const total = shares?.length === colours.length ? shares.reduce((sum, share) => sum + share, 0) : 0;
  if (shares && total > 0) return colours.map((colour, i) => ({ colour, share: (shares[i] ?? 0) / total }));
  const others = colours.length - 1;
  if (others < 1) return colours.map((colour) => ({ colour, share: 1 }));
  return colours.map((colour, i) => ({ colour, share: i === 0 ? groundShare : (1 - groundShare) / others }));
}

/** Shares in whole hundredths that make up 100, as supposed for so many colours. */
export function supposedShares(count: number): number[] {
  const parts = sharesOf({ colours: Array.from({ length: count }, () => '') }).map(({ share }) => Math.round(share * 100));
  const rest = 100 - parts.reduce((sum, part) => sum + part, 0);
  return parts.map((part, i) => (i === 0 ? part + rest : part));
}
