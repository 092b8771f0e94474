/** `quiet`: whether a dimple reads on it. `directional`: it shows a lean. `formality`: 0 (a day off) to 1 (evening). */
export interface Pattern {
  readonly label: string;
  readonly quiet: boolean;
  readonly directional: boolean;
  readonly formality: number;
}

export const patterns = {
  solid: { label: 'solid', quiet: true, directional: false, formality: 1 },
  stripe: { label: 'stripe', quiet: true, directional: true, formality: 0.7 },
  dots: { label: 'neat', quiet: true, directional: false, formality: 0.85 },
  check: { label: 'check', quiet: false, directional: true, formality: 0.45 },
  large: { label: 'large motif', quiet: false, directional: false, formality: 0.3 },
} as const satisfies Record<string, Pattern>;

export type PatternCode = keyof typeof patterns;
export const patternCodes = Object.keys(patterns) as PatternCode[];
