import { type ColouredCloth, type ColourShare, sharesOf } from './cloth.ts';
import { differenceCiede2000, formatHex, toLab } from './culori.ts';

export interface Lab {
  /** CIELAB lightness, 0 black to 100 white. */
  readonly lightness: number;
  readonly a: number;
  readonly b: number;
}

const ciede2000 = differenceCiede2000();

/** A colour in CIELAB (D65). Throws on text that is no colour. */
export function labOf(colour: string): Lab {
  const lab = toLab(colour);
  if (!lab) throw new Error(`“${colour}” is not a colour`);
  return { lightness: lab.l, a: lab.a, b: lab.b };
}

/** The grey of a given CIELAB lightness, as `#rrggbb`. */
export function greyOf(lightness: number): string {
  return formatHex({ mode: 'lab65', l: lightness, a: 0, b: 0 });
}

/** What a cloth looks like from a few steps away: its colours mixed by their shares. */
export function mixOf(shares: readonly ColourShare[]): Lab {
  const total = shares.reduce((sum, { share }) => sum + share, 0) || 1;
  const mean = (part: (lab: Lab) => number) => shares.reduce((sum, { colour, share }) => sum + part(labOf(colour)) * share, 0) / total;
  return { lightness: mean((lab) => lab.lightness), a: mean((lab) => lab.a), b: mean((lab) => lab.b) };
}

/** CIEDE2000 colour difference; about 2 can just be told apart side by side, 50 is another world. */
export function colourDifference(one: Lab, other: Lab): number {
  return ciede2000(asCulori(one), asCulori(other));
}

function asCulori({ lightness, a, b }: Lab) {
  return { mode: 'lab65' as const, l: lightness, a, b };
}

export type ContrastReading = 'dressy' | 'casual' | 'too-close' | 'even';
export type Undertone = 'warmer' | 'cooler' | 'alike';

export interface TieOnShirt {
  /** Lightness of the shirt less that of the tie: positive where the tie is the darker. */
  readonly contrast: number;
  readonly difference: number;
  readonly reading: ContrastReading;
  readonly undertone: Undertone;
}

/** Below this they are hard to tell apart at arm's length. */
const tellApartFrom = 12;
/** Lightness steps that read as clearly darker or lighter. */
export const clearContrast = 20;
const undertoneFrom = 8;
/** Warm colours lie toward orange, cool ones away from it: the direction in the a-b plane, radians. */
const warmHue = (60 * Math.PI) / 180;

/** How a tie stands against a shirt, by lightness, difference and undertone. The tie by its colours and their shares. */
export function tieOnShirt(cloth: ColouredCloth, shirtColour: string): TieOnShirt {
  const tie = mixOf(sharesOf(cloth));
  const shirt = labOf(shirtColour);
  const contrast = shirt.lightness - tie.lightness;
  const difference = colourDifference(tie, shirt);
  const warmth = (lab: Lab) => lab.a * Math.cos(warmHue) + lab.b * Math.sin(warmHue);
  const warmer = warmth(tie) - warmth(shirt);
  return {
    contrast,
    difference,
    reading: readingOf(contrast, difference),
    undertone: Math.abs(warmer) < undertoneFrom ? 'alike' : warmer > 0 ? 'warmer' : 'cooler',
  };
}

function readingOf(contrast: number, difference: number): ContrastReading {
  if (difference < tellApartFrom) return 'too-close';
  if (contrast >= clearContrast) return 'dressy';
  if (contrast <= -clearContrast) return 'casual';
  return 'even';
}

export type Standing = 'recedes' | 'sits' | 'stands-out';

/** Nearer than this a tie goes under in what it is worn with; beyond the second it is what is seen first. */
const recedesBelow = 14;
const standsOutFrom = 38;

/** Whether a tie stands out of a piece it is worn with, or recedes into it, by the difference of their colours. */
export function standingOn(cloth: ColouredCloth, pieceColour: string): Standing {
  const difference = colourDifference(mixOf(sharesOf(cloth)), labOf(pieceColour));
  return difference < recedesBelow ? 'recedes' : difference >= standsOutFrom ? 'stands-out' : 'sits';
}
