import { beltHeightMm, frontDropOf } from '../../core/body/frontDrop.ts';
import type { KnotPlan, PlanRequest } from '../../core/index.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import { patterns } from '../../core/tie/patterns.ts';
import { ClothDefs } from '../cloth/ClothDefs.tsx';
import { type Cloth, clothFill } from '../cloth/cloth.ts';
import { collarLeaves } from '../collar/leaves.ts';
import { curve, polygon } from '../geometry/path.ts';
import type { View } from '../geometry/view.ts';
import { jacketFronts } from '../jacket/fronts.ts';
import { TiedKnot } from '../knot/TiedKnot.tsx';
import { HangingBlade } from '../tie/HangingBlade.tsx';
import { endBelowKnot } from '../tie/outline.ts';
import { CollarBand } from './CollarBand.tsx';
import { HungTie } from './HungTie.tsx';

export interface WearerProps {
  /** Makes the drawing's own ids; one a drawing on a page. */
  readonly id: string;
  readonly request: PlanRequest;
  readonly plan: KnotPlan;
  readonly view: View;
  /** Before the first move, or with the knot drawn up. */
  readonly stage: 'hung' | 'tied';
  readonly cloth: Cloth;
  readonly shirtColour: string;
  readonly jacketColour: string | null;
  /** Lower edge of the picture, mm below the collar button. */
  readonly bottomMm: number;
}

/** How far the picture of the body reaches to each side: shoulders are cut off, since no measure of ours lies there. */
export const bodyHalfMm = 180;

const outline = { stroke: 'var(--color-ink)', strokeOpacity: 0.55, strokeWidth: 0.8 } as const;

/** The front of a dressed client in true proportion, from the core's numbers. */
export function Wearer(props: WearerProps) {
  const { id, request, plan, stage, cloth, shirtColour, jacketColour, bottomMm } = props;
  const { client, shirt, jacket, tie } = request;
  const collar = collarLeaves(shirt, client.neckMm);
  const beltY = frontDropOf(client).meanMm;
  const fronts = jacket ? jacketFronts(jacket, beltY, bottomMm, collar.neckHalfMm) : undefined;
  const neck = collar.neckHalfMm;

  return (
    <g clipPath={`url(#${id}-body)`}>
      <defs>
        <ClothDefs id={id} cloth={cloth} />
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
      <Trousers beltY={beltY} bottomMm={bottomMm} />
      <path d={collar.inside} fill={shirtColour} {...outline} />
      <path d={collar.inside} fill="#16202a" fillOpacity="0.2" />

      {stage === 'tied' ? (
        <Tied {...props} neckHalfMm={neck} />
      ) : (
        <HungTie id={id} request={request} plan={plan} view={props.view} neckHalfMm={neck} />
      )}

      {fronts?.waistcoat && jacketColour && (
        <g fill={jacketColour} {...outline}>
          <path d={fronts.waistcoat.outline} />
          {fronts.waistcoat.buttons.map(([x, y]) => (
            <circle key={y} cx={x} cy={y} r={4} fill="#0006" stroke="none" />
          ))}
          {stage === 'tied' && (
            <path
              d={polygon(endBelowKnot(tie, 'blade', plan.shape.bottomMm, plan.shape.heightMm, plan.tip.dropMm))}
              fill="none"
              stroke="#fff"
              strokeOpacity={0.8}
              strokeWidth={1.2}
              strokeDasharray="5 5"
            />
          )}
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
        </g>
      )}
    </g>
  );
}

function Tied({ id, request, plan, view, cloth, neckHalfMm }: WearerProps & { readonly neckHalfMm: number }) {
  const { tie } = request;
  const sheen = tie.fabric === 'satin' ? 1 : tie.fabric === 'wool' || tie.fabric === 'knit' ? 0 : 0.45;
  const dimple = patterns[tie.pattern].quiet ? fabrics[tie.fabric].dimple : fabrics[tie.fabric].dimple * 0.5;
  const { bottomMm, heightMm } = plan.shape;
  return (
    <g>
      <CollarBand id={id} request={request} plan={plan} view={view} neckHalfMm={neckHalfMm} />
      {plan.tail.dropMm > heightMm && (
        <path
          d={polygon(endBelowKnot(tie, 'tail', bottomMm * 0.9, heightMm - 4, plan.tail.dropMm))}
          fill={clothFill(id, 'down')}
          stroke="#000"
          strokeOpacity="0.5"
          strokeWidth="0.7"
        />
      )}
      <HangingBlade id={id} tie={tie} shape={plan.shape} tipMm={plan.tip.dropMm} sheen={sheen} dimple={dimple} />
      <TiedKnot id={id} word={plan.moves} shape={plan.shape} view={view} cloth={cloth} sheen={sheen} />
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

function Trousers({ beltY, bottomMm }: { readonly beltY: number; readonly bottomMm: number }) {
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
