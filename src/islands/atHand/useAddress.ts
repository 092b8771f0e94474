import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef } from 'react';
import type { Wardrobe } from '../../contract/records/records.ts';
import type { EntryStore } from '../ui/entryStore.ts';
import { wardrobeQuery } from '../wire/queries.ts';
import { addressOf, clientAsked, readAddress } from './address.ts';
import { keepAtHand } from './kept.ts';
import type { AtHand } from './values.ts';

/** A browser takes only so many changes of an address in a while, and all the steps that can be undone are much to write; the hand moves faster. */
const restMs = 150;
/** What an address says besides what stands at hand. */
const stageKey = 'stage';

/**
 * Keeps what stands at hand for this window, and in its address, so that neither a reload nor the way back loses anything.
 * Another client is a place of its own to go back to. `wardrobe` must be that of the client at hand; without it, or where
 * the page's address speaks of something else, only the window keeps it. What is answered says it at once, for whoever is
 * about to go on to another place.
 */
export function useAddress(
  store: EntryStore<AtHand>,
  values: AtHand,
  wardrobe: Wardrobe | undefined,
  isKept: boolean,
  isSaid: boolean,
): () => void {
  const queries = useQueryClient();
  /** What is still to be done for what stands at hand now: when the hand rests, and when the page is left before. */
  const pending = useRef<{ readonly say: () => void; readonly keep: () => void } | undefined>(undefined);
  useEffect(() => {
    if (!isKept) return;
    const keep = () => keepAtHand(values, store.steps(), location.search);
    const forget = () => {
      clearTimeout(timer);
      pending.current = undefined;
    };
    const say = () => {
      forget();
      if (isSaid && wardrobe) sayInAddress(values, wardrobe);
      keep();
    };
    const timer = setTimeout(say, restMs);
    pending.current = { say, keep };
    return forget;
  }, [store, values, wardrobe, isKept, isSaid]);

  useEffect(() => {
    const leave = () => pending.current?.keep();
    window.addEventListener('pagehide', leave);
    return () => window.removeEventListener('pagehide', leave);
  }, []);

  useEffect(() => {
    if (!isSaid) return;
    const goBack = async () => {
      const query = new URLSearchParams(location.search);
      const theirs = await queries.fetchQuery(wardrobeQuery(clientAsked(query))).catch(() => undefined);
      if (theirs) store.change(() => readAddress(query, theirs));
    };
    addEventListener('popstate', goBack);
    return () => removeEventListener('popstate', goBack);
  }, [store, queries, isSaid]);

  return useCallback(() => pending.current?.say(), []);
}

function sayInAddress(values: AtHand, wardrobe: Wardrobe): void {
  const now = new URLSearchParams(location.search);
  const next = addressOf(values, wardrobe);
  const stage = now.get(stageKey);
  if (stage) next.set(stageKey, stage);
  const isOther = now.has('client') && now.get('client') !== next.get('client');
  if (isOther) history.pushState(null, '', `?${next}`);
  else history.replaceState(history.state, '', `?${next}`);
}
