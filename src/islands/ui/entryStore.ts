import equal from 'fast-deep-equal';
import { temporal } from 'zundo';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { valueAt, withValueAt } from './paths.ts';

/** Changes of one and the same field are one step until the hand has rested this long. */
const restMs = 700;
const mostSteps = 200;

interface Held<T> {
  readonly entries: T;
}

/** The ways back and on from what is entered now. */
export interface Steps<T> {
  readonly past: readonly T[];
  readonly future: readonly T[];
}
const noSteps = { past: [], future: [] };

export type EntryStore<T extends object> = ReturnType<typeof createEntryStore<T>>;

/** Holds all that is entered in one place, with every step of it. `clock` gives milliseconds. */
export function createEntryStore<T extends object>(initial: T, clock: () => number = () => performance.now()) {
  const store = createStore(temporal<Held<T>>(() => ({ entries: initial }), { limit: mostSteps }));
  const steps = store.temporal.getState();
  const get = () => store.getState().entries;
  let last: { readonly places: string; readonly atMs: number } | undefined;
  const write = (next: T) => {
    const places = changedPlaces(get(), next).join(' ');
    if (places === '') return;
    const atMs = clock();
    const goesOn = last?.places === places && atMs - last.atMs < restMs;
    last = { places, atMs };
    if (goesOn) steps.pause();
    store.setState({ entries: next });
    steps.resume();
  };
  return {
    store,
    get,
    /** Changes anything, as one step. */
    change: (next: (now: T) => T) => write(next(get())),
    set: (path: string, value: unknown) => write(withValueAt(get(), path, value)),
    /** Begins from something else: there is nothing to undo in it yet, but for the steps that led to it, if any are known. */
    begin: (entries: T, { past, future }: Steps<T> = noSteps) => {
      last = undefined;
      store.setState({ entries });
      steps.clear();
      const held = (all: readonly T[]) => all.map((each) => ({ entries: each }));
      store.temporal.setState({ pastStates: held(past), futureStates: held(future) });
    },
    /** The steps that led here, oldest first, and those that were undone. */
    steps: (): Steps<T> => {
      const { pastStates, futureStates } = store.temporal.getState();
      const known = (all: readonly Partial<Held<T>>[]) => all.flatMap(({ entries }) => (entries ? [entries] : []));
      return { past: known(pastStates), future: known(futureStates) };
    },
    undo: () => {
      last = undefined;
      steps.undo();
    },
    redo: () => {
      last = undefined;
      steps.redo();
    },
  };
}

/** All that is entered, as it stands now. */
export function useEntries<T extends object>({ store }: EntryStore<T>): T {
  return useStore(store, ({ entries }) => entries);
}

/** One part of it: whoever reads no more is drawn anew only when that part changes. */
export function useEntryPart<T extends object, K extends keyof T>({ store }: EntryStore<T>, part: K): T[K] {
  return useStore(store, ({ entries }) => entries[part]);
}

/** One field of it, by its path. */
export function useEntryAt<V>({ store }: EntryStore<object>, path: string): V {
  return useStore(store, ({ entries }) => valueAt(entries, path) as V);
}

/** The step back and the step forward, where there is one. */
export function useSteps<T extends object>({
  store,
  undo,
  redo,
}: EntryStore<T>): {
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
} {
  const back = useStore(store.temporal, ({ pastStates }) => pastStates.length > 0);
  const on = useStore(store.temporal, ({ futureStates }) => futureStates.length > 0);
  return { undo: back ? undo : undefined, redo: on ? redo : undefined };
}

function changedPlaces(before: unknown, after: unknown, path = ''): string[] {
  if (!isObject(before) || !isObject(after)) return equal(before, after) ? [] : [path];
  const keys = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...keys].flatMap((key) => (before[key] === after[key] ? [] : changedPlaces(before[key], after[key], `${path}.${key}`)));
}

function isObject(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
