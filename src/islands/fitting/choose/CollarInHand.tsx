import equal from 'fast-deep-equal';
import { memo } from 'react';
import { useAtRest } from '../../ui/useAtRest.ts';
import { CollarDrawn, type DrawnFitting } from '../FittingDrawn.tsx';
import { SpreadMeasure } from '../handles.tsx';

/**
 * The knot in hand on the client's own collar. What is set on it or worn in it is seen at once. While somebody pulls at the
 * belt it hardly changes: it waits until the hand rests, so that the figure keeps up with the hand.
 */
export function CollarInHand({ drawn }: { readonly drawn: DrawnFitting }) {
  const rested = useAtRest(drawn);
  return <CollarWithSpread drawn={equal(seenNear(rested), seenNear(drawn)) ? rested : drawn} />;
}

/** What a picture of the collar hangs on, but for the body under it. */
function seenNear({ request, plan, view, picture, colours }: DrawnFitting) {
  const { client, shirt, tie, jacket, units } = request;
  return [client.neckMm, client.front, client.blade, shirt, tie, jacket, units, plan.moves, view, picture, colours];
}

const CollarWithSpread = memo(function CollarWithSpread({ drawn }: { readonly drawn: DrawnFitting }) {
  return (
    <CollarDrawn drawn={drawn} className="h-80 lg:min-h-52">
      <SpreadMeasure request={drawn.request} />
    </CollarDrawn>
  );
});
