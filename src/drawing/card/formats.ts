/** A card to take home, in the sizes that printers know, and a strip to lay before every place of a class. mm and points. */
export const cardFormats = {
  a5: { label: 'A5', widthMm: 148, heightMm: 210, columns: 4, words: 'whole', textMm: 2.9, titleMm: 7 },
  a6: { label: 'A6', widthMm: 105, heightMm: 148, columns: 4, words: 'short', textMm: 2.35, titleMm: 5 },
  /** Fewer words and larger pictures. */
  child: { label: 'for a child', widthMm: 148, heightMm: 210, columns: 3, words: 'short', textMm: 3.9, titleMm: 8 },
  strip: { label: 'strip', widthMm: 297, heightMm: 104, columns: 0, words: 'short', textMm: 2.6, titleMm: 6 },
} as const satisfies Record<
  string,
  {
    readonly label: string;
    readonly widthMm: number;
    readonly heightMm: number;
    /** Pictures side by side; 0 for all in one row. */
    readonly columns: number;
    readonly words: 'whole' | 'short';
    readonly textMm: number;
    readonly titleMm: number;
  }
>;

export type CardFormat = keyof typeof cardFormats;
