import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { Wardrobe } from '../../../../contract/records/records.ts';
import { keepBench, keptBench } from '../../../atHand/kept.ts';
import { NotReady } from '../../../atHand/NotReady.tsx';
import { outfitAtHand } from '../../../atHand/outfit.ts';
import { Sentence } from '../../../atHand/Sentence.tsx';
import { type AtHand, freshAtHand, withTie } from '../../../atHand/values.ts';
import { WithWardrobe } from '../../../atHand/WithWardrobe.tsx';
import { useUnits } from '../../../device/useUnits.ts';
import { Switch } from '../../../ui/Switch.tsx';
import { useWardrobe } from '../../../wire/useWardrobe.ts';
import { Rail } from './Rail.tsx';
import { SquaresFor } from './SquaresFor.tsx';
import { TieJudged } from './TieJudged.tsx';
import { useTieRanking } from './useTieRanking.ts';

/** Which of the ties goes with the outfit that stands on the bench? */
export function ChooseTiePage() {
  const [kept] = useState(keptBench);
  return (
    <WithWardrobe
      waiting="Going through the rack …"
      whenBack="The rack will appear as soon as it can; this page keeps trying."
      clientId={kept?.client.id ?? null}
    >
      {(wardrobe) => <Ranked initial={wardrobe} kept={kept} />}
    </WithWardrobe>
  );
}

function Ranked({ initial, kept }: { readonly initial: Wardrobe; readonly kept: AtHand | undefined }) {
  const form = useForm<AtHand>({ defaultValues: kept ?? freshAtHand(initial) });
  const values = form.watch();
  const wardrobe = useWardrobe(values.client.id, initial);
  const [units] = useUnits(wardrobe.client?.units ?? wardrobe.studio.units);
  const asked = JSON.stringify(values);
  // What follows from another outfit is drawn after the sentence says it: the hand is never kept waiting.
  const worn = useDeferredValue(asked);
  const outfit = useMemo(() => {
    const dressed = outfitAtHand(JSON.parse(worn) as AtHand, units);
    return dressed && JSON.stringify(dressed);
  }, [worn, units]);
  const cloth = useMemo(() => (JSON.parse(worn) as AtHand).cloth, [worn]);
  const [which, setWhich] = useState<'ready' | 'all'>('ready');
  const ties = useMemo(() => wardrobe.ties.filter(({ state }) => which === 'all' || state === 'rack'), [wardrobe.ties, which]);
  const ranking = useTieRanking(outfit, ties);
  const [chosenId, setChosenId] = useState<string>();
  const byId = useMemo(() => new Map(ties.map((tie) => [tie.id, tie])), [ties]);
  const onRack = useMemo(() => ranking.ranked.filter(({ id }) => byId.has(id)), [ranking.ranked, byId]);
  const chosen = onRack.find(({ id }) => id === chosenId) ?? onRack[0];
  const tie = chosen && byId.get(chosen.id);
  const take = useCallback(() => {
    if (!tie) return;
    keepBench({ ...withTie(form.getValues(), tie), knot: null });
    location.href = '/';
  }, [form, tie]);

  if (wardrobe.ties.length === 0) {
    return (
      <p className="py-6 text-xl">
        There is no tie on the rack yet.{' '}
        <a className="text-set underline" href="/ties/new">
          Add the first
        </a>
        .
      </p>
    );
  }
  if (!outfit) return <NotReady />;
  return (
    <FormProvider {...form}>
      <div className="pb-2">
        <Sentence
          wardrobe={wardrobe}
          values={values}
          words={['client', 'shirt', 'jacket', 'aim']}
          onTurnTo={() => keepBench(form.getValues())}
        />
      </div>
      <div className="flex flex-wrap items-center justify-between gap-x-6">
        <Progress ranking={ranking} total={ties.length} />
        <Switch
          label="Which ties"
          value={which}
          choices={[
            { key: 'ready', label: 'on the rack' },
            { key: 'all', label: 'also those out, resting or in repair' },
          ]}
          onChange={setWhich}
        />
      </div>
      <Rail ranked={onRack} ties={byId} chosenId={chosen?.id} onChoose={setChosenId} />
      {tie && <TieJudged outfit={outfit} shirtColour={cloth.shirt} jacketColour={cloth.jacket} tie={tie} units={units} onTake={take} />}
      {tie && <SquaresFor tie={tie} ties={wardrobe.ties} squares={wardrobe.squares} />}
    </FormProvider>
  );
}

function Progress({ ranking, total }: { readonly ranking: ReturnType<typeof useTieRanking>; readonly total: number }) {
  const { ranked, judged, state, stop, again } = ranking;
  const fit = ranked.filter(({ feasible }) => feasible).length;
  return (
    <div className="flex min-h-9 items-center gap-4 text-soft">
      <p role="status">
        {state === 'done'
          ? `${fit} of ${total} ties can be worn with it, best first.`
          : `${judged} of ${total} ties judged${state === 'stopped' ? ', then stopped.' : ' …'}`}
      </p>
      {state === 'judging' && (
        <>
          <progress className="h-2 w-48 accent-set" value={judged} max={total} aria-label="Ties judged" />
          <button type="button" className="cursor-pointer text-set underline" onClick={stop}>
            Stop
          </button>
        </>
      )}
      {state === 'done' && (
        <a className="inline-flex min-h-9 items-center text-set underline" href="/brief">
          {fit === 0 ? 'What to buy instead' : 'What to buy for it'}
        </a>
      )}
      {state === 'stopped' && (
        <button type="button" className="cursor-pointer text-set underline" onClick={again}>
          Judge them all
        </button>
      )}
    </div>
  );
}
