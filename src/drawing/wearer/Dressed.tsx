import type { ReactNode } from 'react';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import type { PlanRequest } from '../../core/index.ts';
import { collarLeaves } from '../collar/leaves.ts';
import { curve } from '../geometry/path.ts';
import { jacketFronts } from '../jacket/fronts.ts';

export interface DressedProps {
  /** Makes the drawing's own ids; one a drawing on a page. */
  readonly id: string;
  readonly request: Pick<PlanRequest, 'client' | 'shirt' | 'jacket'>;
  readonly shirtColour: string;
  readonly jacketColour: string | null;
  /** Lower edge of the picture, mm below the collar button. */
  readonly bottomMm: number;
  /** What is worn between shirt and collar. */
  readonly children?: ReactNode;
  /** What shines through a waistcoat. */
  readonly throughWaistcoat?: ReactNode;
}

/** How far the picture of the body reaches to each side: shoulders are cut off, since no measure of ours lies there. */
export const bodyHalfMm = 180;

const outline = { stroke: 'var(--color-ink)', strokeOpacity: 0.55, strokeWidth: 0.8 } as const;

/** The front of a client in shirt, trousers and jacket, in true proportion. */
export function Dressed({ id, request, shirtColour, jacketColour, bottomMm, children, throughWaistcoat }: DressedProps) {
  const { client, shirt, jacket } = request;
  const collar = collarLeaves(shirt, client.neckMm);
  const beltY = frontDropOf(client).meanMm;
  const fronts = jacket ? jacketFronts(jacket, beltY, bottomMm, client.neckMm) : undefined;
  const neck = collar.neckHalfMm;

  return (
    <g clipPath={`url(#${id}-body)`}>
      <defs>
        <clipPath id={`${id}-body`}>
          <rect x={-bodyHalfMm} y={-140} width={2 * bodyHalfMm} height={bottomMm + 140} />
        </clipPath>
        <linearGradient id={`${id}-leaf`} x1="0" x2="0" y1="0" y2="1">
          <stop offset="0" stopColor="#fff" stopOpacity="0.55" />
          <stop offset="1" stopColor="#16202a" stopOpacity="0.07" />
        </linearGradient>
      </defs>

      <path
        d={curve`M${-neck} -140 L${-neck} -44 C${-neck} -8 ${neck} -8 ${neck} -44 L${neck} -140 Z`}
        fill="var(--color-form)"
        {...outline}
        strokeOpacity={0.3}
      />
      <path d={shirtBody(neck, beltY + 12)} fill={shirtColour} {...outline} />
      <Placket buttonsMm={shirt.buttonsMm} bottomMm={beltY} />
      <Trousers beltY={beltY} beltHeightMm={client.beltHeightMm} bottomMm={bottomMm} />
      <path d={collar.inside} fill={shirtColour} {...outline} />
      <path d={collar.inside} fill="#16202a" fillOpacity="0.2" />

      {children}

      {fronts?.waistcoat && jacketColour && (
        <g fill={jacketColour} {...outline}>
          <path d={fronts.waistcoat.outline} />
          {fronts.waistcoat.buttons.map(([x, y]) => (
            <circle key={y} cx={x} cy={y} r={4} fill="#0006" stroke="none" />
          ))}
          {throughWaistcoat}
        </g>
      )}

      {collar.leaves.map((leaf) => (
        <g key={leaf} fill={shirtColour} {...outline}>
          <path d={leaf} />
          <path d={leaf} fill={`url(#${id}-leaf)`} stroke="none" />
        </g>
      ))}

      {fronts && jacketColour && (
        <g fill={jacketColour} {...outline} strokeLinejoin="round">
          {fronts.fronts.map((front) => (
            <path key={front} d={front} />
          ))}
          {fronts.lapels.map((lapel) => (
            <g key={lapel}>
              <path d={lapel} />
              <path d={lapel} fill="#fff" fillOpacity="0.09" stroke="#fff" strokeOpacity="0.22" />
            </g>
          ))}
          {fronts.buttons.map(([x, y]) => (
            <circle key={`${x} ${y}`} cx={x} cy={y} r={7} fill="#0007" stroke="#fff" strokeOpacity="0.35" />
          ))}
        </g>
      )}
    </g>
  );
}

function shirtBody(neck: number, hemY: number): string {
  return curve`M${-neck - 8} -26 C${-neck - 30} -6 -150 14 -196 52 L-176 ${hemY} L176 ${hemY} L196 52 C150 14 ${neck + 30} -6 ${neck + 8} -26 C${neck * 0.5} 16 ${-neck * 0.5} 16 ${-neck - 8} -26 Z`;
}

function Placket({ buttonsMm, bottomMm }: { readonly buttonsMm: readonly number[]; readonly bottomMm: number }) {
  return (
    <g>
      <path d={curve`M-16 24 V${bottomMm} M16 24 V${bottomMm}`} stroke="var(--color-ink)" strokeOpacity="0.22" strokeWidth="0.8" />
      {buttonsMm
        .filter((y) => y < bottomMm)
        .map((y) => (
          <g key={y}>
            <circle cx={0} cy={y} r={5} fill="#fff" stroke="var(--color-ink)" strokeOpacity="0.6" strokeWidth="0.8" />
            <path
              d={curve`M-1.4 ${y - 1.4} h0.1 M1.4 ${y - 1.4} h0.1 M-1.4 ${y + 1.4} h0.1 M1.4 ${y + 1.4} h0.1`}
              stroke="var(--color-ink)"
              strokeWidth="1.2"
              strokeLinecap="round"
            />
          </g>
        ))}
    </g>
  );
}

interface TrousersProps {
  readonly beltY: number;
  readonly beltHeightMm: number;
  readonly bottomMm: number;
}

function Trousers({ beltY, beltHeightMm, bottomMm }: TrousersProps) {
  return (
    <g>
      <path d={curve`M-178 ${beltY} H178 L184 ${bottomMm} H-184 Z`} fill="var(--color-trousers)" />
      <path d={curve`M0 ${beltY + beltHeightMm} V${bottomMm}`} stroke="#fff" strokeOpacity="0.18" strokeWidth="1" />
      <rect x={-178} y={beltY} width={356} height={beltHeightMm} fill="var(--color-belt)" />
      <rect x={-24} y={beltY - 3} width={48} height={beltHeightMm + 6} rx={3} fill="none" stroke="var(--color-buckle)" strokeWidth={4} />
      <path d={curve`M0 ${beltY + beltHeightMm / 2} h24`} stroke="var(--color-buckle)" strokeWidth={3} />
    </g>
  );
}
