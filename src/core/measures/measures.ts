import type { Fineness } from '../units/length.ts';

/** All that is particular to one measure: its words, the range it can have, and how finely it is read. */
export interface Measure {
  readonly label: string;
  readonly minMm: number;
  readonly maxMm: number;
  readonly fineness?: Fineness;
  /** How it is taken, in a phrase. */
  readonly how: string;
}

/** The one table of lengths a stylist takes. Forms, request checks, drawings and the database's own ranges follow it. */
export const measures = {
  client: {
    heightMm: { label: 'Height', minMm: 900, maxMm: 2300, fineness: 'stature', how: 'standing, in the shoes to be worn' },
    neckMm: {
      label: 'Collar size',
      minMm: 240,
      maxMm: 600,
      how: 'the shirt’s collar size, or around the neck with a finger under the tape',
    },
    frontDropMm: {
      label: 'Collar button to belt',
      minMm: 200,
      maxMm: 750,
      how: 'collar button down the front to the top edge of the belt, trousers on',
    },
    beltHeightMm: { label: 'Belt width', minMm: 15, maxMm: 80, how: 'top edge to bottom edge of the belt worn' },
    crossingGapMm: { label: 'Gap below the collar button', minMm: 0, maxMm: 60, how: 'from the button to where the ends cross' },
    openLoopMm: { label: 'Open loop', minMm: 150, maxMm: 600, how: 'length of tie above the collar button while it hangs open' },
    crossedLoopMm: {
      label: 'Crossed loop',
      minMm: 240,
      maxMm: 760,
      how: 'length around the neck with the ends crossed at the usual place',
    },
  },
  shirt: {
    collarPointMm: { label: 'Point length', minMm: 40, maxMm: 140, how: 'along the collar’s front edge, button to point' },
    collarSpreadMm: {
      label: 'Collar spread (point to point)',
      minMm: 20,
      maxMm: 280,
      how: 'between the two points with the collar buttoned',
    },
    tieSpaceMm: { label: 'Tie space', minMm: 0, maxMm: 30, fineness: 'fine', how: 'between the leaves, at the button' },
    collarAllowanceMm: {
      label: 'Extra around the collar',
      minMm: 0,
      maxMm: 60,
      fineness: 'fine',
      how: 'what the tie goes around beyond the collar size',
    },
    standMm: { label: 'Collar stand', minMm: 15, maxMm: 70, fineness: 'fine', how: 'height of the neckband at the button' },
  },
  jacket: {
    lapelMm: { label: 'Lapel width', minMm: 30, maxMm: 160, how: 'at its broadest, square to the roll' },
    buttoningMm: { label: 'Buttoning point', minMm: 120, maxMm: 700, how: 'collar button down to the button that closes the jacket' },
  },
  tie: {
    lengthMm: { label: 'Length', minMm: 600, maxMm: 2000, how: 'tip to tip, laid flat' },
    bladeMm: { label: 'Blade', minMm: 25, maxMm: 130, how: 'the broad end at its widest' },
    thicknessMm: { label: 'Thickness', minMm: 0.8, maxMm: 8, fineness: 'thickness', how: 'both layers, pinched at mid-blade' },
    neckMm: { label: 'Neck', minMm: 12, maxMm: 80, how: 'at its narrowest, under the collar' },
    neckAtMm: { label: 'Neck from the tip', minMm: 250, maxMm: 1500, how: 'blade tip to the narrowest part' },
    tailMm: { label: 'Tail', minMm: 12, maxMm: 110, how: 'the tail at its widest' },
    keeperMm: { label: 'Keeper', minMm: 60, maxMm: 500, how: 'blade tip up to the keeper loop' },
  },
  person: {
    slackMm: { label: 'Slack of the crossed loop', minMm: 0, maxMm: 120, how: 'crossed loop less the closed one, ends crossed as usual' },
  },
  motif: {
    motifMm: {
      label: 'Crest or motif from the tip',
      minMm: 20,
      maxMm: 700,
      how: 'blade tip up to the middle of the crest or single motif',
    },
  },
  aim: {
    offsetMm: {
      label: 'Aim below belt top',
      minMm: -250,
      maxMm: 60,
      how: 'where the blade tip should end; above the belt top is negative',
    },
    aboveMm: { label: 'May end higher by', minMm: 0, maxMm: 250, how: 'still within tolerance' },
    belowMm: { label: 'May end lower by', minMm: 0, maxMm: 250, how: 'still within tolerance' },
  },
  tying: {
    setMm: { label: 'Set at', minMm: 50, maxMm: 1400, how: 'collar button down to the tip of the end that was set' },
    tipOffMm: { label: 'Blade tip ended', minMm: -900, maxMm: 900, how: 'below the belt top; above it is negative' },
    tailEndMm: { label: 'Tail tip ended', minMm: 30, maxMm: 1000, how: 'collar button down to the tail tip' },
    topMm: { label: 'Knot’s top width', minMm: 10, maxMm: 160, fineness: 'fine', how: 'across the top of the knot' },
    bottomMm: { label: 'Knot’s bottom width', minMm: 5, maxMm: 160, fineness: 'fine', how: 'across the knot where the blade leaves it' },
    heightMm: { label: 'Knot’s height', minMm: 10, maxMm: 160, fineness: 'fine', how: 'top of the knot to where the blade leaves it' },
    depthMm: { label: 'Knot’s depth', minMm: 5, maxMm: 90, fineness: 'fine', how: 'front to back with a calliper, not pressed' },
  },
} as const satisfies Record<string, Record<string, Measure>>;

export const buttonRangeMm = { min: 20, max: 900 } as const;
export const mostButtons = 12;

/** Widths measured along a tie, between blade and tail. */
export const mostWidths = 12;

/** Colours told of one fabric, the ground among them. */
export const mostColours = 4;
