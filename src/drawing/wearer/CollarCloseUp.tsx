import type { ReactNode } from 'react';
import { classOf } from '../../core/collar/collar.ts';
import { inPercent, swampsOver } from '../../core/plan/criteria/collarFill.ts';
import { formatFigure, formatLength } from '../../core/units/length.ts';
import { type CollarDrawing, collarLeaves } from '../collar/leaves.ts';
import { Dimension } from '../sheet/Dimension.tsx';
import { Note } from '../sheet/Note.tsx';
import { type Box, Sheet, useMmPerPx } from '../sheet/Sheet.tsx';
import { Wearer, type WearerProps } from './Wearer.tsx';

type CloseUpProps = Omit<WearerProps, 'bottomMm' | 'stage' | 'collar'> & { readonly className?: string; readonly children?: ReactNode };

/** As near as the collar allows: both points and a little of the shoulders. */
function boxAround(spreadMm: number): Box {
  const half = Math.max(80, spreadMm / 2 + 24);
  return { x: -half, y: -44, width: 2 * half, height: 158 };
}

/** Collar and knot near enough to judge: true opening, true knot, and how much of the edge it covers. */
export function CollarCloseUp({ className, children, ...wearer }: CloseUpProps) {
  const { request, plan } = wearer;
  const box = boxAround(request.shirt.collarSpreadMm);
  const collar = collarLeaves(request.shirt, request.client.neckMm);
  return (
    <Sheet box={box} label={describe(wearer)} {...(className === undefined ? {} : { className })}>
      <Wearer {...wearer} collar={collar} stage="tied" bottomMm={box.y + box.height + 60} />
      <Measures request={request} plan={plan} drawing={collar} />
      {children}
    </Sheet>
  );
}

function describe({ request, plan }: CloseUpProps): string {
  const say = (mm: number) => formatLength(mm, request.units);
  return `Close-up of collar and knot: ${plan.title}, ${say(plan.shape.topMm)} wide at the top and ${say(plan.shape.heightMm)} high, covering ${Math.round(plan.collar.fill * 100)}% of the edge of a ${classOf(request.shirt).label} collar.`;
}

function Measures({ request, plan, drawing }: Pick<WearerProps, 'request' | 'plan'> & { readonly drawing: CollarDrawing }) {
  const mmPerPx = useMmPerPx();
  const { shape, collar } = plan;
  const { units, shirt } = request;
  // Held against the rule as it is told, in whole percent.
  const swamped = inPercent(collar.fill) > inPercent(swampsOver);
  const share = Math.min(1, Math.max(0, collar.meetsAtMm / drawing.pointDepthMm));
  const [tipX, tipY] = drawing.tips[1];
  const buttonX = shirt.tieSpaceMm / 2;
  const offset = 7 * mmPerPx;
  const topY = -9 * mmPerPx - shape.topMm * 0.04;
  return (
    <g>
      <Dimension
        from={[-shape.topMm / 2, topY]}
        to={[shape.topMm / 2, topY]}
        ink="follows"
        label={formatFigure(shape.topMm, units)}
        size={15}
      />
      {/* The covered part of the collar's edge, on the viewer's right, along the edge itself. */}
      <line
        x1={buttonX + offset}
        y1={0}
        x2={buttonX + (tipX - buttonX) * share + offset}
        y2={tipY * share}
        stroke={swamped ? 'var(--color-outside)' : 'var(--color-follows)'}
        strokeWidth={3.5 * mmPerPx}
        strokeLinecap="round"
      />
      <Note x={buttonX + (tipX - buttonX) * share + offset * 2.2} y={tipY * share} ink={swamped ? 'outside' : 'follows'} size={15} figure>
        {Math.round(collar.fill * 100)}%
      </Note>
      <Dimension
        from={drawing.tips[0]}
        to={drawing.tips[1]}
        ink="set"
        label={formatFigure(shirt.collarSpreadMm, units)}
        place="below"
        labelAt={0.14}
        size={15}
      />
    </g>
  );
}
