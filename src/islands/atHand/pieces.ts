/** What is set for a fitting, piece by piece. */
export const pieces = ['client', 'shirt', 'jacket', 'tie', 'aim'] as const;
export type PieceCode = (typeof pieces)[number];
