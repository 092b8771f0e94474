/** `quiet`: how well a dimple reads on it. `directional`: it shows a lean. */
export interface Pattern {
  readonly label: string;
  readonly quiet: boolean;
  readonly directional: boolean;
}

export const patterns = {
  solid: { label: 'solid', quiet: true, directional: false },
  stripe: { label: 'stripe', quiet: true, directional: true },
  dots: { label: 'neat', quiet: true, directional: false },
  check: { label: 'check', quiet: false, directional: true },
  large: { label: 'large motif', quiet: false, directional: false },
} as const satisfies Record<string, Pattern>;

export type PatternCode = keyof typeof patterns;
export const patternCodes = Object.keys(patterns) as PatternCode[];
