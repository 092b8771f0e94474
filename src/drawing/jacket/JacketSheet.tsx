import type { ReactNode } from 'react';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import type { PlanRequest } from '../../core/index.ts';
import { buttoningPoint } from '../../core/jacket/opening.ts';
import { formatFigure } from '../../core/units/length.ts';
import { Dimension } from '../sheet/Dimension.tsx';
import { BodyFigure, OpeningMarks } from '../wearer/BodyFigure.tsx';
import { buildOfClient } from '../wearer/build.ts';
import { lapelMeasure } from './fronts.ts';

interface JacketSheetProps {
  readonly id: string;
  readonly request: Pick<PlanRequest, 'client' | 'shirt' | 'jacket' | 'units'>;
  readonly shirtColour: string;
  readonly jacketColour: string;
  readonly className?: string;
  readonly children?: ReactNode;
}

/** Beside the sleeve: where the buttoning point's line stands. */
export function buttoningLineX(client: PlanRequest['client']): number {
  return -buildOfClient(client).halfMm - 12;
}

/** A jacket worn as it is worn, with its lapel, its buttoning point, and what it leaves open. */
export function JacketSheet({ children, ...figure }: JacketSheetProps) {
  const { client, jacket, units } = figure.request;
  if (!jacket) return null;
  const beltY = frontDropOf(client).meanMm;
  const [from, to] = lapelMeasure(jacket, client.neckMm, beltY);
  const x = buttoningLineX(client);
  const buttonY = buttoningPoint(jacket, beltY);
  return (
    <BodyFigure {...figure} told={false}>
      <OpeningMarks request={figure.request} />
      <Dimension from={[-from[0], from[1]]} to={[-to[0], to[1]]} ink="set" label={formatFigure(jacket.lapelMm, units)} size={16} />
      <Dimension
        from={[x, 0]}
        to={[x, buttonY]}
        ink={jacket.buttoningMm === null ? 'follows' : 'set'}
        label={`${jacket.buttoningMm === null ? '≈ ' : ''}${formatFigure(buttonY, units)}`}
        place="left"
        size={15}
      />
      {children}
    </BodyFigure>
  );
}
