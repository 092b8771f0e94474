/** A knot tied in cloth, small, as one cell of a larger picture; as the wearer sees it in his mirror, the blade started on his right. */
export interface KnotPicture {
  readonly href: string;
  /** The whole picture and the cell in it, px. */
  readonly sheetPx: readonly [width: number, height: number];
  readonly cellPx: readonly [x: number, y: number, width: number, height: number];
  readonly pxPerMm: number;
  /** From the cell's upper edge to the knot's. */
  readonly topPx: number;
  /** How wide the knot in it is at the top, and how high, mm. */
  readonly topMm: number;
  readonly heightMm: number;
}
