import equal from 'fast-deep-equal';
import { memo } from 'react';
import type { Frame, KnotShape } from '../../core/index.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { fabricFill } from '../fabric/fabricFill.ts';
import { type DrawnLayer, knotFace } from './face.ts';

interface TiedKnotProps {
  readonly id: string;
  readonly word: string;
  readonly shape: KnotShape;
  readonly frame: Frame;
  readonly cloth: FabricLook;
  /** How strongly the sheen of the cloth shows, 0 to 1. */
  readonly sheen: number;
}

/** How the cloth runs in each layer, and how much shade lies on it: what is nearer is lighter. */
const looks: Readonly<Record<DrawnLayer['place'], { readonly run: 'down' | 'across' | 'aside'; readonly shade: number }>> = {
  band: { run: 'across', shade: 0.04 },
  'left shoulder': { run: 'aside', shade: 0.16 },
  'right shoulder': { run: 'aside', shade: 0.16 },
  throat: { run: 'down', shade: 0.22 },
  panel: { run: 'down', shade: 0 },
};

/** The face of the knot in its cloth, layer over layer, at the core's own measures. */
export const TiedKnot = memo(function TiedKnot({ id, word, shape, frame, cloth, sheen }: TiedKnotProps) {
  const face = knotFace(word, shape, frame);
  // A panel runs on into the blade: nothing gathers it, and no edge ends it below.
  const isPanel = face.layers.at(-1)?.place === 'panel';
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
      <path d={face.outline} fill={fabricFill(id, 'aside')} data-measure="knot-outline" />
      <g clipPath={`url(#${clip})`}>
        <path d={face.outline} fill="#000" fillOpacity="0.3" />
        {face.layers.map(({ key, place, strip, edges }) => (
          <g key={key}>
            <path d={strip} fill={fabricFill(id, looks[place].run)} />
            <path d={strip} fill="#000" fillOpacity={looks[place].shade} />
            <path d={edges} fill="none" stroke="#000" strokeOpacity="0.5" strokeWidth="1.2" />
            <path d={edges} fill="none" stroke="#fff" strokeOpacity="0.22" strokeWidth="0.7" transform="translate(0 1.1)" />
          </g>
        ))}
        <path d={face.outline} fill={`url(#${id}-knot-round)`} />
        {!isPanel && <path d={face.outline} fill={`url(#${id}-knot-under)`} />}
      </g>
      <path
        d={face.outline}
        fill="none"
        stroke="#000"
        strokeOpacity={isPanel ? 0 : 0.55}
        strokeWidth="0.7"
        data-colour={cloth.colours[0]}
      />
    </g>
  );
}, equal);
