/** What is taken as usual where nothing was measured: who a piece is drawn on, what a tie is drawn with. Lengths in mm. */

/** A wearer of usual height and collar size. */
export const usualWearer = { heightMm: 1780, neckMm: 395 } as const;

/** A tie as most shops have it. */
export const usualTie = { lengthMm: 1470, bladeMm: 80, thicknessMm: 3 } as const;

/** A belt as most are: its middle lies half of it below the top edge. */
export const usualBeltMm = 35;

/** A lapel as most jackets have it. */
export const usualLapelMm = 85;

/** The colours things are drawn in before theirs are known. */
export const usualColours = { shirt: '#f6f7f9', jacket: '#5a626b', tie: '#4a5a78' } as const;
