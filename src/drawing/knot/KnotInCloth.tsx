import type { Frame } from '../../core/index.ts';
import type { KnotPicture } from './picture.ts';

/** So much of a cell's edge is not shown, for what its neighbours let shine over. */
const rimPx = 2;

interface KnotInClothProps {
  readonly picture: KnotPicture;
  /** How wide it is to be at the top, mm. */
  readonly topMm: number;
  readonly frame: Frame;
}

/** The picture of a knot tied in cloth, its upper edge at 0, in millimetres of the drawing it stands in. */
export function KnotInCloth({ picture, topMm, frame: { view, blade } }: KnotInClothProps) {
  const { href, sheetPx, cellPx, pxPerMm, topPx } = picture;
  const [x, y, width, height] = cellPx;
  const mm = topMm / picture.topMm / pxPerMm;
  const isMirrored = (view === 'facing') !== (blade === 'left');
  return (
    <g transform={`scale(${isMirrored ? -mm : mm} ${mm}) translate(${-width / 2} ${-topPx})`}>
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
}
