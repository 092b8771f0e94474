import equal from 'fast-deep-equal';
import { memo } from 'react';
import type { Frame, KnotShape } from '../../core/index.ts';
import { type KnotPicture, scaleOf } from './picture.ts';

/** So much of a cell's edge is not shown, for what its neighbours let shine over. */
const rimPx = 2;

interface KnotInClothProps {
  readonly picture: KnotPicture;
  /** How wide at the top and how high it is to be. */
  readonly shape: Pick<KnotShape, 'topMm' | 'heightMm'>;
  readonly frame: Frame;
}

/** The picture of a knot tied in cloth, its upper edge at 0, in millimetres of the drawing it stands in. */
export const KnotInCloth = memo(function KnotInCloth({ picture, shape, frame }: KnotInClothProps) {
  const { href, sheetPx, cellPx, pxPerMm, topPx } = picture;
  const [x, y, width, height] = cellPx;
  const [across, down] = scaleOf(picture, shape, frame);
  return (
    <g transform={`scale(${across / pxPerMm} ${down / pxPerMm}) translate(${-width / 2} ${-topPx})`}>
      <svg
        x={rimPx}
        y={rimPx}
        width={width - 2 * rimPx}
        height={height - 2 * rimPx}
        viewBox={`${x + rimPx} ${y + rimPx} ${width - 2 * rimPx} ${height - 2 * rimPx}`}
        aria-hidden="true"
      >
        <image href={href} width={sheetPx[0]} height={sheetPx[1]} />
      </svg>
    </g>
  );
}, equal);
