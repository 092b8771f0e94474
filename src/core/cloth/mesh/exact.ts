/** Adding and taking away again rounds to 2⁻³² mm. */
const rounder = 1.5 * 2 ** 20;

/** Rounded to 2⁻³²: sums of such figures, up to a million, are exact, in whatever order they are made. */
export function rounded(figure: number): number {
  return figure + rounder - rounder;
}
