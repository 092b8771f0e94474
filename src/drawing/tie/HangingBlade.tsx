import { memo } from 'react';
import type { KnotShape, Tie } from '../../core/index.ts';
import { fabricFill } from '../fabric/fabricFill.ts';
import { curve, polygon } from '../geometry/path.ts';
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
  const { heightMm: top } = shape;
  const outline = polygon(endBelowKnot(tie, 'blade', foot, top - 4, tipMm, bottomMm));
  const depth = straightFromMm;
  const half = shape.bottomMm * 0.1;
  const slantDeg = (-180 / Math.PI) * Math.atan(foot.asideMm / depth);
  return (
    <g>
      <BladeLight id={id} sheen={sheen} />
      <defs>
        <linearGradient id={`${id}-blade-shade`} gradientUnits="userSpaceOnUse" x1="0" x2="0" y1={top - 4} y2={top + 42}>
          {underKnot}
        </linearGradient>
      </defs>
      <path d={outline} fill={fabricFill(id, 'down')} />
      <path d={outline} fill={`url(#${id}-blade-round)`} />
      {!unbroken && <path d={outline} fill={`url(#${id}-blade-shade)`} />}
      <g opacity={dimple} transform={`translate(${foot.asideMm} ${top}) skewX(${slantDeg}) translate(0 ${-top})`}>
        <path
          d={curve`M${-half} ${top} C${-half * 1.6} ${top + depth * 0.3} ${-half * 0.4} ${top + depth * 0.8} 0 ${top + depth} C${half * 0.7} ${top + depth * 0.7} ${half * 0.9} ${top + depth * 0.3} ${half * 0.6} ${top} Z`}
          fill="#000"
          fillOpacity="0.38"
        />
        <path
          d={curve`M${half * 0.9} ${top} C${half * 1.5} ${top + depth * 0.35} ${half} ${top + depth * 0.75} ${half * 0.2} ${top + depth}`}
          fill="none"
          stroke="#fff"
          strokeOpacity={0.18 + 0.25 * sheen}
          strokeWidth="1.4"
        />
      </g>
      <path d={outline} fill="none" stroke="#000" strokeOpacity="0.5" strokeWidth="0.7" />
    </g>
  );
}
