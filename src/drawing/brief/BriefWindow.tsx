import { formatFigure, type LengthUnit, unitLabel } from '../../core/units/length.ts';
import type { BriefCell, BuyingBrief } from '../../core/wardrobe/buyingBrief.ts';
import { rangeInWords } from '../../core/wardrobe/rangeInWords.ts';
import { inkColour } from '../sheet/ink.ts';
import { Note } from '../sheet/Note.tsx';
import { Sheet, useMmPerPx } from '../sheet/Sheet.tsx';

interface BriefWindowProps {
  readonly brief: BuyingBrief;
  readonly units: LengthUnit;
  readonly lapelMm: number | undefined;
  /** A tie that is looked at, to see where it lies. */
  readonly tie: { readonly bladeMm: number; readonly thicknessMm: number } | undefined;
  readonly className?: string;
}

/** Thickness is drawn this many times larger than width, since it runs over a few millimetres only. */
const thicknessScale = 11;

/** The ties that would serve, by width across and thickness up: the more knots a tie allows, the darker. */
export function BriefWindow({ brief, units, lapelMm, tie, className }: BriefWindowProps) {
  const { blades, thicknesses, cells } = brief;
  const [left = 0] = blades;
  const right = blades.at(-1) ?? left;
  const [thin = 0] = thicknesses;
  const thick = thicknesses.at(-1) ?? thin;
  const y = (thicknessMm: number) => (thick - thicknessMm) * thicknessScale;
  const height = y(thin);
  const margin = { left: 16, right: 6, top: 10, bottom: 16 };
  return (
    <Sheet
      box={{
        x: left - margin.left,
        y: -margin.top,
        width: right - left + margin.left + margin.right,
        height: height + margin.top + margin.bottom,
      }}
      label={describe(brief, units)}
      {...(className === undefined ? {} : { className })}
    >
      <Cells cells={cells} y={y} stepMm={(blades[1] ?? left) - left} stepThicknessMm={(thicknesses[1] ?? thin) - thin} />
      <Axes brief={brief} units={units} y={y} height={height} />
      {lapelMm !== undefined && <Lapel atMm={lapelMm} height={height} />}
      {tie && <Looked tie={tie} y={y} />}
    </Sheet>
  );
}

function describe({ bladeMm, thicknessMm, lengthMm, searched }: BuyingBrief, units: LengthUnit): string {
  if (!bladeMm || !thicknessMm || !lengthMm) return 'No width and thickness of tie would serve this outfit.';
  return `Ties that would serve: blade ${rangeInWords(bladeMm, searched.bladeMm, units)}, thickness ${rangeInWords(thicknessMm, searched.thicknessMm, units, 'thickness')}, length ${rangeInWords(lengthMm, searched.lengthMm, units)}.`;
}

interface CellsProps {
  readonly cells: readonly BriefCell[];
  readonly y: (thicknessMm: number) => number;
  readonly stepMm: number;
  readonly stepThicknessMm: number;
}

function Cells({ cells, y, stepMm, stepThicknessMm }: CellsProps) {
  const height = stepThicknessMm * thicknessScale;
  return cells.map(({ bladeMm, thicknessMm, knots }) => (
    <rect
      key={`${bladeMm} ${thicknessMm}`}
      x={bladeMm - stepMm / 2}
      y={y(thicknessMm) - height / 2}
      width={stepMm * 0.94}
      height={height * 0.94}
      fill={knots.length > 0 ? inkColour.follows : 'var(--color-faint)'}
      fillOpacity={knots.length > 0 ? Math.min(1, 0.28 + 0.12 * knots.length) : 1}
    >
      <title>{knots.length > 0 ? knots.join(', ') : 'no knot works'}</title>
    </rect>
  ));
}

function Axes({
  brief,
  units,
  y,
  height,
}: Pick<BriefWindowProps, 'brief' | 'units'> & { readonly y: (mm: number) => number; readonly height: number }) {
  const mmPerPx = useMmPerPx();
  const left = (brief.blades[0] ?? 0) - 3;
  return (
    <g>
      {brief.blades
        .filter((bladeMm) => bladeMm % 12 === 0)
        .map((bladeMm) => (
          <Note key={bladeMm} x={bladeMm} y={height + 3 + 14 * mmPerPx} anchor="middle" size={13} figure>
            {formatFigure(bladeMm, units)}
          </Note>
        ))}
      {brief.thicknesses
        .filter((thicknessMm) => Number.isInteger(thicknessMm))
        .map((thicknessMm) => (
          <Note key={thicknessMm} x={left - 2 * mmPerPx} y={y(thicknessMm) + 4 * mmPerPx} anchor="end" size={13} figure>
            {formatFigure(thicknessMm, units, 'thickness')}
          </Note>
        ))}
      <Note x={(brief.blades.at(-1) ?? 0) + 3} y={height + 3 + 30 * mmPerPx} anchor="end" size={13}>
        blade, {unitLabel(units)}
      </Note>
      <Note x={left - 10} y={-3 - 4 * mmPerPx} size={13}>
        thickness, {unitLabel(units, 'thickness')}
      </Note>
    </g>
  );
}

function Lapel({ atMm, height }: { readonly atMm: number; readonly height: number }) {
  const mmPerPx = useMmPerPx();
  return (
    <g>
      <line
        x1={atMm}
        x2={atMm}
        y1={-3}
        y2={height + 3}
        stroke={inkColour.set}
        strokeWidth={2 * mmPerPx}
        strokeDasharray={`${6 * mmPerPx} ${4 * mmPerPx}`}
      />
      <Note x={atMm} y={-3 - 4 * mmPerPx} anchor="middle" ink="set" size={13}>
        lapel
      </Note>
    </g>
  );
}

function Looked({ tie, y }: { readonly tie: NonNullable<BriefWindowProps['tie']>; readonly y: (mm: number) => number }) {
  const mmPerPx = useMmPerPx();
  return (
    <circle
      cx={tie.bladeMm}
      cy={y(tie.thicknessMm)}
      r={8 * mmPerPx}
      fill={inkColour.set}
      stroke="var(--color-ground)"
      strokeWidth={2.5 * mmPerPx}
      data-testid="looked-at"
    />
  );
}
