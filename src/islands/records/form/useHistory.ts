import { useEffect, useReducer } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';

/** Changes of one and the same measure are one step until the hand has rested this long. */
const restMs = 700;
const mostSteps = 200;

export interface Steps {
  readonly past: readonly string[];
  readonly present: string;
  readonly future: readonly string[];
  /** Which fields the latest change touched, and when. */
  readonly place: string;
  readonly atMs: number;
}

export type HistoryAction =
  | { readonly kind: 'changed'; readonly now: string; readonly atMs: number }
  | { readonly kind: 'undone' }
  | { readonly kind: 'redone' };

/** The steps after something happened; states are kept as JSON. */
export function nextSteps(steps: Steps, action: HistoryAction): Steps {
  const { past, present, future } = steps;
  switch (action.kind) {
    case 'changed': {
      if (action.now === present) return steps;
      const place = changedPlaces(JSON.parse(present), JSON.parse(action.now)).join(' ');
      const goesOn = place === steps.place && action.atMs - steps.atMs < restMs && past.length > 0;
      return {
        past: goesOn ? past : [...past, present].slice(-mostSteps),
        present: action.now,
        future: [],
        place,
        atMs: action.atMs,
      };
    }
    case 'undone': {
      const before = past.at(-1);
      return before === undefined ? steps : { past: past.slice(0, -1), present: before, future: [...future, present], place: '', atMs: 0 };
    }
    case 'redone': {
      const after = future.at(-1);
      return after === undefined ? steps : { past: [...past, present], present: after, future: future.slice(0, -1), place: '', atMs: 0 };
    }
  }
}

function changedPlaces(before: unknown, after: unknown, path = ''): string[] {
  if (!isRecord(before) || !isRecord(after)) return JSON.stringify(before) === JSON.stringify(after) ? [] : [path];
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  return keys.flatMap((key) => changedPlaces(before[key], after[key], path ? `${path}.${key}` : key));
}

function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

export interface History {
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
}

/** Remembers what was set in a form, step by step. `values` are the form's current ones. */
export function useHistory<T extends FieldValues>(form: UseFormReturn<T>, values: T): History {
  const now = JSON.stringify(values);
  const [steps, dispatch] = useReducer(nextSteps, { past: [], present: now, future: [], place: '', atMs: 0 });
  useEffect(() => dispatch({ kind: 'changed', now, atMs: performance.now() }), [now]);

  const before = steps.past.at(-1);
  const after = steps.future.at(-1);
  const show = (step: string, kind: 'undone' | 'redone') => {
    dispatch({ kind });
    form.reset(JSON.parse(step) as T);
  };
  return {
    undo: before === undefined ? undefined : () => show(before, 'undone'),
    redo: after === undefined ? undefined : () => show(after, 'redone'),
  };
}
