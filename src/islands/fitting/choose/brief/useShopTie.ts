import { useEffect, useMemo, useState } from 'react';
import { checkTie } from '../../../../contract/planQuestion.ts';
import type { ColouredCloth } from '../../../../core/colour/cloth.ts';
import { supposeTie, type Tie } from '../../../../core/index.ts';
import type { Fault } from '../../../../core/measures/faults.ts';
import { fabricCodes } from '../../../../core/tie/fabrics.ts';
import { patternCodes } from '../../../../core/tie/patterns.ts';
import type { LengthUnit } from '../../../../core/units/length.ts';
import { usualTie } from '../../../../core/usual.ts';
import type { LengthEntry } from '../../../ui/entry.ts';
import { createEntryStore, type EntryStore, useEntries } from '../../../ui/entryStore.ts';

/** A tie in a shop, by its five numbers, its fabric and its colours; what was not measured is estimated. */
export interface ShopTieEntries {
  readonly lengthMm: LengthEntry;
  readonly bladeMm: LengthEntry;
  readonly thicknessMm: LengthEntry;
  readonly neckMm: LengthEntry;
  readonly tailMm: LengthEntry;
  /** Empty where it has no crest or single motif. */
  readonly motifMm: LengthEntry;
  readonly fabric: Tie['fabric'];
  readonly pattern: Tie['pattern'];
  readonly colours: readonly string[];
  readonly shares: readonly number[] | null;
}

const first: ShopTieEntries = {
  ...usualTie,
  neckMm: '',
  tailMm: '',
  motifMm: '',
  fabric: 'woven-silk',
  pattern: 'solid',
  colours: [],
  shares: null,
};

export interface CheckedShopTie {
  readonly tie: Tie | undefined;
  readonly cloth: ColouredCloth;
  readonly faults: readonly Fault[];
}

export function checkShopTie({ colours, shares, ...entries }: ShopTieEntries, units: LengthUnit): CheckedShopTie {
  const { value, faults } = checkTie(entries, units);
  return { tie: value ? supposeTie(value) : undefined, cloth: { colours, shares }, faults: faults ?? [] };
}

const key = 'ropewalk.shop-tie';

function keptShopTie(): ShopTieEntries | undefined {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(key) ?? 'null');
    if (typeof kept !== 'object' || kept === null) return undefined;
    const entries = { ...first, ...kept } as ShopTieEntries;
    const isSound =
      fabricCodes.includes(entries.fabric) &&
      patternCodes.includes(entries.pattern) &&
      Array.isArray(entries.colours) &&
      entries.colours.every((colour) => typeof colour === 'string');
    return isSound ? entries : undefined;
  } catch {
    return undefined;
  }
}

/** The tie in the hand as it is entered, checked at every change; a reload loses nothing of it. */
export function useShopTie(units: LengthUnit): CheckedShopTie & { readonly store: EntryStore<ShopTieEntries> } {
  const [store] = useState(() => createEntryStore(first));
  const entries = useEntries(store);
  // The page begins as the server drew it; what was entered before a reload is put in its place once it is alive.
  const [ready, setReady] = useState(false);
  useEffect(() => {
    const kept = keptShopTie();
    if (kept) store.begin(kept);
    setReady(true);
  }, [store]);
  useEffect(() => {
    if (ready) sessionStorage.setItem(key, JSON.stringify(entries));
  }, [ready, entries]);
  return useMemo(() => ({ store, ...checkShopTie(entries, units) }), [store, entries, units]);
}
