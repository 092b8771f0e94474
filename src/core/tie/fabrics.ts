/** How a fabric behaves in a knot, and how it looks. */
export interface Fabric {
  readonly label: string;
  /** Does the knot hold by itself? 0 (slips) to 1 (locks). */
  readonly grip: number;
  /** Will a pressed fold stay? 0 to 1. */
  readonly dimple: number;
  /** How hard it is to bend around a small knot, 0 (drapes) to 1 (boards). */
  readonly stiffness: number;
  /** What remains of its measured thickness once the layers are drawn together, 0 to 1. */
  readonly compression: number;
  /** Square ends keep their full width to the tip, unless the tie itself says otherwise. */
  readonly squareEnds: boolean;
  /** How brightly it catches the light, 0 (dull) to 1 (satin). */
  readonly sheen: number;
  /** How formal a tie of it reads, 0 (a day off) to 1 (evening). */
  readonly formality: number;
}

/**
 * The one table of fabrics; everything that depends on the fabric reads it here, but for the words of its care. The figures
 * are priors from handling, not measurements; woven silk's compression is the model's own 0.62.
 */
export const fabrics = {
  'woven-silk': {
    label: 'woven silk',
    grip: 0.75,
    dimple: 0.85,
    stiffness: 0.45,
    compression: 0.62,
    squareEnds: false,
    sheen: 0.45,
    formality: 0.9,
  },
  'printed-silk': {
    label: 'printed silk',
    grip: 0.45,
    dimple: 0.6,
    stiffness: 0.3,
    compression: 0.64,
    squareEnds: false,
    sheen: 0.73,
    formality: 0.75,
  },
  satin: {
    label: 'satin',
    grip: 0.3,
    dimple: 0.5,
    stiffness: 0.4,
    compression: 0.66,
    squareEnds: false,
    sheen: 0.82,
    formality: 1,
  },
  grenadine: {
    label: 'grenadine',
    grip: 0.9,
    dimple: 0.8,
    stiffness: 0.35,
    compression: 0.55,
    squareEnds: false,
    sheen: 0.2,
    formality: 0.8,
  },
  wool: {
    label: 'wool',
    grip: 0.95,
    dimple: 0.6,
    stiffness: 0.4,
    compression: 0.56,
    squareEnds: false,
    sheen: 0.05,
    formality: 0.4,
  },
  cotton: {
    label: 'cotton',
    grip: 0.8,
    dimple: 0.6,
    stiffness: 0.55,
    compression: 0.64,
    squareEnds: false,
    sheen: 0.15,
    formality: 0.35,
  },
  linen: {
    label: 'linen',
    grip: 0.85,
    dimple: 0.55,
    stiffness: 0.65,
    compression: 0.66,
    squareEnds: false,
    sheen: 0.15,
    formality: 0.3,
  },
  knit: {
    label: 'knit',
    grip: 1,
    dimple: 0.35,
    stiffness: 0.2,
    compression: 0.5,
    squareEnds: true,
    sheen: 0.05,
    formality: 0.2,
  },
  polyester: {
    label: 'polyester',
    grip: 0.55,
    dimple: 0.4,
    stiffness: 0.8,
    compression: 0.7,
    squareEnds: false,
    sheen: 0.67,
    formality: 0.6,
  },
} as const satisfies Record<string, Fabric>;

export type FabricCode = keyof typeof fabrics;
export const fabricCodes = Object.keys(fabrics) as FabricCode[];

interface Trait {
  readonly label: string;
  /** What it means for the tying. */
  readonly about: string;
  /** From the lowest value up. */
  readonly words: readonly [string, string, string];
  readonly of: (fabric: Fabric) => number;
}

/** What is told of a fabric, and what each value means. */
export const fabricTraits: readonly Trait[] = [
  {
    label: 'Grip',
    about: 'whether the knot holds by itself; knots of many loose turns need a fabric that grips',
    words: ['slips, so tie it tight', 'holds', 'holds any knot'],
    of: ({ grip }) => grip,
  },
  {
    label: 'Dimple',
    about: 'whether a fold pressed under the knot stays',
    words: ['takes only a soft fold', 'takes one with care', 'takes one and keeps it'],
    of: ({ dimple }) => dimple,
  },
  {
    label: 'Stiffness',
    about: 'how hard it is to bend around a small knot',
    words: ['drapes softly', 'has some body', 'stands stiff, poor in a small knot'],
    of: ({ stiffness }) => stiffness,
  },
  {
    label: 'Compression',
    about: 'what is left of its thickness once the knot is drawn up: the less, the smaller the knot for its thickness',
    words: ['draws up small', 'draws up a third', 'stays bulky'],
    of: ({ compression }) => (compression - 0.45) / 0.3,
  },
];

/** A trait's value in words. */
export function traitWord({ words, of }: Trait, fabric: Fabric): string {
  const value = of(fabric);
  return value < 0.4 ? words[0] : value < 0.72 ? words[1] : words[2];
}
