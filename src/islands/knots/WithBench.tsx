import { type ReactNode, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { ClientRecord, Wardrobe } from '../../contract/records/records.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { BenchNotReady } from '../bench/BenchNotReady.tsx';
import { keepBench, keptBench } from '../bench/keptBench.ts';
import { Sentence } from '../bench/Sentence.tsx';
import { type BenchValues, freshBench } from '../bench/values.ts';
import { useUnits } from '../controls/useUnits.ts';
import { useStudioNames } from '../records/useKnotTitles.ts';
import { useWardrobe } from '../records/useWardrobe.ts';
import { WithWardrobe } from '../records/WithWardrobe.tsx';
import { type FieldAtHand, type Laying, useFieldAtHand } from './useFieldAtHand.ts';

/** What a view of the knots is made from. */
export interface AtHand extends FieldAtHand {
  readonly client: ClientRecord | null;
  readonly values: BenchValues;
  readonly units: LengthUnit;
  /** Puts a knot on the bench. */
  readonly onTake: (word: string) => void;
}

interface WithBenchProps {
  /** Which knots; those of the bench where nothing is said. */
  readonly lay?: Laying;
  readonly children: (atHand: AtHand) => ReactNode;
}

/** A view of the knots for whoever stands on the bench, who can be exchanged in the sentence above it. */
export function WithBench({ lay = {}, children }: WithBenchProps) {
  const [kept] = useState(keptBench);
  return (
    <WithWardrobe
      waiting="Laying out the knots …"
      whenBack="The knots will appear as soon as they can; this page keeps trying."
      clientId={kept?.client.id ?? null}
    >
      {(wardrobe) => (
        <OnBench initial={wardrobe} kept={kept} lay={lay}>
          {children}
        </OnBench>
      )}
    </WithWardrobe>
  );
}

interface OnBenchProps extends Required<WithBenchProps> {
  readonly initial: Wardrobe;
  readonly kept: BenchValues | undefined;
}

function OnBench({ initial, kept, lay, children }: OnBenchProps) {
  const form = useForm<BenchValues>({ defaultValues: kept ?? freshBench(initial) });
  const values = form.watch();
  const wardrobe = useWardrobe(values.client.id, initial);
  const [units] = useUnits(wardrobe.client?.units ?? wardrobe.studio.units);
  const field = useFieldAtHand(values, units, useStudioNames(), lay);
  if (!field) return <BenchNotReady />;
  const onTake = (word: string) => {
    const now = form.getValues();
    keepBench({ ...now, knot: word, question: { ...now.question, taste: { ...now.question.taste, also: [word] } } });
    location.href = '/';
  };
  return (
    <FormProvider {...form}>
      <div className="pb-2">
        <Sentence wardrobe={wardrobe} values={values} onTurnTo={() => keepBench(form.getValues())} />
      </div>
      {children({ ...field, client: wardrobe.client, values, units, onTake })}
    </FormProvider>
  );
}
