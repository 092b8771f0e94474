import { frontDropOf } from '../../../core/body/frontDrop.ts';
import type { PlanRequest } from '../../../core/index.ts';
import { buttoningPoint } from '../../../core/jacket/opening.ts';
import { measures } from '../../../core/measures/measures.ts';
import { formatLength } from '../../../core/units/length.ts';
import { usualColours, usualLapelMm } from '../../../core/usual.ts';
import { buttoningLineX, JacketSheet } from '../../../drawing/jacket/JacketSheet.tsx';
import { LapelHandle } from '../../../drawing/jacket/LapelHandle.tsx';
import { Handle } from '../../../drawing/sheet/Handle.tsx';
import { useRecord } from '../form/useRecord.ts';
import { drawnRequest, lengthsOf } from './drawnRequest.ts';
import { OpeningInWords } from './OpeningInWords.tsx';

/** The jacket's fronts as worn, over a usual shirt. */
export function JacketPicture() {
  const { entries, units, store } = useRecord();
  const { worn, lapelKind, cut, waistcoat } = entries as unknown as NonNullable<PlanRequest['jacket']>;
  const jacket = {
    lapelMm: usualLapelMm,
    buttoningMm: null,
    ...lengthsOf(entries, ['lapelMm', 'buttoningMm']),
    worn,
    lapelKind,
    cut,
    waistcoat,
  };
  const request = drawnRequest(units, { jacket });
  const beltMm = frontDropOf(request.client).meanMm;
  const buttonMm = buttoningPoint(jacket, beltMm);
  return (
    <>
      <JacketSheet
        id="jacket"
        request={request}
        shirtColour={usualColours.shirt}
        jacketColour={typeof entries['colour'] === 'string' ? entries['colour'] : usualColours.jacket}
        className="max-h-[34rem] w-full"
      >
        <LapelHandle jacket={jacket} request={request} onChange={(mm) => store.set('lapelMm', mm)} />
        <Handle
          x={buttoningLineX(request.client)}
          y={buttonMm}
          axis="y"
          label="Buttoning point"
          valueMm={buttonMm}
          valueText={formatLength(buttonMm, units)}
          minMm={measures.jacket.buttoningMm.minMm}
          maxMm={Math.min(measures.jacket.buttoningMm.maxMm, beltMm + 60)}
          onChange={(mm) => store.set('buttoningMm', mm)}
        />
      </JacketSheet>
      <OpeningInWords request={request} over="a usual semi-spread collar" />
    </>
  );
}
