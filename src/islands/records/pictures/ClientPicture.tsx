import { frontDropOf } from '../../../core/body/frontDrop.ts';
import { type Caution, cautions } from '../../../core/plan/habits.ts';
import { formatLength } from '../../../core/units/length.ts';
import { BodyFigure } from '../../../drawing/wearer/BodyFigure.tsx';
import { drawnClient, drawnRequest } from './drawnRequest.ts';
import type { PictureProps } from './pictureProps.ts';

/** The client's front with what is known of it. */
export function ClientPicture({ entries, units }: PictureProps) {
  const client = drawnClient(entries, units);
  const drop = frontDropOf(client);
  return (
    <>
      <BodyFigure
        id="client"
        request={drawnRequest(units, { client })}
        shirtColour="#f6f7f9"
        jacketColour={null}
        className="max-h-[34rem] w-full"
      />
      <p className="text-note text-soft">
        {drop.measured
          ? `The front drop was taken with a tape: good to about ${formatLength(drop.sdMm, units)}.`
          : `The front drop is ${client.frontDropMm === null ? 'supposed from height' : 'an estimate'}: two times in three within ${formatLength(drop.sdMm, units)}. A tape narrows it to half a centimetre.`}{' '}
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
