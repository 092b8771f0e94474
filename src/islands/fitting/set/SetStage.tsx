import { useState } from 'react';
import { Walk } from '../../../drawing/walk/Walk.tsx';
import { useAsked } from '../../atHand/useAtHand.ts';
import { useShortcuts } from '../../device/shortcuts.ts';
import { TakeDrawing } from '../../seen/TakeDrawing.tsx';
import { ViewSwitch } from '../../ui/Moves.tsx';
import { Switch } from '../../ui/Switch.tsx';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import { FrontDrawn } from '../FittingDrawn.tsx';
import { FrontDropHandle, TieHandles } from '../handles.tsx';
import { StartReadout } from './StartReadout.tsx';

/** Height over width of the walk's strip. */
const walkAspect = 0.24;

/** The tie hangs around the client's neck, an end in each hand: one large figure, where on the body that is, and the tie along its length. */
export function SetStage({ drawn }: { readonly drawn: DrawnFitting }) {
  const { request, plan, colours } = drawn;
  const { frame, setView, units, stale } = useAsked();
  const [hangs, setHangs] = useState<'hung' | 'tied'>('hung');
  useShortcuts({ stage: () => setHangs(hangs === 'tied' ? 'hung' : 'tied') });
  return (
    <main
      className={`grid min-h-0 grow gap-x-8 px-5 pt-2 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)] lg:grid-rows-[minmax(0,1fr)] ${stale ? 'opacity-50' : ''}`}
    >
      <section aria-label="Front" className="flex min-h-0 flex-col">
        <div className="flex justify-between border-b border-line pb-1">
          <Switch label="Tie" value={hangs} choices={hanging} onChange={setHangs} />
          <ViewSwitch frame={frame} onView={setView} />
        </div>
        <FrontDrawn drawn={drawn} stage={hangs} className="h-[30rem] lg:min-h-60">
          <FrontDropHandle request={request} />
        </FrontDrawn>
      </section>
      <div className="flex min-h-0 flex-col justify-between gap-y-3 max-md:order-first">
        <StartReadout knot={plan} gapMm={request.client.crossingGapMm} units={units} stale={stale} />
        <section aria-label="The tie along its length">
          <Walk id="walk" request={request} plan={plan} cloth={colours.cloth} aspect={walkAspect} className="w-full">
            <TieHandles request={request} />
          </Walk>
          <p className="flex flex-wrap gap-x-8">
            <TakeDrawing within="Front" name="Front" />
            <TakeDrawing within="The tie along its length" name="Tie" />
          </p>
        </section>
      </div>
    </main>
  );
}

const hanging = [
  { key: 'hung', label: 'hung' },
  { key: 'tied', label: 'tied' },
] as const;
