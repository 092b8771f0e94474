import type { Frame, KnotShape } from '../../core/index.ts';
import { knotFace } from './face.ts';

/** All silhouettes share one scale, so that sizes can be compared down a list. */
const box = { half: 40, top: -6, height: 64 } as const;

/** A knot's outline and the edges of its layers as a small mark. Decorative: the words beside it say the same. */
export function KnotSilhouette({
  word,
  shape,
  frame,
  colour,
}: {
  readonly word: string;
  readonly shape: KnotShape;
  readonly frame: Frame;
  readonly colour: string;
}) {
  return (
    <svg viewBox={`${-box.half} ${box.top} ${2 * box.half} ${box.height}`} className="h-10 w-[50px] shrink-0" aria-hidden="true">
      <KnotMark word={word} shape={shape} frame={frame} colour={colour} edge="var(--color-ink)" edgeWidth={1} />
    </svg>
  );
}

interface KnotMarkProps {
  readonly word: string;
  readonly shape: KnotShape;
  readonly frame: Frame;
  readonly colour: string;
  readonly edge: string;
  /** Line widths in mm of the drawing it stands in. */
  readonly edgeWidth: number;
}

/** The knot in one colour, each layer hiding those before it. */
export function KnotMark({ word, shape, frame, colour, edge, edgeWidth }: KnotMarkProps) {
  const face = knotFace(word, shape, frame);
  const top = face.layers.findLast(({ place }) => place === 'band' || place === 'panel');
  return (
    <>
      <path d={face.outline} fill={colour} stroke={edge} strokeWidth={edgeWidth} />
      {top && <path d={top.edges} fill="none" stroke="var(--color-ground)" strokeOpacity="0.85" strokeWidth={1.4 * edgeWidth} />}
    </>
  );
}
