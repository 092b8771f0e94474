import { useMemo } from 'react';
import { completeRequest, KnotWordError, parseKnot, plan } from '../../../core/index.ts';
import { tyingInWords } from '../../../core/knot/steps.ts';
import { sayFrame } from '../../../drawing/geometry/view.ts';
import { CollarCloseUp } from '../../../drawing/wearer/CollarCloseUp.tsx';
import { drawnColours } from '../../seen/dressed.ts';
import { useFrame } from '../form/useFrame.ts';
import { useRecord } from '../form/useRecord.ts';
import { drawnRequest } from './drawnRequest.ts';

/** Longer ones are knots too, but none that is worn. */
const mostMoves = 12;

/** The knot that is named, in a usual tie on a usual collar, and how it is tied. */
export function NamingPicture() {
  const { entries, units } = useRecord();
  const frame = useFrame();
  const moves = String(entries['word']);
  const found = useMemo(() => {
    try {
      const knot = parseKnot(moves);
      const { client, shirt, tie } = drawnRequest(units);
      const search = { knots: 'all', maxMoves: Math.min(mostMoves, knot.moves.length), also: [moves] } as const;
      const question = { client: { ...client, blade: frame.blade }, shirt, tie, units, search };
      return { knot, request: completeRequest(question), plan: plan(question).knots.find((each) => each.moves === moves) };
    } catch (error) {
      if (error instanceof KnotWordError) return undefined;
      throw error;
    }
  }, [moves, units, frame.blade]);
  if (!found) return <p className="text-soft">Enter the knot’s moves or its name, and it is drawn here.</p>;
  return (
    <>
      {found.plan && (
        <CollarCloseUp
          id="named"
          request={found.request}
          plan={found.plan}
          view={frame.view}
          {...drawnColours(found.request, { tie: [], shirt: null, jacket: null, trousers: null })}
          className="h-96 w-full"
        />
      )}
      <ol className="list-decimal columns-2 pl-6">
        {tyingInWords(found.knot, frame).map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
          <li key={i}>{step}</li>
        ))}
      </ol>
      <p className="text-note text-soft">Left and right: {sayFrame(frame)}.</p>
    </>
  );
}
