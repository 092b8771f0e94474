import { useQuery } from '@tanstack/react-query';
import { sayDay } from '../../contract/days.ts';
import type { CareRecord, StudioSeen, TieRecord } from '../../contract/records/records.ts';
import { dealings } from '../../core/care/dealings.ts';
import { Link } from '../ui/Button.tsx';
import { capital } from '../ui/words.ts';
import { recordQuery, tieLifeQuery } from '../wire/queries.ts';
import { FittingsOf } from './FittingsOf.tsx';

interface TieLifeProps {
  readonly tie: TieRecord;
  readonly studio: StudioSeen;
}

/** What became of a tie: the fittings it was worn at, what they taught, and everything that was noted of it. */
export function TieLife({ tie, studio }: TieLifeProps) {
  const { data } = useQuery(tieLifeQuery(tie.id));
  return (
    <>
      {data?.takesUp && (
        <p className="pb-2 text-lg">
          It takes up{' '}
          <b className="font-medium text-follows">
            {Math.abs(Math.round(100 * data.takesUp.mean)) === 0
              ? 'what its measures say'
              : `${Math.abs(Math.round(100 * data.takesUp.mean))}% ${data.takesUp.mean > 0 ? 'more' : 'less'} than its measures say`}
          </b>{' '}
          (±{Math.max(1, Math.round(100 * data.takesUp.sd))}%, {data.takesUp.tyings} {data.takesUp.tyings === 1 ? 'tying' : 'tyings'}).
        </p>
      )}
      <FittingsOf wanted={{ tie: tie.id }} find={tie.label} units={studio.units} timeZone={studio.timeZone} />
      {data && data.notes.length > 0 && (
        <section aria-label="Care" className="pb-4">
          <h2 className="border-b-2 border-ink text-xl font-medium">Worn, lent, repaired</h2>
          <ul>
            {data.notes.map((note) => (
              <Note key={note.id} note={note} />
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function Note({ note: { id, what, clientId, fromOn, untilOn, note } }: { readonly note: CareRecord }) {
  const who = useQuery({ ...recordQuery('clients', clientId ?? ''), enabled: clientId !== null }).data;
  const day = (of: string) => sayDay(of, 'UTC');
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-b border-faint py-1">
      <Link href={`/cares/${id}`}>{day(fromOn)}</Link>
      <span>
        {capital(dealings[what].label)}
        {who && ` ${what === 'lent' ? 'to' : 'by'} ${who.name}`}
        {what !== 'worn' && (untilOn === null ? ', still' : `, until ${day(untilOn)}`)}
      </span>
      <span className="text-soft">{note}</span>
    </li>
  );
}
