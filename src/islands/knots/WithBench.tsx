import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { Wardrobe } from '../../contract/records/records.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { BenchNotReady } from '../bench/BenchNotReady.tsx';
import { keepBench, keptBench } from '../bench/keptBench.ts';
import { Sentence } from '../bench/Sentence.tsx';
import { type BenchValues, freshBench } from '../bench/values.ts';
import { useUnits } from '../controls/useUnits.ts';
import { listQuery } from '../records/queries.ts';
import { useWardrobe } from '../records/useWardrobe.ts';
import { WithWardrobe } from '../records/WithWardrobe.tsx';
import { type FieldAtHand, useFieldAtHand } from './useFieldAtHand.ts';

/** What a view of the knots is made from. */
export interface AtHand extends FieldAtHand {
  readonly values: BenchValues;
  readonly units: LengthUnit;
  /** Puts a knot on the bench. */
  readonly onTake: (word: string) => void;
}

/** A view of the knots for whoever stands on the bench, who can be exchanged in the sentence above it. */
export function WithBench({ children }: { readonly children: (atHand: AtHand) => ReactNode }) {
  const [kept] = useState(keptBench);
  return (
    <WithWardrobe
      waiting="Laying out the knots …"
      whenBack="The knots will appear as soon as they can; this page keeps trying."
      clientId={kept?.client.id ?? null}
    >
      {(wardrobe) => (
        <OnBench initial={wardrobe} kept={kept}>
          {children}
        </OnBench>
      )}
    </WithWardrobe>
  );
}

interface OnBenchProps {
  readonly initial: Wardrobe;
  readonly kept: BenchValues | undefined;
  readonly children: (atHand: AtHand) => ReactNode;
}

function OnBench({ initial, kept, children }: OnBenchProps) {
  const form = useForm<BenchValues>({ defaultValues: kept ?? freshBench(initial) });
  const values = form.watch();
  const wardrobe = useWardrobe(values.client.id, initial);
  const [units] = useUnits(wardrobe.client?.units ?? wardrobe.studio.units);
  const namings = useQuery(listQuery('namings', {})).data?.rows;
  const field = useFieldAtHand(values, units, namings);
  if (!field) return <BenchNotReady />;
  const onTake = (word: string) => {
    const now = form.getValues();
    keepBench({ ...now, knot: word, question: { ...now.question, taste: { ...now.question.taste, knots: 'all' } } });
    location.href = '/';
  };
  return (
    <FormProvider {...form}>
      <div className="pb-2">
        <Sentence wardrobe={wardrobe} values={values} onTurnTo={() => keepBench(form.getValues())} />
      </div>
      {children({ ...field, values, units, onTake })}
    </FormProvider>
  );
}
