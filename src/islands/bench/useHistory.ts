import { useCallback, useEffect, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { BenchValues } from './values.ts';

/** A change is one step once the hand has rested this long. */
const restMs = 400;
const mostSteps = 200;

interface Steps {
  readonly past: readonly string[];
  readonly future: readonly string[];
}

export interface History {
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
}

/** Remembers what was set on the bench, step by step. `values` are the form's current ones. */
export function useHistory(form: UseFormReturn<BenchValues>, values: BenchValues): History {
  const now = JSON.stringify(values);
  const [steps, setSteps] = useState<Steps>({ past: [now], future: [] });
  const current = steps.past[steps.past.length - 1];

  useEffect(() => {
    if (now === current) return;
    const timer = setTimeout(() => setSteps(({ past }) => ({ past: [...past, now].slice(-mostSteps), future: [] })), restMs);
    return () => clearTimeout(timer);
  }, [now, current]);

  const show = useCallback((step: string) => form.reset(JSON.parse(step) as BenchValues), [form]);
  const { past, future } = steps;
  const before = now === current ? past[past.length - 2] : current;
  const after = future[future.length - 1];
  return {
    undo:
      before === undefined
        ? undefined
        : () => {
            // An unrecorded change is undone as a step of its own.
            setSteps(now === current ? { past: past.slice(0, -1), future: [...future, now] } : { past, future: [now] });
            show(before);
          },
    redo:
      after === undefined
        ? undefined
        : () => {
            setSteps({ past: [...past, after], future: future.slice(0, -1) });
            show(after);
          },
  };
}
