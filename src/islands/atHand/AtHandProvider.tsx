import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import type { Fitting } from '../../contract/fitting.ts';
import type { Wardrobe } from '../../contract/records/records.ts';
import { nothingLearnt } from '../../core/fitbook/here.ts';
import type { Frame } from '../../core/index.ts';
import { usePreferences, useUnits } from '../device/preferences.tsx';
import { Button } from '../ui/Button.tsx';
import { EntriesOf } from '../ui/EntriesOf.tsx';
import { createEntryStore, useEntries } from '../ui/entryStore.ts';
import { Loading } from '../ui/Loading.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { wardrobeQuery } from '../wire/queries.ts';
import { clientAsked, readAddress } from './address.ts';
import { forgetAtHand, keptAtHand } from './kept.ts';
import { learntOf, tieNamed, withLessons } from './lessons.ts';
import { notOf, useSavedHere } from './savedHere.ts';
import { useAddress } from './useAddress.ts';
import { AtHandContext, type Surroundings, SurroundingsContext } from './useAtHand.ts';
import { useQuestion } from './useQuestion.ts';
import { type AtHand, atHandOfFitting, freshAtHand, isSameFitting } from './values.ts';

/** Most hands cross the ends before they read a start. */
const usualState = 'crossed';

interface AtHandProviderProps {
  /** What the page's address says, where it says what stands at hand; it comes before what this window was left with. */
  readonly address?: string | undefined;
  /** A saved fitting that is opened. */
  readonly opened?: Fitting | undefined;
  readonly children: ReactNode;
}

/** Lets every view beneath read who stands at hand. Waits an outage out, and never shows it as an empty wardrobe. */
export function AtHandProvider({ address, opened, children }: AtHandProviderProps) {
  const asked = opened ? opened.clientId : clientAsked(new URLSearchParams(address));
  const { data, isError, error, failureCount } = useQuery(wardrobeQuery(asked));
  if (data) {
    return (
      <Standing first={data} address={address} opened={opened} failed={isError}>
        {children}
      </Standing>
    );
  }
  if (isError) return <StartAnew message={error.message} />;
  return failureCount > 0 ? <OutageNotice what="This page loads as soon as they are back." /> : <Loading />;
}

function isReload(): boolean {
  const entries = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  return entries.some(({ type }) => type === 'reload');
}

interface StandingProps {
  readonly first: Wardrobe;
  readonly address: string | undefined;
  readonly opened: Fitting | undefined;
  readonly failed: boolean;
  readonly children: ReactNode;
}

