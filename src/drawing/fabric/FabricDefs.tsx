import equal from 'fast-deep-equal';
import { memo, type ReactNode } from 'react';
import type { FabricLook } from '../../core/tie/fabricLook.ts';

/** Turn of the cloth's own direction for each way a band runs, degrees. */
const runs = { down: 0, across: 76, aside: -38 } as const;

interface ClothDefsProps {
  readonly id: string;
  readonly cloth: FabricLook;
  /** Cut along its own grain, as a shirt is; a tie is cut on the bias. */
  readonly upright?: boolean;
}

/** Stripes are drawn lying, and stand on a shirt. */
const uprightTurn = 90;

/** Paint of one tie's cloth: its pattern running along the strip, in each direction a band takes. */
export const FabricDefs = memo(function FabricDefs({ id, cloth, upright = false }: ClothDefsProps) {
  const { size, paint } = patternTile(cloth);
  return (
    <>
      {Object.entries(runs).map(([run, degrees]) => (
        <pattern
          key={run}
          id={`${id}-${run}`}
          width={size}
          height={size}
          patternUnits="userSpaceOnUse"
          patternTransform={`rotate(${degrees + (upright ? uprightTurn : turnOf(cloth))})`}
        >
          <rect width={size} height={size} fill={cloth.colours[0]} />
          {paint}
          <Weave cloth={cloth} size={size} />
        </pattern>
      ))}
    </>
  );
}, equal);

/** Stripes run down from the wearer's left on the viewer's right. */
function turnOf({ pattern }: FabricLook): number {
  return pattern === 'stripe' ? 45 : pattern === 'dots' || pattern === 'check' ? 45 : 0;
}

function patternTile({ pattern, colours }: FabricLook): { size: number; paint: ReactNode } {
  const second = colours[1] ?? colours[0];
  switch (pattern) {
    case 'solid':
      return { size: 6, paint: null };
    case 'stripe':
      return { size: 21, paint: <rect y={8} width={21} height={4.5} fill={second} /> };
    case 'dots':
      return { size: 8, paint: <circle cx={4} cy={4} r={0.95} fill={second} /> };
    case 'check':
      return {
        size: 15,
        paint: (
          <g stroke={second} strokeWidth={1.1} opacity={0.75}>
            <path d="M0 7.5H15M7.5 0V15" />
          </g>
        ),
      };
    case 'large':
      return {
        size: 34,
        paint: (
          <g fill="none" stroke={second} strokeWidth={2.2}>
            <path d="M17 4C25 10 25 24 17 30C9 24 9 10 17 4Z" />
            <circle cx={17} cy={17} r={2.5} fill={second} stroke="none" />
            <path d="M0 17C3 14 5 10 5 6M34 17C31 20 29 24 29 28" />
          </g>
        ),
      };
  }
}

function Weave({ cloth: { fabric }, size }: { readonly cloth: FabricLook; readonly size: number }) {
  switch (fabric) {
    case 'knit':
    case 'grenadine': {
      const pitch = fabric === 'knit' ? 3 : 2;
      const rows = Array.from({ length: Math.ceil(size / pitch) }, (_, i) => i * pitch);
      return (
        <g stroke="#000" strokeOpacity={0.22} strokeWidth={0.55} fill="none">
          {rows.map((y) => (
            <path key={y} d={`M0 ${y + 0.4}L${size / 2} ${y + pitch * 0.7}L${size} ${y + 0.4}`} />
          ))}
        </g>
      );
    }
    case 'satin':
      return null;
    default: {
      const lines = Array.from({ length: Math.ceil(size / 2) }, (_, i) => i * 2);
      return (
        <g stroke="#fff" strokeOpacity={0.07} strokeWidth={0.5}>
          {lines.map((x) => (
            <path key={x} d={`M${x} 0V${size}`} />
          ))}
        </g>
      );
    }
  }
}
