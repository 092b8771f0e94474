/** One colour of a cloth and how much of it there is. */
export interface ColourShare {
  /** `#rrggbb`. */
  readonly colour: string;
  /** Part of the cloth, 0 to 1. */
  readonly share: number;
}

/** What is supposed of a cloth's shares when only its colours are known: the ground is most of it. */
const groundShare = 0.7;

/** Colours with the ground first, as shares that make up 1. */
export function sharesOf(colours: readonly string[]): ColourShare[] {
  const others = colours.length - 1;
  if (others < 1) return colours.map((colour) => ({ colour, share: 1 }));
  return colours.map((colour, i) => ({ colour, share: i === 0 ? groundShare : (1 - groundShare) / others }));
}