function Standing({ first, address, opened, failed, children }: StandingProps) {
  const query = new URLSearchParams(address);
  const says = query.has('client');
  const [store] = useState(() =>
    createEntryStore<AtHand>(opened ? atHandOfFitting(opened) : says ? readAddress(query, first) : freshAtHand(first)),
  );
  const values = useEntries(store);
  const [begun, setBegun] = useState<AtHand | undefined>(values);
  const untouched = begun !== undefined && isSameFitting(values, begun);
  const savedHere = useSavedHere();
  const asSaved = savedOf();

  // The page begins as the server drew it; what this window was left with is put in its place once the page is alive.
  const [ready, setReady] = useState(false);
  useEffect(() => {
    const kept = opened ? undefined : keptAtHand();
    // Loaded again, it goes on as it was left, though its address may not have said all of that yet.
    if (kept && (!says || isReload() || kept.address === location.search)) store.begin(kept.values, kept);
    setReady(true);
  }, [store, says, opened]);

  // Once anything of what was saved is changed it is another fitting, even where it is changed back.
  const { last, startAnew } = savedHere;
  useEffect(() => {
    if (ready && last && !isSameFitting(last.values, values)) startAnew();
  }, [ready, last, values, startAnew]);

  const { id } = values.client;
  const isOther = id !== null && id !== first.client?.id;
  const theirs = useQuery({ ...wardrobeQuery(id), enabled: isOther, placeholderData: keepPreviousData });
  const wardrobe = isOther ? (theirs.data ?? first) : first;
  const client = wardrobe.client && wardrobe.client.id === id ? wardrobe.client : null;
  const isTheirs = id === null || client !== null;
  const isSaid = address !== undefined && !opened;
  const sayAddress = useAddress(store, values, isTheirs ? wardrobe : undefined, ready && !(opened && untouched), isSaid);

  const [units, setUnits] = useUnits(client?.units ?? wardrobe.studio.units);
  const { preferences, prefer } = usePreferences();
  const { blade } = values.question.client;
  const frame = useMemo((): Frame => ({ view: preferences.view, blade }), [preferences.view, blade]);
  const asked = useQuestion(values.question, units, () => freshAtHand(wardrobe).question);
  const { question, request } = asked;
  const untaught = useMemo(() => question && request && { question, request }, [question, request]);
  const tie = tieNamed(values);
  const [bookRead, setBookRead] = useState(true);
  const { tiedOn, client: wearer } = values;
  const book = useMemo(() => learntOf(wardrobe, { client: wearer, tiedOn }), [wardrobe, wearer, tiedOn]);
  // A saved fitting is answered as it was saved until something is changed of it.
  const learnt = bookRead && !(opened && untouched) ? book : nothingLearnt;
  const { attempts } = values;
  const lessons = useMemo(() => {
    const known = [...savedHere.all, ...(opened ? [opened] : [])].filter(({ id: each }) => learnt.fittings.includes(each));
    return notOf(known, attempts);
  }, [savedHere.all, opened, learnt, attempts]);
  const taught = useMemo(() => untaught && withLessons(untaught, lessons, tie, learnt), [untaught, lessons, tie, learnt]);
  const questioned = { ...asked, ...taught };

  const { studio } = wardrobe;
  const state = preferences.readsAt ?? studio.person?.readsAt ?? usualState;
  const surroundings = useMemo(
    (): Surroundings => ({
      store,
      studio,
      wardrobe,
      client,
      units,
      setUnits,
      frame,
      setView: (view) => prefer({ view }),
      state,
      setState: (readsAt) => prefer({ readsAt }),
    }),
    [store, studio, wardrobe, client, units, setUnits, frame, state, prefer],
  );

  if (theirs.isError) return <StartAnew message={theirs.error.message} />;

  function savedOf(): Fitting | undefined {
    if (opened) return untouched ? opened : undefined;
    return savedHere.last && isSameFitting(savedHere.last.values, values) ? savedHere.last.fitting : undefined;
  }

  return (
    <AtHandContext
      value={{
        ...surroundings,
        values,
        ...questioned,
        untaught,
        learnt,
        book,
        lessons,
        bookRead,
        setBookRead,
        opened,
        untouched,
        asSaved,
        savedHere,
        startAnew: () => {
          startAnew();
          setBegun(undefined);
        },
        sayAddress,
        outage: failed,
      }}
    >
      <SurroundingsContext value={surroundings}>
        <EntriesOf store={store} faults={questioned.faults}>
          {questioned.question ? children : <NotReady faults={questioned.faults.map(({ message }) => message)} />}
        </EntriesOf>
      </SurroundingsContext>
    </AtHandContext>
  );
}

/** What stood at hand speaks of records that are no longer there. */
function StartAnew({ message }: { readonly message: string }) {
  return (
    <main className="p-8 text-xl">
      <p role="alert">{message}</p>
      <Button
        className="mt-3"
        onClick={() => {
          forgetAtHand();
          location.assign('/');
        }}
      >
        Start a new fitting
      </Button>
    </main>
  );
}

/** Where not even the usual measures can be planned with. */
function NotReady({ faults }: { readonly faults: readonly string[] }) {
  return (
    <main className="p-8 text-xl">
      <p role="alert">{faults.length > 0 ? faults.join(' ') : 'A measure is missing or out of range.'}</p>
    </main>
  );
}
