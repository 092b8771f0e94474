import { useMemo } from 'react';
import { completeRequest, KnotWordError, parseKnot, plan } from '../../../core/index.ts';
import { sayKnot } from '../../../core/knot/say.ts';
import { CollarCloseUp } from '../../../drawing/wearer/CollarCloseUp.tsx';
import { drawnRequest } from './drawnRequest.ts';
import type { PictureProps } from './pictureProps.ts';

/** Longer words are knots too, but none that is worn. */
const mostMoves = 12;

/** The knot that is named, in a usual tie on a usual collar, and how it is tied. */
export function NamingPicture({ entries, units }: PictureProps) {
  const word = String(entries['word']);
  const found = useMemo(() => {
    try {
      const knot = parseKnot(word);
      const { client, shirt, tie } = drawnRequest(units);
      const question = { client, shirt, tie, units, taste: { knots: 'all', maxMoves: Math.min(mostMoves, knot.moves.length) } } as const;
      return { knot, request: completeRequest(question), plan: plan(question).knots.find(({ moves }) => moves === word) };
    } catch (error) {
      if (error instanceof KnotWordError) return undefined;
      throw error;
    }
  }, [word, units]);
  if (!found) return <p className="text-soft">Enter the knot’s moves or its name, and it is drawn here.</p>;
  const cloth = { fabric: 'woven-silk', pattern: 'solid', colours: ['#34506b'] } as const;
  return (
    <>
      {found.plan && (
        <CollarCloseUp
          id="named"
          request={found.request}
          plan={found.plan}
          view="facing"
          cloth={cloth}
          shirtColour="#f6f7f9"
          jacketColour={null}
          className="h-96 w-full"
        />
      )}
      <ol className="list-decimal columns-2 pl-6">
        {sayKnot(found.knot).map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
          <li key={i}>{step}</li>
        ))}
      </ol>
    </>
  );
}
