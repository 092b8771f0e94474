import { useMemo } from 'react';
import type { KnotPlan, PlanRequest } from '../../../core/index.ts';
import { measures } from '../../../core/measures/measures.ts';
import { cautions } from '../../../core/plan/habits.ts';
import { readOn, type TiedOnCode, tiedOn, tiedOnCodes } from '../../../core/start/tiedOn.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Link } from '../../ui/Button.tsx';
import { PlainLength } from '../../ui/PlainLength.tsx';
import type { DrawnFitting } from '../FittingDrawn.tsx';

/** A stand's neck before it was measured: about a medium collar. */
export const usualStandNeckMm = 390;

/** The start as it is read on the neck the knot is tied on: the client's, or whose it is handed over from. */
export function useNeckTiedOn(
  { plan, request }: DrawnFitting,
  standNeckMm: number,
): { readonly plan: KnotPlan; readonly request: PlanRequest } {
  const { values, studio } = useAsked();
  const person = studio.person;
  return useMemo(() => {
    if (values.tiedOn === 'ownNeck' && person?.neckMm) return readOn(plan, request, { neckMm: person.neckMm, heightMm: person.heightMm });
    if (values.tiedOn === 'stand') return readOn(plan, request, { neckMm: standNeckMm, heightMm: null });
    return { plan, request };
  }, [plan, request, values.tiedOn, person, standNeckMm]);
}

interface TiedOnProps {
  readonly standNeckMm: number | undefined;
  readonly onStandNeck: (mm: number | undefined) => void;
}

/** On whom the knot is tied, and what is then to be minded. */
export function TiedOn({ standNeckMm, onStandNeck }: TiedOnProps) {
  const { values, store, setView, studio, client, units } = useAsked();
  const { label: _, says, handedOver } = tiedOn[values.tiedOn];
  return (
    <div className="flex flex-wrap items-center gap-x-3 leading-snug">
      <label className="flex items-center gap-x-2">
        <span className="text-note text-soft">Tied</span>
        <select
          className="h-9 border-b-2 border-set/40 bg-transparent text-set"
          value={values.tiedOn}
          onChange={(event) => {
            const code = event.target.value as TiedOnCode;
            store.set('tiedOn', code);
            setView(tiedOn[code].view);
          }}
        >
          {tiedOnCodes.map((code) => (
            <option key={code} value={code}>
              {tiedOn[code].label}
            </option>
          ))}
        </select>
      </label>
      <p className="min-w-0 grow basis-60 text-note text-soft">
        {says}
        {client?.cautions.map((code) => (
          <span key={code} className="block text-outside">
            {cautions[code].says}
          </span>
        ))}
        {handedOver && values.tiedOn === 'ownNeck' && !studio.person?.neckMm && (
          <span className="text-outside">
            {' '}
            The start below is the client’s own:{' '}
            {studio.person ? (
              <Link href={`/people/${studio.person.id}`}>enter your collar size</Link>
            ) : (
              'say who is dressing, and their collar size,'
            )}{' '}
            to read it on your neck.
          </span>
        )}
        {values.tiedOn === 'ownNeck' &&
          studio.person?.neckMm &&
          ` The start is read on ${studio.person.name}’s neck; the body drawn, and the tie along its length, are the client’s.`}
      </p>
      {values.tiedOn === 'stand' && (
        <PlainLength
          label="Around the stand’s neck"
          mm={standNeckMm}
          expectedMm={usualStandNeckMm}
          minMm={measures.client.neckMm.minMm}
          maxMm={measures.client.neckMm.maxMm}
          units={units}
          onChange={onStandNeck}
        />
      )}
    </div>
  );
}
