import type { KnotShape } from '../../core/index.ts';
import { type Cloth, clothFill } from '../cloth/cloth.ts';
import type { View } from '../geometry/view.ts';
import { knotFace, turnsOverArms } from './face.ts';

interface TiedKnotProps {
  readonly id: string;
  readonly word: string;
  readonly shape: KnotShape;
  readonly view: View;
  readonly cloth: Cloth;
  /** How strongly the sheen of the cloth shows, 0 to 1. */
  readonly sheen: number;
}

/** The face of the knot in its cloth, at the core's own measures. */
export function TiedKnot({ id, word, shape, view, cloth, sheen }: TiedKnotProps) {
  const face = knotFace(shape, view, turnsOverArms(word));
  const clip = `${id}-knot-clip`;
  return (
    <g>
      <defs>
        <clipPath id={clip}>
          <path d={face.outline} />
        </clipPath>
        <linearGradient id={`${id}-knot-round`} x1="0" x2="1" y1="0" y2="0.15">
          <stop offset="0" stopColor="#000" stopOpacity="0.5" />
          <stop offset="0.22" stopColor="#000" stopOpacity="0.08" />
          <stop offset="0.45" stopColor="#fff" stopOpacity={0.08 + 0.22 * sheen} />
          <stop offset="0.7" stopColor="#000" stopOpacity="0.06" />
          <stop offset="1" stopColor="#000" stopOpacity="0.5" />
        </linearGradient>
        <linearGradient id={`${id}-knot-under`} x1="0" x2="0" y1="0" y2="1">
          <stop offset="0" stopColor="#000" stopOpacity="0" />
          <stop offset="0.8" stopColor="#000" stopOpacity="0.05" />
          <stop offset="1" stopColor="#000" stopOpacity="0.35" />
        </linearGradient>
      </defs>
      <path d={face.outline} fill={clothFill(id, 'aside')} data-measure="knot-outline" />
      <g clipPath={`url(#${clip})`}>
        <path d={face.outline} fill="#000" fillOpacity="0.24" />
        {face.turns.map((turn) => (
          <g key={turn} fill="none" strokeLinecap="round">
            <path d={turn} stroke="#000" strokeOpacity="0.45" strokeWidth="1.3" />
            <path d={turn} stroke="#fff" strokeOpacity="0.16" strokeWidth="0.8" transform="translate(1 1)" />
          </g>
        ))}
        <path d={face.facade} fill={clothFill(id, 'across')} />
        <path d={face.facadeEdge} fill="none" stroke="#000" strokeOpacity="0.5" strokeWidth="1.2" />
        <path d={face.facadeEdge} fill="none" stroke="#fff" strokeOpacity="0.25" strokeWidth="0.7" transform="translate(0 1.1)" />
        <path d={face.outline} fill={`url(#${id}-knot-round)`} />
        <path d={face.outline} fill={`url(#${id}-knot-under)`} />
      </g>
      <path d={face.outline} fill="none" stroke="#000" strokeOpacity="0.55" strokeWidth="0.7" data-colour={cloth.colours[0]} />
    </g>
  );
}
