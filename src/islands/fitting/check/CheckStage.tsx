import { likings } from '../../../core/plan/habits.ts';
import { formatLength } from '../../../core/units/length.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import { FrontDrawn } from '../FittingDrawn.tsx';
import { NoteField } from '../NoteField.tsx';
import { SaveLine } from '../SaveLine.tsx';
import { tipSpan } from '../set/setInWords.ts';
import type { Saving } from '../useSaving.ts';

interface CheckStageProps {
  readonly drawn: DrawnFitting;
  readonly saving: Saving;
  readonly hindrance: string | undefined;
  readonly onSave: () => void;
}

/** A step back from the client: what should be seen now, from the tip up, and the fitting saved. */
export function CheckStage({ drawn, saving, hindrance, onSave }: CheckStageProps) {
  const { client, units, stale } = useAsked();
  const { tip, tail, shape } = drawn.plan;
  const say = (mm: number) => formatLength(mm, units);
  const below = tip.dropMm - tail.dropMm;
  return (
    <main className={`grid min-h-0 grow gap-x-8 px-5 pt-2 md:grid-cols-[minmax(0,5fr)_minmax(0,6fr)] ${stale ? 'opacity-50' : ''}`}>
      <section aria-label="Front" className="flex min-h-0 flex-col">
        <FrontDrawn drawn={drawn} className="h-[30rem] lg:min-h-72" />
      </section>
      <section aria-label="What should be seen" className="min-h-0 overflow-y-auto">
        <h2 className="border-b-2 border-ink text-xl font-medium">What should be seen</h2>
        <ol className="space-y-2 py-3 text-lg leading-snug">
          <li>
            <b>Tip:</b> {tipSpan(tip, units)} below the collar button (2 times in 3); {say(tip.dropMm)} is the aim.
          </li>
          <li>
            <b>Tail:</b>{' '}
            {below > 0
              ? `${say(below)} above the blade tip`
              : below < 0
                ? `${say(-below)} below the blade tip`
                : 'level with the blade tip'}
            {tail.reachesKeeper ? ', through the keeper.' : ', short of the keeper.'}
          </li>
          <li>
            <b>Knot:</b> about {say(shape.topMm)} across the top, up to the button, no gap at the throat.
          </li>
          <li>
            <b>Dimple:</b> {likings.dimple[client?.dimple ?? 'off-centre'].label}.
          </li>
          <li>
            <b>Tie band:</b> covered by the collar all round; points down, collar smooth.
          </li>
        </ol>
        <p className="text-note text-soft">
          Tip too low: start lower, by a little less than the error. Too high: start higher. Never tighter than one finger’s room; stop at
          any discomfort.
        </p>
        <div className="max-w-xl py-3">
          <NoteField />
        </div>
        <SaveLine saving={saving} hindrance={hindrance} onSave={onSave} />
      </section>
    </main>
  );
}
