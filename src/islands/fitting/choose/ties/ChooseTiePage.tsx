import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import type { Given } from '../../../../contract/given.ts';
import { isThere } from '../../../../core/care/dealings.ts';
import { formatLength } from '../../../../core/units/length.ts';
import { AtHandProvider } from '../../../atHand/AtHandProvider.tsx';
import { outfitAtHand } from '../../../atHand/question.ts';
import { Sentence } from '../../../atHand/Sentence.tsx';
import { useAsked } from '../../../atHand/useAtHand.ts';
import { useTakeToFitting } from '../../../atHand/useTakeToFitting.ts';
import { withTie } from '../../../atHand/values.ts';
import { Button, Link } from '../../../ui/Button.tsx';
import { Switch } from '../../../ui/Switch.tsx';
import { WithGiven } from '../../../wire/WithGiven.tsx';
import { LaidTies } from './LaidTies.tsx';
import { SquaresFor } from './SquaresFor.tsx';
import { TieJudged } from './TieJudged.tsx';
import { useTieRanking } from './useTieRanking.ts';

/** Which of the ties goes with the outfit at hand? */
export function ChooseTiePage({ given }: { readonly given: Given }) {
  return (
    <WithGiven given={given}>
      <AtHandProvider>
        <Ranked />
      </AtHandProvider>
    </WithGiven>
  );
}

function Ranked() {
  const { values, lessons, wardrobe, units, learnt } = useAsked();
  // What follows from another outfit is drawn after the sentence says it: the hand is never kept waiting.
  const worn = useDeferredValue(values);
  const { question, colours } = worn;
  const outfit = useMemo(
    () => outfitAtHand({ question, colours, attempts: lessons }, units, learnt, wardrobe.ties),
    [question, colours, lessons, units, learnt, wardrobe.ties],
  );
  const [which, setWhich] = useState<'ready' | 'all'>('ready');
  const ties = useMemo(() => wardrobe.ties.filter((tie) => which === 'all' || isThere(tie)), [wardrobe.ties, which]);
  const ranking = useTieRanking(outfit, ties);
  const [chosenId, setChosenId] = useState<string>();
  const byId = useMemo(() => new Map(ties.map((tie) => [tie.id, tie])), [ties]);
  const laid = useMemo(() => ranking.ranked.filter(({ id }) => byId.has(id)), [ranking.ranked, byId]);
  const chosen = laid.find(({ id }) => id === chosenId) ?? laid[0];
  const tie = chosen && byId.get(chosen.id);
  const lapelMm = outfit?.question.jacket?.lapelMm;
  const take = useTakeToFitting();
  const use = useCallback(() => {
    if (tie) take((now) => ({ ...withTie(now, tie), knot: null }));
  }, [take, tie]);

  if (wardrobe.ties.length === 0) {
    return (
      <p className="py-6 text-xl">
        No ties in the wardrobe yet. <Link href="/ties/new">Add a tie</Link>
      </p>
    );
  }
  return (
    <>
      <div className="pb-2">
        <Sentence words={['client', 'shirt', 'jacket', 'aim']} />
      </div>
      {outfit ? (
        <div className="grid gap-x-8 gap-y-6 pt-2 lg:grid-cols-[minmax(0,1fr)_23rem]">
          <div className="min-w-0">
            {tie && <TieJudged outfit={outfit} worn={colours} tie={tie} onUse={use} />}
            {tie && <SquaresFor tie={tie} ties={wardrobe.ties} squares={wardrobe.squares} />}
          </div>
          <section aria-label="The ties" className="flex min-w-0 flex-col max-lg:order-first">
            <Progress ranking={ranking} total={ties.length} />
            <Switch
              label="Which ties"
              value={which}
              choices={[
                { key: 'ready', label: 'in the wardrobe' },
                { key: 'all', label: 'also lent or resting' },
              ]}
              onChange={setWhich}
            />
            {lapelMm !== undefined && (
              <p className="pt-1 text-note text-soft">
                Each laid over the lapel, <span className="text-set">{formatLength(lapelMm, units)}</span> wide.
              </p>
            )}
            <LaidTies ranked={laid} ties={byId} lapelMm={lapelMm} chosenId={chosen?.id} onChoose={setChosenId} />
          </section>
        </div>
      ) : (
        <p className="py-6 text-xl">
          A measure of this fitting is missing or out of range. <Link href="/">Put it right</Link>
        </p>
      )}
    </>
  );
}

function Progress({ ranking, total }: { readonly ranking: ReturnType<typeof useTieRanking>; readonly total: number }) {
  const { ranked, judged, state, stop, again } = ranking;
  const works = ranked.filter(({ feasible }) => feasible).length;
  return (
    <div className="flex min-h-9 items-center gap-4 text-soft">
      <p role="status">
        {state === 'done'
          ? `${works} of ${total} ties work with this outfit, best match first.`
          : `${judged} of ${total} ties judged${state === 'stopped' ? ', then stopped.' : '…'}`}
      </p>
      {state === 'judging' && (
        <>
          <progress className="h-2 w-48 accent-set" value={judged} max={total} aria-label="Ties judged" />
          <Button look="text" onClick={stop}>
            Stop
          </Button>
        </>
      )}
      {state === 'done' && <Link href="/buying-brief">{works === 0 ? 'What to buy instead' : 'What to buy for it'}</Link>}
      {state === 'stopped' && (
        <Button look="text" onClick={again}>
          Judge them all
        </Button>
      )}
    </div>
  );
}
