import { memo } from 'react';
import type { KnotShape, Tie } from '../../core/index.ts';
import { fabricFill } from '../fabric/fabricFill.ts';
import { corners, curve } from '../geometry/path.ts';
import { endBelowKnot, type Foot, straightFromMm } from './outline.ts';

interface HangingBladeProps {
  readonly id: string;
  readonly tie: Tie;
  readonly shape: KnotShape;
  readonly foot: Foot;
  readonly tipMm: number;
  /** Lower edge of the picture it stands in. */
  readonly bottomMm: number;
  readonly sheen: number;
  /** How deep a dimple shows, 0 to 1. */
  readonly dimple: number;
  /** Whether it runs on from a panel over the knot, with no shade under it. */
  readonly unbroken: boolean;
}

/** The blade begins so far under the knot, mm. */
const underMm = 4;

/** The shade of the knot on the blade. */
const underKnot = [
  <stop key="knot" offset="0" stopColor="#000" stopOpacity="0.55" />,
  <stop key="below" offset="0.4" stopColor="#000" stopOpacity="0.14" />,
  <stop key="end" offset="1" stopColor="#000" stopOpacity="0" />,
];

/** The light across a blade that is round. */
const BladeLight = memo(function BladeLight({ id, sheen }: { readonly id: string; readonly sheen: number }) {
  return (
    <defs>
      <linearGradient id={`${id}-blade-round`} x1="0" x2="1" y1="0" y2="0">
        <stop offset="0" stopColor="#000" stopOpacity="0.34" />
        <stop offset="0.25" stopColor="#fff" stopOpacity={0.04 + 0.16 * sheen} />
        <stop offset="0.5" stopColor="#000" stopOpacity="0.05" />
        <stop offset="0.75" stopColor="#fff" stopOpacity={0.03 + 0.12 * sheen} />
        <stop offset="1" stopColor="#000" stopOpacity="0.34" />
      </linearGradient>
    </defs>
  );
});

/** The blade below the knot, with its dimple. */
export function HangingBlade({ id, tie, shape, foot, tipMm, bottomMm, sheen, dimple, unbroken }: HangingBladeProps) {
  const { heightMm } = shape;
  // Told from the knot's lower edge down, so that of a knot a little higher only the outline is drawn anew.
  const outline = corners(endBelowKnot(tie, 'blade', foot, -underMm, tipMm - heightMm, bottomMm - heightMm));
  const depth = straightFromMm;
  const half = shape.bottomMm * 0.1;
  const slantDeg = (-180 / Math.PI) * Math.atan(foot.asideMm / depth);
  return (
    <g transform={`translate(0 ${heightMm})`}>
      <BladeLight id={id} sheen={sheen} />
      <defs>
        <linearGradient id={`${id}-blade-shade`} gradientUnits="userSpaceOnUse" x1="0" x2="0" y1={-underMm} y2={42}>
          {underKnot}
        </linearGradient>
      </defs>
      <polygon points={outline} fill={fabricFill(id, 'down')} />
      <polygon points={outline} fill={`url(#${id}-blade-round)`} />
      {!unbroken && <polygon points={outline} fill={`url(#${id}-blade-shade)`} />}
      <g opacity={dimple} transform={`translate(${foot.asideMm} 0) skewX(${slantDeg})`}>
        <path
          d={curve`M${-half} 0 C${-half * 1.6} ${depth * 0.3} ${-half * 0.4} ${depth * 0.8} 0 ${depth} C${half * 0.7} ${depth * 0.7} ${half * 0.9} ${depth * 0.3} ${half * 0.6} 0 Z`}
          fill="#000"
          fillOpacity="0.38"
        />
        <path
          d={curve`M${half * 0.9} 0 C${half * 1.5} ${depth * 0.35} ${half} ${depth * 0.75} ${half * 0.2} ${depth}`}
          fill="none"
          stroke="#fff"
          strokeOpacity={0.18 + 0.25 * sheen}
          strokeWidth="1.4"
        />
      </g>
      <polygon points={outline} fill="none" stroke="#000" strokeOpacity="0.5" strokeWidth="0.7" />
    </g>
  );
}
