import { type ReactNode, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { ClientRecord, Wardrobe } from '../../contract/records/records.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { keepBench, keptBench } from '../atHand/kept.ts';
import { NotReady } from '../atHand/NotReady.tsx';
import { Sentence } from '../atHand/Sentence.tsx';
import { type AtHand, freshAtHand } from '../atHand/values.ts';
import { WithWardrobe } from '../atHand/WithWardrobe.tsx';
import { useUnits } from '../device/useUnits.ts';
import { useStudioNames } from '../wire/useKnotTitles.ts';
import { useWardrobe } from '../wire/useWardrobe.ts';
import { type KnotsAtHand, type Laying, useKnots } from './useKnots.ts';

/** What a view of the knots is made from. */
export interface KnotsView extends KnotsAtHand {
  readonly client: ClientRecord | null;
  readonly values: AtHand;
  readonly units: LengthUnit;
  /** Puts a knot on the bench. */
  readonly onTake: (word: string) => void;
}

interface WithKnotsProps {
  /** Which knots; those of the bench where nothing is said. */
  readonly lay?: Laying;
  readonly children: (atHand: KnotsView) => ReactNode;
}

/** A view of the knots for whoever stands on the bench, who can be exchanged in the sentence above it. */
export function WithKnots({ lay = {}, children }: WithKnotsProps) {
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

interface OnBenchProps extends Required<WithKnotsProps> {
  readonly initial: Wardrobe;
  readonly kept: AtHand | undefined;
}

function OnBench({ initial, kept, lay, children }: OnBenchProps) {
  const form = useForm<AtHand>({ defaultValues: kept ?? freshAtHand(initial) });
  const values = form.watch();
  const wardrobe = useWardrobe(values.client.id, initial);
  const [units] = useUnits(wardrobe.client?.units ?? wardrobe.studio.units);
  const field = useKnots(values, units, useStudioNames(), lay);
  if (!field) return <NotReady />;
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
