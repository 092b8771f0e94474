import { useMemo } from 'react';
import type { Given } from '../../../../contract/given.ts';
import { BriefWindow } from '../../../../drawing/brief/BriefWindow.tsx';
import { AtHandProvider } from '../../../atHand/AtHandProvider.tsx';
import { outfitAtHand } from '../../../atHand/question.ts';
import { Sentence } from '../../../atHand/Sentence.tsx';
import { useAsked } from '../../../atHand/useAtHand.ts';
import { unitChoices } from '../../../device/preferences.tsx';
import { Button, Link } from '../../../ui/Button.tsx';
import { Loading } from '../../../ui/Loading.tsx';
import { Switch } from '../../../ui/Switch.tsx';
import { WithGiven } from '../../../wire/WithGiven.tsx';
import { BriefInWords } from './BriefInWords.tsx';
import { clientsOutfits } from './clientsOutfits.ts';
import { PocketCard } from './PocketCard.tsx';
import { ServedOutfits } from './ServedOutfits.tsx';
import { ShopTie } from './ShopTie.tsx';
import { useBuyingBrief } from './useBuyingBrief.ts';
import { useShopTie } from './useShopTie.ts';

/** What to look for in a shop, and whether the tie in the hand is it. */
export function BuyingBriefPage({ given }: { readonly given: Given }) {
  return (
    <WithGiven given={given}>
      <AtHandProvider>
        <Brief />
      </AtHandProvider>
    </WithGiven>
  );
}

function Brief() {
  const { values, lessons, wardrobe, studio, units, setUnits, learnt } = useAsked();
  const worn = useMemo(() => ({ ...values, attempts: lessons }), [values, lessons]);
  const outfit = useMemo(() => outfitAtHand(worn, units, learnt), [worn, units, learnt]);
  const dressed = useMemo(() => clientsOutfits(wardrobe, worn, units, learnt), [wardrobe, worn, units, learnt]);
  const { brief, searching, served } = useBuyingBrief(outfit, dressed);
  const shopTie = useShopTie(units);
  const name = values.client.label;
  const pieces = [values.shirt.label, values.jacket?.label ?? 'no jacket'].join('; ');
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3 pb-3 print:hidden">
        <Sentence words={['client', 'shirt', 'jacket', 'aim']} />
        <span className="flex items-center gap-4 print:hidden">
          <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
          <Button look="plain" onClick={() => print()}>
            Print the pocket card
          </Button>
        </span>
      </div>
      {!outfit && (
        <p className="py-6 text-xl">
          A measure of this fitting is missing or out of range. <Link href="/">Put it right</Link>
        </p>
      )}
      {outfit &&
        (brief ? (
          <div
            aria-busy={searching}
            className={`grid gap-8 lg:grid-cols-[minmax(0,34rem)_minmax(0,1fr)] print:block ${searching ? 'opacity-60' : ''}`}
          >
            <div className="print:hidden">
              <BriefWindow
                brief={brief}
                units={units}
                lapelMm={outfit.question.jacket?.lapelMm}
                tie={shopTie.tie}
                className="h-96 w-full"
              />
              {brief.bladeMm && <ServedOutfits name={name} served={served} count={dressed.length} />}
            </div>
            <div>
              <div className="print:hidden">
                <BriefInWords brief={brief} units={units} shirtColour={outfit.shirtColour} />
              </div>
              <PocketCard brief={brief} outfit={outfit} units={units} name={name} studio={studio.name} pieces={pieces} />
            </div>
          </div>
        ) : (
          <Loading />
        ))}
      <ShopTie shopTie={shopTie} name={name} clientId={values.client.id} dressed={dressed} units={units} />
    </>
  );
}
