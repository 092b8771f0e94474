import { useMemo, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { Wardrobe } from '../../contract/records.ts';
import { BenchNotReady } from '../bench/BenchNotReady.tsx';
import { keepBench, keptBench } from '../bench/keptBench.ts';
import { Sentence } from '../bench/Sentence.tsx';
import { type BenchValues, freshBench, withTie } from '../bench/values.ts';
import { Switch } from '../controls/Switch.tsx';
import { useUnits } from '../controls/useUnits.ts';
import { WithWardrobe } from '../records/WithWardrobe.tsx';
import { outfitOnBench } from './outfitOnBench.ts';
import { Rail } from './Rail.tsx';
import { TieJudged } from './TieJudged.tsx';
import { useRackRanking } from './useRackRanking.ts';

/** Which of the ties goes with the outfit that stands on the bench? */
export default function Rack() {
  return (
    <WithWardrobe waiting="Going through the rack …" whenBack="The rack will appear as soon as it can; this page keeps trying.">
      {(wardrobe) => <RackOf wardrobe={wardrobe} />}
    </WithWardrobe>
  );
}

function RackOf({ wardrobe }: { readonly wardrobe: Wardrobe }) {
  const form = useForm<BenchValues>({ defaultValues: keptBench() ?? freshBench(wardrobe) });
  const values = form.watch();
  const [units] = useUnits(wardrobe.studio.units);
  const outfit = outfitOnBench(values, units);
  const [whose, setWhose] = useState<'at-hand' | 'all'>('at-hand');
  const ties = useMemo(
    () => wardrobe.ties.filter(({ clientId }) => whose === 'all' || clientId === null || clientId === values.client.id),
    [wardrobe.ties, whose, values.client.id],
  );
  const ranking = useRackRanking(outfit, ties);
  const [chosenId, setChosenId] = useState<string>();
  const onRack = ranking.ranked.filter(({ id }) => ties.some((tie) => tie.id === id));
  const chosen = onRack.find(({ id }) => id === chosenId) ?? onRack[0];
  const tie = wardrobe.ties.find(({ id }) => id === chosen?.id);

  if (wardrobe.ties.length === 0) return <p className="py-6 text-xl">There is no tie on the rack yet.</p>;
  if (!outfit) {
    return <BenchNotReady />;
  }
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
          label="Whose ties"
          value={whose}
          choices={[
            { key: 'at-hand', label: 'the studio’s and his own' },
            { key: 'all', label: 'all' },
          ]}
          onChange={setWhose}
        />
      </div>
      <Rail ranked={onRack} ties={wardrobe.ties} clientId={values.client.id} chosenId={chosen?.id} onChoose={setChosenId} />
      {chosen && tie && (
        <TieJudged
          values={values}
          outfit={outfit}
          tie={tie}
          judgement={chosen.judgement}
          units={units}
          onTake={() => {
            keepBench({ ...withTie(form.getValues(), tie), knot: null });
            location.href = '/';
          }}
        />
      )}
    </FormProvider>
  );
}

function Progress({ ranking, total }: { readonly ranking: ReturnType<typeof useRackRanking>; readonly total: number }) {
  const { ranked, judged, state, stop, again } = ranking;
  const fit = ranked.filter(({ judgement }) => judgement.feasible).length;
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
      {state === 'stopped' && (
        <button type="button" className="cursor-pointer text-set underline" onClick={again}>
          Judge them all
        </button>
      )}
    </div>
  );
}
