import { useQuery } from '@tanstack/react-query';
import { sayDay } from '../../contract/days.ts';
import type { TyingRecord } from '../../contract/records/records.ts';
import type { TyingBefore } from '../../contract/tying.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { Link } from '../ui/Button.tsx';
import { DeleteAsked } from '../ui/DeleteAsked.tsx';
import { deleteTying, tyingHistoryQuery } from '../wire/queries.ts';

interface TyingTraceProps {
  readonly tying: TyingRecord;
  readonly units: LengthUnit;
  readonly timeZone: string;
}

/** What a tying was before it was corrected, the fitting it is of, and the way to be rid of it. */
export function TyingTrace({ tying, units, timeZone }: TyingTraceProps) {
  const { data } = useQuery(tyingHistoryQuery(tying.id));
  return (
    <section aria-label="History" className="space-y-2 border-t-2 border-ink pt-3">
      <div className="flex flex-wrap items-center gap-x-5">
        {tying.source === 'fitting' && <Link href={`/fittings/${tying.id}`}>The fitting it is of</Link>}
        <Link href="/fittings">Fit book</Link>
        <DeleteAsked
          warning="It goes from the book and from what was learnt; what it was stays in the history."
          remove={() => deleteTying(tying.id)}
          onGone={() => location.assign('/fittings')}
        />
      </div>
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
