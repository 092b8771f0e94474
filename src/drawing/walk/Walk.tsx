import type { ReactNode } from 'react';
import type { KnotPlan, PlanRequest } from '../../core/index.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { formatFigure, formatLength, mmPerInch, roughly } from '../../core/units/length.ts';
import { FabricDefs } from '../fabric/FabricDefs.tsx';
import { fabricFill } from '../fabric/fabricFill.ts';
import { curve, type Pt, polygon } from '../geometry/path.ts';
import { inkColour } from '../sheet/ink.ts';
import { Note } from '../sheet/Note.tsx';
import { Sheet, useMmPerPx } from '../sheet/Sheet.tsx';
import { halfWidths } from '../tie/outline.ts';
import { type Stretch, type StretchCode, walkLayout } from './stretches.ts';

interface WalkProps {
  readonly id: string;
  readonly request: PlanRequest;
  readonly plan: KnotPlan;
  readonly cloth: FabricLook;
  /** Height of the strip's place over its width. */
  readonly aspect: number;
  readonly className?: string;
  readonly children?: ReactNode;
}

const marginMm = 26;

/** The whole tie laid flat, counted from the tail tip, with what becomes of each stretch. */
export function Walk({ id, request, plan, cloth, aspect, className, children }: WalkProps) {
  const { tie, units } = request;
  const width = tie.lengthMm + 2 * marginMm;
  const height = width * aspect;
  const layout = walkLayout(request, plan);
  const say = (mm: number) => formatLength(roughly(mm, units), units);
  const label = `The tie laid flat, from the tail tip: ${layout.stretches.map((s) => `${s.label} ${say(s.toMm - s.fromMm)}`).join(', ')}. Held at the collar button ${say(layout.atButtonMm)} from the tail tip.`;
  return (
    <Sheet box={{ x: -marginMm, y: -height / 2, width, height }} label={label} {...(className === undefined ? {} : { className })}>
      <defs>
        <FabricDefs id={id} cloth={cloth} />
      </defs>
      <Ruler lengthMm={tie.lengthMm} units={units} y={tie.bladeMm / 2} />
      <path d={flatOutline(request)} fill={fabricFill(id, 'down')} stroke="var(--color-ink)" strokeOpacity="0.6" strokeWidth="1" />
      {layout.stretches.map((stretch) => (
        <StretchMark key={stretch.code} stretch={stretch} units={units} y={-tie.bladeMm / 2} />
      ))}
      <ButtonMark atMm={layout.atButtonMm} halfMm={tie.bladeMm / 2} />
      {children}
    </Sheet>
  );
}

function flatOutline({ tie }: PlanRequest): string {
  const stations = halfWidths(tie, 0, tie.lengthMm).map(({ atMm, halfMm }) => ({ x: tie.lengthMm - atMm, halfMm }));
  const upper = stations.map(({ x, halfMm }): Pt => [x, -halfMm]);
  const lower = stations.map(({ x, halfMm }): Pt => [x, halfMm]);
  return polygon([...upper, ...lower.reverse()]);
}

/** Each stretch keeps its own line, so that they are told apart without colour. */
const lines: Readonly<Record<StretchCode, { readonly widthPx: number; readonly dashPx: string }>> = {
  tail: { widthPx: 5, dashPx: '' },
  around: { widthPx: 2, dashPx: '2 4' },
  'take-up': { widthPx: 5, dashPx: '3 3' },
  hang: { widthPx: 2.5, dashPx: '' },
};

function StretchMark({ stretch, units, y }: { readonly stretch: Stretch; readonly units: PlanRequest['units']; readonly y: number }) {
  const mmPerPx = useMmPerPx();
  const { fromMm, toMm, code, label } = stretch;
  const { widthPx, dashPx } = lines[code];
  const lineY = y - 10 * mmPerPx;
  const dash = dashPx
    ? {
        strokeDasharray: dashPx
          .split(' ')
          .map((px) => Number(px) * mmPerPx)
          .join(' '),
      }
    : {};
  const inset = 2 * mmPerPx;
  return (
    <g>
      <line
        x1={fromMm + inset}
        y1={lineY}
        x2={toMm - inset}
        y2={lineY}
        stroke={inkColour.follows}
        strokeWidth={widthPx * mmPerPx}
        {...dash}
      />
      <line
        x1={toMm}
        y1={lineY - 6 * mmPerPx}
        x2={toMm}
        y2={-y * 0.9}
        stroke={inkColour.follows}
        strokeWidth={mmPerPx}
        strokeDasharray={`${2 * mmPerPx} ${3 * mmPerPx}`}
      />
      <Note
        x={(fromMm + toMm) / 2}
        y={lineY - 9 * mmPerPx}
        anchor="middle"
        ink="follows"
        size={code === 'tail' ? 17 : 14}
        figure
        behind={label}
      >
        {formatFigure(roughly(toMm - fromMm, units), units)}
      </Note>
    </g>
  );
}

/** The place to hold at the collar button. */
function ButtonMark({ atMm, halfMm }: { readonly atMm: number; readonly halfMm: number }) {
  const mmPerPx = useMmPerPx();
  const r = 7 * mmPerPx;
  return (
    <g>
      <line
        x1={atMm}
        y1={-halfMm - 2 * mmPerPx}
        x2={atMm}
        y2={halfMm + 4 * mmPerPx}
        stroke={inkColour.follows}
        strokeWidth={2.5 * mmPerPx}
      />
      <circle cx={atMm} cy={0} r={r} fill="#fff" stroke={inkColour.follows} strokeWidth={2 * mmPerPx} />
      {[-1, 1].flatMap((dx) =>
        [-1, 1].map((dy) => (
          <circle key={`${dx} ${dy}`} cx={atMm + dx * r * 0.3} cy={dy * r * 0.3} r={1.1 * mmPerPx} fill={inkColour.follows} />
        )),
      )}
      <Note x={atMm + 12 * mmPerPx} y={halfMm + 2 * mmPerPx} ink="follows" size={13}>
        at the collar button
      </Note>
    </g>
  );
}

/** A tape along the tie: centimetres, or inches with their halves. */
function Ruler({ lengthMm, units, y }: { readonly lengthMm: number; readonly units: PlanRequest['units']; readonly y: number }) {
  const mmPerPx = useMmPerPx();
  const base = y + 14 * mmPerPx;
  const { minor, major } = units === 'cm' ? { minor: 10, major: 100 } : { minor: mmPerInch, major: 6 * mmPerInch };
  const ticks = Array.from({ length: Math.floor(lengthMm / minor) + 1 }, (_, i) => i * minor);
  const isMajor = (at: number) => Math.abs(at / major - Math.round(at / major)) < 1e-6;
  const marks = ticks.map((at) => curve`M${at} 0v${(isMajor(at) ? 9 : 4) * mmPerPx}`);
  return (
    <g stroke="var(--color-soft)" strokeWidth={mmPerPx} transform={`translate(0 ${base})`}>
      <path d={curve`M0 0H${lengthMm}` + marks.join('')} />
      {ticks.filter(isMajor).map((at) => (
        <Note key={at} x={at} y={22 * mmPerPx} anchor="middle" size={12} figure>
          {formatFigure(at, units)}
        </Note>
      ))}
    </g>
  );
}
