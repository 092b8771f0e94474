/** How a cloth behaves in a knot. Each share runs from 0 (not at all) to 1 (fully). */
export interface Fabric {
  readonly label: string;
  /** Does the knot hold by itself? */
  readonly grip: number;
  /** Will a pressed fold stay? */
  readonly dimple: number;
  /** Square ends keep their full width to the tip. */
  readonly squareEnds: boolean;
}

/** The one table of cloths; everything that depends on the fabric reads it here. */
export const fabrics = {
  'woven-silk': { label: 'woven silk', grip: 0.75, dimple: 0.85, squareEnds: false },
  'printed-silk': { label: 'printed silk', grip: 0.45, dimple: 0.6, squareEnds: false },
  satin: { label: 'satin', grip: 0.3, dimple: 0.5, squareEnds: false },
  grenadine: { label: 'grenadine', grip: 0.9, dimple: 0.8, squareEnds: false },
  wool: { label: 'wool', grip: 0.95, dimple: 0.6, squareEnds: false },
  cotton: { label: 'cotton', grip: 0.8, dimple: 0.6, squareEnds: false },
  linen: { label: 'linen', grip: 0.85, dimple: 0.55, squareEnds: false },
  knit: { label: 'knit', grip: 1, dimple: 0.35, squareEnds: true },
  polyester: { label: 'polyester', grip: 0.55, dimple: 0.4, squareEnds: false },
} as const satisfies Record<string, Fabric>;

export type FabricCode = keyof typeof fabrics;
export const fabricCodes = Object.keys(fabrics) as FabricCode[];
