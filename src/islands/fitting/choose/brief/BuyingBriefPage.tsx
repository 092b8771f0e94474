import { useMemo, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { Wardrobe } from '../../../../contract/records/records.ts';
import { BriefWindow } from '../../../../drawing/brief/BriefWindow.tsx';
import { keepBench, keptBench } from '../../../atHand/kept.ts';
import { NotReady } from '../../../atHand/NotReady.tsx';
import { outfitAtHand } from '../../../atHand/outfit.ts';
import { Sentence } from '../../../atHand/Sentence.tsx';
import { type AtHand, freshAtHand } from '../../../atHand/values.ts';
import { WithWardrobe } from '../../../atHand/WithWardrobe.tsx';
import { unitChoices, useUnits } from '../../../device/useUnits.ts';
import { Switch } from '../../../ui/Switch.tsx';
import { useWardrobe } from '../../../wire/useWardrobe.ts';
import { BriefInWords } from './BriefInWords.tsx';
import { clientsOutfits } from './clientsOutfits.ts';
import { ServedOutfits } from './ServedOutfits.tsx';
import { ShopTie } from './ShopTie.tsx';
import { checkShopTie, firstShopTie, type ShopTieEntries } from './shopTieEntries.ts';
import { useBuyingBrief } from './useBuyingBrief.ts';

/** What to look for in a shop, and whether the tie in the hand is it. */
export function BuyingBriefPage() {
  const [kept] = useState(keptBench);
  return (
    <WithWardrobe
      waiting="Looking at the outfit …"
      whenBack="The brief will appear as soon as it can; this page keeps trying."
      clientId={kept?.client.id ?? null}
    >
      {(wardrobe) => <BriefOf initial={wardrobe} kept={kept} />}
    </WithWardrobe>
  );
}

function BriefOf({ initial, kept }: { readonly initial: Wardrobe; readonly kept: AtHand | undefined }) {
  const bench = useForm<AtHand>({ defaultValues: kept ?? freshAtHand(initial) });
  const values = bench.watch();
  const wardrobe = useWardrobe(values.client.id, initial);
  const shop = useForm<ShopTieEntries>({ defaultValues: firstShopTie });
  const entries = shop.watch();
  const [units, setUnits] = useUnits(wardrobe.client?.units ?? wardrobe.studio.units);
  const outfit = outfitAtHand(values, units);
  const asked = JSON.stringify(values);
  const dressed = useMemo(() => clientsOutfits(wardrobe, JSON.parse(asked) as AtHand, units), [wardrobe, asked, units]);
  const { brief, searching, served } = useBuyingBrief(outfit, dressed);
  const shopTie = checkShopTie(entries, units);

  if (!outfit) {
    return <NotReady />;
  }
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3 pb-3">
        <FormProvider {...bench}>
          <Sentence
            wardrobe={wardrobe}
            values={values}
            words={['client', 'shirt', 'jacket', 'aim']}
            onTurnTo={() => keepBench(bench.getValues())}
          />
        </FormProvider>
        <span className="flex items-center gap-4 print:hidden">
          <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
          <button type="button" className="min-h-10 cursor-pointer border-2 border-ink px-3" onClick={() => print()}>
            Print the brief
          </button>
        </span>
      </div>
      {brief ? (
        <div aria-busy={searching} className={`grid gap-8 lg:grid-cols-[minmax(0,34rem)_minmax(0,1fr)] ${searching ? 'opacity-60' : ''}`}>
          <div>
            <BriefWindow
              brief={brief}
              units={units}
              lapelMm={values.question.jacket ? outfit.question.jacket?.lapelMm : undefined}
              tie={shopTie.tie}
              className="h-96 w-full"
            />
            {brief.bladeMm && <ServedOutfits name={values.client.label} served={served} count={dressed.length} />}
          </div>
          <BriefInWords brief={brief} units={units} shirtColour={outfit.shirtColour} />
        </div>
      ) : (
        <p className="py-6 text-xl text-soft">Searching …</p>
      )}
      <FormProvider {...shop}>
        <ShopTie checked={shopTie} name={values.client.label} dressed={dressed} units={units} />
      </FormProvider>
    </>
  );
}
