import type { ReactNode } from 'react';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import { landmarksOf } from '../../core/body/landmarks.ts';
import type { PlanRequest } from '../../core/index.ts';
import { frontEdge, openingAt, pointsMeetMm, pointsUnderFronts } from '../../core/jacket/opening.ts';
import { formatFigure, formatLength } from '../../core/units/length.ts';
import { collarLeaves } from '../collar/leaves.ts';
import { Dimension } from '../sheet/Dimension.tsx';
import { inkColour } from '../sheet/ink.ts';
import { Note } from '../sheet/Note.tsx';
import { Sheet, useMmPerPx } from '../sheet/Sheet.tsx';
import { buildOfClient } from './build.ts';
import { Dressed } from './Dressed.tsx';

interface BodyFigureProps {
  readonly id: string;
  readonly request: Pick<PlanRequest, 'client' | 'shirt' | 'jacket' | 'units'>;
  readonly shirtColour: string;
  readonly jacketColour: string | null;
  /** Whether landmarks and belt line are told, or only the clothes are shown. */
  readonly told?: boolean;
  readonly className?: string;
  readonly children?: ReactNode;
}

const box = { left: 112, right: 64, top: -96, belowBelt: 120 };

/** A client without a tie: landmarks, belt line and how surely they are known. */
export function BodyFigure({ told = true, className, children, ...dressed }: BodyFigureProps) {
  const { request } = dressed;
  const drop = frontDropOf(request.client);
  const bottomMm = drop.meanMm + box.belowBelt;
  const { halfMm } = buildOfClient(request.client);
  const collar = collarLeaves(request.shirt, request.client.neckMm);
  const say = (mm: number) => formatLength(mm, request.units);
  const known = drop.measured ? 'measured with a tape' : `estimated, ±${say(drop.sdMm)}`;
  return (
    <Sheet
      box={{ x: -halfMm - box.left, y: box.top, width: 2 * halfMm + box.left + box.right, height: bottomMm - box.top }}
      label={`Front: the belt top lies ${say(drop.meanMm)} below the collar button, ${known}.`}
      {...(className === undefined ? {} : { className })}
    >
      <Dressed {...dressed} collar={collar} view="facing" bottomMm={bottomMm} />
      {told && <Known request={request} />}
      {children}
    </Sheet>
  );
}

function Known({ request }: Pick<BodyFigureProps, 'request'>) {
  const mmPerPx = useMmPerPx();
  const { client, units } = request;
  const drop = frontDropOf(client);
  const { halfMm } = buildOfClient(client);
  const x = halfMm + 12;
  const named = landmarksOf(client, []).filter(({ name }) => name !== 'belt top');
  return (
    <g>
      {named.map(({ name, meanMm, sdMm }) => (
        <g key={name}>
          <path
            d={`M${-halfMm - 3} ${meanMm - sdMm}V${meanMm + sdMm}`}
            stroke="var(--color-line)"
            strokeWidth={4 * mmPerPx}
            strokeLinecap="round"
          />
          <Note x={-halfMm - 9 * mmPerPx} y={meanMm + 4 * mmPerPx} size={12} anchor="end">
            {name.replace('bottom of the ', '')}
          </Note>
        </g>
      ))}
      {!drop.measured && (
        <rect
          x={-halfMm}
          y={drop.meanMm - drop.sdMm}
          width={2 * halfMm}
          height={2 * drop.sdMm}
          fill={inkColour.follows}
          fillOpacity={0.18}
        />
      )}
      <Dimension
        from={[x, 0]}
        to={[x, drop.meanMm]}
        ink={drop.measured ? 'set' : 'follows'}
        label={`${drop.measured ? '' : '≈ '}${formatFigure(drop.meanMm, units)}`}
        place="right"
        size={16}
      />
    </g>
  );
}

/** Where the collar's points end against the jacket's fronts, and how wide the fronts leave the shirt open. */
export function OpeningMarks({ request }: Pick<BodyFigureProps, 'request'>) {
  const mmPerPx = useMmPerPx();
  const { client, shirt, jacket, units } = request;
  if (!jacket) return null;
  const edge = frontEdge(jacket, client.neckMm, frontDropOf(client).meanMm);
  const under = pointsUnderFronts(shirt, edge);
  const [, tip] = collarLeaves(shirt, client.neckMm).tips;
  const half = openingAt(edge, edge.button[1] / 2);
  return (
    <g>
      {[tip, [-tip[0], tip[1]] as const].map(([x, y]) => (
        <circle
          key={x}
          cx={x}
          cy={y}
          r={6 * mmPerPx}
          fill="none"
          stroke={under >= -pointsMeetMm ? inkColour.follows : inkColour.outside}
          strokeWidth={2.5 * mmPerPx}
        />
      ))}
      <Dimension
        from={[-half, edge.button[1] / 2]}
        to={[half, edge.button[1] / 2]}
        ink="follows"
        label={formatFigure(2 * half, units)}
        size={14}
      />
    </g>
  );
}
