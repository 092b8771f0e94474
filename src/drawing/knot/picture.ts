import type { Frame, KnotShape } from '../../core/index.ts';

/** A knot tied in cloth, small, as one cell of a larger picture; as seen in the wearer's mirror, the blade started on the wearer's right. */
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
  /** From where to where across its foot reaches, out of which the blade comes, mm. */
  readonly footMm?: readonly [fromMm: number, toMm: number] | undefined;
}

/** A picture is drawn out in height against its width by so much at most either way. */
const mostDrawnOut = 1.4;

/** How many times larger a picture is drawn across and down, for a knot of a shape; less than 0 across where it is mirrored. */
export function scaleOf(
  { topMm, heightMm }: KnotPicture,
  shape: Pick<KnotShape, 'topMm' | 'heightMm'>,
  { view, blade }: Frame,
): readonly [across: number, down: number] {
  const across = shape.topMm / topMm;
  const down = Math.max(across / mostDrawnOut, Math.min(across * mostDrawnOut, shape.heightMm / heightMm));
  const isMirrored = (view === 'facing') !== (blade === 'left');
  return [isMirrored ? -across : across, down];
}
