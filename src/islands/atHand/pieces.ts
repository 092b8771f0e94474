/** What is set for a fitting, piece by piece. */
export const groups = ['client', 'shirt', 'jacket', 'tie', 'aim'] as const;
export type PieceCode = (typeof groups)[number];
