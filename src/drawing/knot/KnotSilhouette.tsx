import equal from 'fast-deep-equal';
import { memo } from 'react';
import type { Frame, KnotShape } from '../../core/index.ts';
import { knotMark } from './face.ts';
import { KnotInCloth } from './KnotInCloth.tsx';
import type { KnotPicture } from './picture.ts';

interface KnotMarkProps {
  readonly word: string;
  readonly shape: KnotShape;
  readonly frame: Frame;
  readonly colour: string;
  /** The knot tied in cloth, where there is one; its outline otherwise. */
  readonly picture: KnotPicture | undefined;
}

/** All silhouettes share one scale, so that sizes can be compared down a list. */
const box = { half: 44, top: -9, height: 70 } as const;

/** A knot as a small mark. Decorative: the words beside it say the same. */
export const KnotSilhouette = memo(function KnotSilhouette(props: KnotMarkProps) {
  return (
    <svg viewBox={`${-box.half} ${box.top} ${2 * box.half} ${box.height}`} className="h-11 w-[55px] shrink-0" aria-hidden="true">
      <KnotMark {...props} edge="var(--color-ink)" edgeWidth={1} />
    </svg>
  );
}, equal);

/** A shape as a mark shows it: half a millimetre is a third of a pixel in a list, and less is not drawn anew. */
export function asMark(shape: KnotShape): KnotShape {
  const rounded = (mm: number) => Math.round(2 * mm) / 2;
  return {
    topMm: rounded(shape.topMm),
    middleMm: rounded(shape.middleMm),
    bottomMm: rounded(shape.bottomMm),
    heightMm: rounded(shape.heightMm),
    depthMm: rounded(shape.depthMm),
    leftFlankMm: rounded(shape.leftFlankMm),
    rightFlankMm: rounded(shape.rightFlankMm),
    lean: Math.round(50 * shape.lean) / 50,
    tiltDeg: Math.round(shape.tiltDeg),
    overhangDeg: Math.round(shape.overhangDeg),
  };
}

interface EdgedProps extends KnotMarkProps {
  readonly edge: string;
  /** Line widths in mm of the drawing it stands in. */
  readonly edgeWidth: number;
}

/** The knot in one colour, as wide at the top as it comes out: tied in cloth, or its outline with each layer hiding those before it. */
export function KnotMark({ word, shape, frame, colour, picture, edge, edgeWidth }: EdgedProps) {
  const mark = asMark(shape);
  if (picture) return <KnotInCloth picture={picture} shape={mark} frame={frame} />;
  const { outline, edges } = knotMark(word, mark, frame);
  return (
    <>
      <path d={outline} fill={colour} stroke={edge} strokeWidth={edgeWidth} />
      <path d={edges} fill="none" stroke="var(--color-ground)" strokeOpacity="0.85" strokeWidth={1.4 * edgeWidth} />
    </>
  );
}
