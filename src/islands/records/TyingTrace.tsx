import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { sayDay } from '../../contract/days.ts';
import type { TyingRecord } from '../../contract/records/records.ts';
import type { TyingBefore } from '../../contract/tying.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { Button, Link } from '../ui/Button.tsx';
import { deleteTying, tyingHistoryQuery } from '../wire/queries.ts';

interface TyingTraceProps {
  readonly tying: TyingRecord;
  readonly units: LengthUnit;
  readonly timeZone: string;
}

/** What a tying was before it was corrected, the fitting it is of, and the way to be rid of it. */
export function TyingTrace({ tying, units, timeZone }: TyingTraceProps) {
  const { data } = useQuery(tyingHistoryQuery(tying.id));
  const [asked, setAsked] = useState(false);
  const mutation = useMutation({ mutationFn: () => deleteTying(tying.id), onSuccess: () => location.assign('/fittings') });
  return (
    <section aria-label="History" className="space-y-2 border-t-2 border-ink pt-3">
      <p className="flex flex-wrap items-center gap-x-5">
        {tying.source === 'fitting' && <Link href={`/fittings/${tying.id}`}>The fitting it is of</Link>}
        <Link href="/fittings">Fit book</Link>
        {asked ? (
          <>
            <span>It goes from the book and from what was learnt; what it was stays in the history.</span>
            <Button look="other" disabled={mutation.isPending} onClick={() => mutation.mutate()}>
              Delete it
            </Button>
            <Button look="text" onClick={() => setAsked(false)}>
              Keep it
            </Button>
          </>
        ) : (
          <Button look="text" onClick={() => setAsked(true)}>
            Delete
          </Button>
        )}
        {mutation.isError && <span className="text-outside">Not deleted. {mutation.error.message}</span>}
      </p>
      {data && data.length > 0 && (
        <>
          <h2 className="text-lg font-medium">Before it was corrected</h2>
          <ol className="text-note text-soft">
            {data.map((before) => (
              <li key={`${before.version}-${before.deleted}`}>
                until {sayDay(before.changedAt, timeZone)}: {beforeInWords(before, units)}
              </li>
            ))}
          </ol>
        </>
      )}
    </section>
  );
}

function beforeInWords({ was }: TyingBefore, units: LengthUnit): string {
  const off = Number(was['tip_off_mm'] ?? was['tipOffMm']);
  const found = was['findings'];
  return [
    Number.isFinite(off) ? `tip ${formatLength(Math.abs(off), units)} ${off > 0 ? 'below' : 'above'} the belt top` : 'tip not seen',
    Array.isArray(found) && found.length > 0 ? `${found.length} ${found.length === 1 ? 'finding' : 'findings'}` : '',
    was['counts'] === false ? 'not learnt from' : '',
    typeof was['note'] === 'string' ? was['note'] : '',
  ]
    .filter(Boolean)
    .join('; ');
}
