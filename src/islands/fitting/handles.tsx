import type { Taking } from '../../core/body/frontDrop.ts';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import type { PlanRequest } from '../../core/index.ts';
import { measures } from '../../core/measures/measures.ts';
import { formatFigure, formatLength } from '../../core/units/length.ts';
import { SpreadHandle } from '../../drawing/collar/SpreadHandle.tsx';
import { lapelMeasure } from '../../drawing/jacket/fronts.ts';
import { LapelHandle } from '../../drawing/jacket/LapelHandle.tsx';
import { Dimension } from '../../drawing/sheet/Dimension.tsx';
import { Handle } from '../../drawing/sheet/Handle.tsx';
import { buildOfClient } from '../../drawing/wearer/build.ts';
import { type LengthEntry, useEntry } from '../ui/entry.ts';

interface HandleProps {
  readonly request: PlanRequest;
}

/** The belt line: moves how far it lies below the collar button. An estimate becomes a measured one when it is taken by the hand. */
export function FrontDropHandle({ request }: HandleProps) {
  const field = useEntry<LengthEntry>('question.client.frontDropMm');
  const how = useEntry<Taking>('question.client.frontDropHow');
  const { minMm, maxMm } = measures.client.frontDropMm;
  const drop = frontDropOf(request.client);
  const x = buildOfClient(request.client).halfMm + 12;
  return (
    <g>
      <Dimension
        from={[x, 0]}
        to={[x, drop.meanMm]}
        ink="set"
        label={`${drop.measured ? '' : '≈ '}${formatFigure(drop.meanMm, request.units)}`}
        place="right"
      />
      <Handle
        x={x}
        y={drop.meanMm}
        axis="y"
        label="Collar button to belt"
        valueMm={drop.meanMm}
        valueText={formatLength(drop.meanMm, request.units)}
        minMm={minMm}
        maxMm={maxMm}
        onChange={(mm) => {
          field.onChange(mm);
          how.onChange('tape');
        }}
      />
    </g>
  );
}

/** The lapel, with its measure written beside it. */
export function LapelMeasure({ request }: HandleProps) {
  const field = useEntry<LengthEntry>('question.jacket.lapelMm');
  const { client, jacket, units } = request;
  if (!jacket) return null;
  const [from, to] = lapelMeasure(jacket, client.neckMm, frontDropOf(client).meanMm);
  return (
    <g>
      <Dimension from={[-from[0], from[1]]} to={[-to[0], to[1]]} ink="set" label={formatFigure(jacket.lapelMm, units)} />
      <LapelHandle jacket={jacket} request={request} onChange={field.onChange} />
    </g>
  );
}

/** The collar's spread. */
export function SpreadMeasure({ request: { client, shirt, units } }: HandleProps) {
  const field = useEntry<LengthEntry>('question.shirt.collarSpreadMm');
  return <SpreadHandle collar={shirt} neckMm={client.neckMm} units={units} onChange={field.onChange} />;
}

/** The blade's width and the tie's length, on the tie itself. */
export function TieHandles({ request }: HandleProps) {
  const length = useEntry<LengthEntry>('question.tie.lengthMm');
  const blade = useEntry<LengthEntry>('question.tie.bladeMm');
  const { tie, client, shirt, units } = request;
  const lengths = measures.tie.lengthMm;
  const blades = measures.tie.bladeMm;
  const loop = client.neckMm + shirt.collarAllowanceMm;
  return (
    <g>
      <Handle
        x={tie.lengthMm}
        y={0}
        axis="x"
        label="Length of the tie"
        valueMm={tie.lengthMm}
        valueText={formatLength(tie.lengthMm, units)}
        minMm={Math.max(lengths.minMm, loop + 1, tie.neckAtMm + tie.tailMm + 1)}
        maxMm={lengths.maxMm}
        onChange={length.onChange}
      />
      <Handle
        x={tie.lengthMm - tie.bladeMm / 2 - 45}
        y={tie.bladeMm / 2}
        axis="y"
        gain={2}
        label="Width of the blade"
        valueMm={tie.bladeMm}
        valueText={formatLength(tie.bladeMm, units)}
        minMm={Math.max(blades.minMm, tie.tailMm)}
        maxMm={Math.min(blades.maxMm, tie.neckAtMm - 1)}
        onChange={blade.onChange}
      />
    </g>
  );
}
