import type { KnotShape } from '../../core/index.ts';
import type { View } from '../geometry/view.ts';
import { knotFace, turnsOverArms } from './face.ts';

/** All silhouettes share one scale, so that sizes can be compared down a list. */
const box = { half: 40, top: -6, height: 64 } as const;

/** A knot's outline as a small mark. Decorative: the words beside it say the same. */
export function KnotSilhouette({
  word,
  shape,
  view,
  colour,
}: {
  readonly word: string;
  readonly shape: KnotShape;
  readonly view: View;
  readonly colour: string;
}) {
  const face = knotFace(shape, view, turnsOverArms(word));
  return (
    <svg viewBox={`${-box.half} ${box.top} ${2 * box.half} ${box.height}`} className="h-10 w-[50px] shrink-0" aria-hidden="true">
      <path d={face.outline} fill={colour} stroke="var(--color-ink)" strokeOpacity="0.6" strokeWidth="1" />
      <path d={face.facadeEdge} fill="none" stroke="var(--color-ground)" strokeOpacity="0.85" strokeWidth="1.6" />
    </svg>
  );
}
