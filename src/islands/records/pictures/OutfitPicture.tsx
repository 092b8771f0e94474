import { useQuery } from '@tanstack/react-query';
import { planClient, planShirt } from '../../../contract/records/asWorn.ts';
import { usualColours } from '../../../core/usual.ts';
import { FoldedSquare } from '../../../drawing/wardrobe/FoldedSquare.tsx';
import { BodyFigure, OpeningMarks } from '../../../drawing/wearer/BodyFigure.tsx';
import { recordQuery } from '../../wire/queries.ts';
import { useRecord } from '../form/useRecord.ts';
import { drawnRequest, lengthsOf } from './drawnRequest.ts';
import { OpeningInWords } from './OpeningInWords.tsx';

/** The client in this outfit, without a tie. */
export function OutfitPicture() {
  const { entries, units, studio } = useRecord();
  const client = useQuery(one('clients', entries['clientId'])).data;
  const shirt = useQuery(one('shirts', entries['shirtId'])).data;
  const jacket = useQuery(one('jackets', entries['jacketId'])).data;
  const square = useQuery(one('squares', entries['squareId'])).data;
  const usual = drawnRequest(units);
  const belt = { beltLineMm: null, beltHeightMm: null, ...lengthsOf(entries, ['beltLineMm', 'beltHeightMm']) };
  const known = client && planClient(client, belt, studio.person);
  const request = drawnRequest(units, {
    ...(known && {
      client: { ...known, heightMm: known.heightMm ?? usual.client.heightMm, neckMm: known.neckMm ?? usual.client.neckMm },
    }),
    ...(shirt && { shirt: planShirt(shirt) }),
    jacket: entries['jacketId'] && jacket ? jacket : null,
  });
  return (
    <>
      <BodyFigure
        id="outfit"
        request={request}
        shirtColour={shirt?.colour ?? usualColours.shirt}
        jacketColour={request.jacket && (jacket?.colour ?? usualColours.jacket)}
        className="max-h-[32rem] w-full"
      >
        <OpeningMarks request={request} />
      </BodyFigure>
      <div className="flex items-start gap-4">
        {entries['squareId'] && square ? <FoldedSquare cloth={square} className="h-16 shrink-0" /> : null}
        {shirt ? (
          <OpeningInWords request={request} over={shirt.label} />
        ) : (
          <p className="text-soft">Choose a shirt: its collar decides the knot.</p>
        )}
      </div>
    </>
  );
}

/** A piece that may not have been chosen yet. */
function one<K extends 'clients' | 'shirts' | 'jackets' | 'squares'>(kind: K, id: unknown) {
  const chosen = typeof id === 'string' && id !== '';
  return { ...recordQuery(kind, chosen ? id : ''), enabled: chosen };
}
