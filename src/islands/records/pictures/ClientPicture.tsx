import { frontDropOf } from '../../../core/body/frontDrop.ts';
import { type Caution, cautions } from '../../../core/plan/habits.ts';
import { formatLength } from '../../../core/units/length.ts';
import { usualColours } from '../../../core/usual.ts';
import { BodyFigure } from '../../../drawing/wearer/BodyFigure.tsx';
import { useRecord } from '../form/useRecord.ts';
import { drawnClient, drawnRequest } from './drawnRequest.ts';

/** The client's front with what is known of it. */
export function ClientPicture() {
  const { entries, units } = useRecord();
  const client = drawnClient(entries, units);
  const drop = frontDropOf(client);
  return (
    <>
      <BodyFigure
        id="client"
        request={drawnRequest(units, { client })}
        shirtColour={usualColours.shirt}
        jacketColour={null}
        className="max-h-[34rem] w-full"
      />
      <p className="text-note text-soft">
        {drop.measured
          ? `Collar button to belt was measured with a tape: good to ±${formatLength(drop.sdMm, units)}.`
          : `Collar button to belt is estimated${client.frontDropMm === null ? ' from height' : ''}: within ±${formatLength(drop.sdMm, units)} 2 times in 3. A tape narrows it.`}{' '}
        Grey bars: where breastbone, ribs and navel may lie.
      </p>
      {(entries['cautions'] as readonly Caution[]).map((code) => (
        <p key={code} className="pt-1 text-outside">
          {cautions[code].says}
        </p>
      ))}
    </>
  );
}
