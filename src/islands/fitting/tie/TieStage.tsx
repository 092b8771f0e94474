import { useState } from 'react';
import { parseKnot } from '../../../core/index.ts';
import { tyingInWords } from '../../../core/knot/steps.ts';
import { sayFrame } from '../../../drawing/geometry/view.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { useShortcuts } from '../../device/shortcuts.ts';
import { Button, Link } from '../../ui/Button.tsx';
import { Moves, MovesKey, ViewSwitch } from '../../ui/Moves.tsx';
import { capital } from '../../ui/words.ts';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import { CollarDrawn } from '../FittingDrawn.tsx';
import { startSeam } from '../set/setInWords.ts';

/** Both hands are at the crossing: one move at a time, large, gone through without a mouse. */
export function TieStage({ drawn }: { readonly drawn: DrawnFitting }) {
  const { plan } = drawn;
  const { frame, setView, stale } = useAsked();
  const steps = tyingInWords(parseKnot(plan.moves), frame);
  const [at, setAt] = useState(0);
  const now = Math.min(at, steps.length - 1);
  const go = (by: number) => setAt(Math.max(0, Math.min(steps.length - 1, now + by)));
  useShortcuts({ nextStep: () => go(1), previousStep: () => go(-1) });
  return (
    <main className={`grid min-h-0 grow gap-x-8 px-5 pt-2 md:grid-cols-[minmax(0,6fr)_minmax(0,5fr)] ${stale ? 'opacity-50' : ''}`}>
      <section aria-label="Moves" className="flex min-h-0 flex-col">
        <div className="flex flex-wrap items-center justify-between gap-x-4 border-b border-line pb-1">
          <Moves of={plan.moves} frame={frame} className="text-2xl" />
          <ViewSwitch frame={frame} onView={setView} />
        </div>
        <MovesKey frame={frame} />
        <p className="text-note text-soft">
          {startSeam(plan.properties)} Left and right: {sayFrame(frame)}. Leave one finger’s room at the throat; ask, and slide up slowly.
        </p>
        <div aria-live="polite" className="py-4">
          <p className="text-soft">
            Step {now + 1} of {steps.length}
          </p>
          <p className="text-step font-semibold">{capital(steps[now] ?? '')}</p>
        </div>
        <div className="flex gap-3">
          <Button look="other" className="min-w-32 text-lg" disabled={now === 0} onClick={() => go(-1)}>
            Back
          </Button>
          <Button className="min-w-32 text-lg" disabled={now === steps.length - 1} onClick={() => go(1)}>
            Next
          </Button>
        </div>
        <ol className="min-h-0 grow overflow-y-auto pt-4">
          {steps.map((step, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
            <li key={i}>
              <button
                type="button"
                aria-current={i === now ? 'step' : undefined}
                className="flex min-h-9 w-full cursor-pointer items-baseline gap-3 px-1 text-left hover:bg-white aria-[current]:bg-white aria-[current]:font-medium aria-[current]:text-set"
                onClick={() => setAt(i)}
              >
                <span className="figures w-5 shrink-0 text-right text-soft">{i + 1}</span>
                {step}
              </button>
            </li>
          ))}
        </ol>
      </section>
      <section aria-label="Collar and knot" className="flex min-h-0 flex-col">
        <CollarDrawn drawn={drawn} className="h-96 lg:min-h-56" />
        <p className="pb-2 text-note text-soft">
          The finished knot. <Link href={`/knots/${plan.code}`}>This knot’s page</Link> turns it round in cloth.
        </p>
      </section>
    </main>
  );
}
