import type { ReactNode } from 'react';
import { type Collar, classOf, halfAngle } from '../../core/collar/collar.ts';
import type { PatternCode } from '../../core/tie/patterns.ts';
import { formatFigure, formatLength, type LengthUnit } from '../../core/units/length.ts';
import { FabricDefs } from '../fabric/FabricDefs.tsx';
import { fabricFill } from '../fabric/fabricFill.ts';
import { Dimension } from '../sheet/Dimension.tsx';
import { Sheet } from '../sheet/Sheet.tsx';
import { collarLeaves } from './leaves.ts';

interface CollarSheetProps {
  readonly id: string;
  readonly collar: Collar & { readonly standMm: number | null };
  readonly neckMm: number;
  readonly units: LengthUnit;
  readonly colours: readonly string[];
  readonly pattern: PatternCode;
  readonly className?: string;
  readonly children?: ReactNode;
}

const outline = { stroke: 'var(--color-ink)', strokeOpacity: 0.6, strokeWidth: 0.7 } as const;

/** A buttoned collar as measured, true in every length. */
export function CollarSheet({ id, collar, neckMm, units, colours, pattern, className, children }: CollarSheetProps) {
  const drawing = collarLeaves(collar, neckMm);
  const [, tip] = drawing.tips;
  const half = Math.max(drawing.neckHalfMm + 42, tip[0] + 40);
  const bottom = Math.max(92, tip[1] + 34);
  const figure = (mm: number) => formatFigure(mm, units);
  const degrees = Math.round((2 * halfAngle(collar) * 180) / Math.PI);
  const stand = collar.standMm;
  return (
    <Sheet
      box={{ x: -half, y: -66, width: 2 * half, height: bottom + 66 }}
      label={`Collar, ${classOf(collar).label}: points ${formatLength(collar.collarPointMm, units)} long, ${formatLength(collar.collarSpreadMm, units)} apart, opening ${degrees} degrees.`}
      {...(className === undefined ? {} : { className })}
    >
      <defs>
        <FabricDefs id={id} cloth={{ fabric: 'cotton', pattern, colours }} upright />
      </defs>
      <path d={drawing.inside} fill={fabricFill(id, 'down')} {...outline} />
      <path d={drawing.inside} fill="#16202a" fillOpacity="0.22" />
      <circle cx={0} cy={-4} r={5.5} fill="#fff" {...outline} />
      {drawing.leaves.map((leaf) => (
        <path key={leaf} d={leaf} fill={fabricFill(id, 'down')} {...outline} />
      ))}
      <Dimension
        from={drawing.tips[0]}
        to={drawing.tips[1]}
        ink="set"
        label={figure(collar.collarSpreadMm)}
        place="below"
        labelAt={0.3}
        size={17}
      />
      <Dimension
        from={[-collar.tieSpaceMm / 2 - 7, 3]}
        to={[drawing.tips[0][0] - 7, drawing.tips[0][1] + 3]}
        ink="set"
        label={figure(collar.collarPointMm)}
        place="left"
        size={17}
      />
      <Dimension
        from={[-collar.tieSpaceMm / 2, 14]}
        to={[collar.tieSpaceMm / 2, 14]}
        ink="set"
        label={formatFigure(collar.tieSpaceMm, units, 'fine')}
        place="below"
        size={14}
      />
      {stand !== null && (
        <Dimension from={[0, -2]} to={[0, -2 - stand]} ink="set" label={formatFigure(stand, units, 'fine')} place="right" size={14} />
      )}
      {children}
    </Sheet>
  );
}
