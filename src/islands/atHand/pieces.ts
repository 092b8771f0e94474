/** What is set for a fitting, piece by piece. */
export const pieces = ['client', 'shirt', 'jacket', 'tie', 'aim'] as const;
export type PieceCode = (typeof pieces)[number];

/** What may stand beside the fitting to be compared with it. */
export const besidePieces = ['knot', 'tie', 'shirt'] as const;
export type BesidePiece = (typeof besidePieces)[number];

/** The fitting with one thing exchanged: another tie, another shirt, or another knot, by its canonical moves. */
export interface Beside {
  readonly piece: BesidePiece;
  readonly id: string;
}
