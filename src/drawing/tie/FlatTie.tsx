import type { ReactNode } from 'react';
import type { Tie } from '../../core/index.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { widthAt } from '../../core/tie/width.ts';
import { formatFigure, formatLength, type LengthUnit } from '../../core/units/length.ts';
import { FabricDefs } from '../fabric/FabricDefs.tsx';
import { fabricFill } from '../fabric/fabricFill.ts';
import { type Pt, polygon } from '../geometry/path.ts';
import { Dimension } from '../sheet/Dimension.tsx';
import { Note } from '../sheet/Note.tsx';
import { Sheet, useMmPerPx } from '../sheet/Sheet.tsx';
import { halfWidths } from './outline.ts';

interface FlatTieProps {
  readonly id: string;
  readonly tie: Tie;
  readonly cloth: FabricLook;
  readonly units: LengthUnit;
  readonly className?: string;
  readonly children?: ReactNode;
}

/** Widths are drawn this many times larger than lengths, so that an edge can be taken by the hand. */
export const widthScale = 3;

/** A tie as it lies flat, blade to the left, with its measures; widths drawn larger than lengths. */
export function FlatTie({ id, tie, cloth, units, className, children }: FlatTieProps) {
  const half = (tie.bladeMm * widthScale) / 2;
  const say = (mm: number) => formatLength(mm, units);
  const stations = halfWidths(tie, 0, tie.lengthMm);
  const upper = stations.map(({ atMm, halfMm }): Pt => [atMm, -halfMm * widthScale]);
  const lower = stations.map(({ atMm, halfMm }): Pt => [atMm, halfMm * widthScale]).reverse();
  return (
    <Sheet
      box={{ x: -60, y: -half - 60, width: tie.lengthMm + 130, height: 2 * half + 320 }}
      label={`The tie laid flat: ${say(tie.lengthMm)} long, ${say(tie.bladeMm)} at the blade, ${say(tie.neckMm)} at the neck ${say(tie.neckAtMm)} from the tip, ${say(tie.tailMm)} at the tail.`}
      {...(className === undefined ? {} : { className })}
    >
      <defs>
        <FabricDefs id={id} cloth={cloth} />
      </defs>
      <path d={polygon([...upper, ...lower])} fill={fabricFill(id, 'down')} stroke="#000" strokeOpacity="0.55" strokeWidth="1.5" />
      <path d={`M${tie.keeperMm} ${-12}v24`} stroke="var(--color-ink)" strokeWidth="6" strokeOpacity="0.65" />
      <Marks tie={tie} units={units} half={half} />
      {children}
    </Sheet>
  );
}

function Marks({ tie, units, half }: { readonly tie: Tie; readonly units: LengthUnit; readonly half: number }) {
  const mmPerPx = useMmPerPx();
  const figure = (mm: number) => formatFigure(mm, units);
  const across = (atMm: number, mm: number, place: 'left' | 'right' = 'right') => (
    <Dimension
      from={[atMm, (-mm * widthScale) / 2]}
      to={[atMm, (mm * widthScale) / 2]}
      ink="set"
      label={figure(mm)}
      place={place}
      labelAt={0.5}
      size={14}
    />
  );
  const y = half + 18;
  const row = 26 * mmPerPx;
  const tailAt = tie.lengthMm - tie.tailMm;
  return (
    <g>
      {across(tie.bladeMm / 2, tie.bladeMm)}
      {across(tie.neckAtMm, widthAt(tie, tie.neckAtMm))}
      {across(tailAt, widthAt(tie, tailAt), 'left')}
      <Dimension from={[0, y]} to={[tie.keeperMm, y]} ink="set" label={`keeper ${figure(tie.keeperMm)}`} place="below" size={13} />
      <Dimension
        from={[0, y + row]}
        to={[tie.neckAtMm, y + row]}
        ink="set"
        label={`neck ${figure(tie.neckAtMm)}`}
        place="below"
        size={13}
      />
      <Dimension from={[0, y + 2 * row]} to={[tie.lengthMm, y + 2 * row]} ink="set" label={figure(tie.lengthMm)} place="below" size={15} />
      <Note x={tie.lengthMm} y={-half - 16 * mmPerPx} anchor="end" size={12}>
        widths drawn {widthScale} times as large as lengths
      </Note>
    </g>
  );
}
