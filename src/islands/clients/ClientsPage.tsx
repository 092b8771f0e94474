import { UserPlus } from 'lucide-react';
import type { ListWanted } from '../../contract/answerKeys.ts';
import { sayDay } from '../../contract/days.ts';
import type { Given } from '../../contract/given.ts';
import { latest } from '../../contract/records/asWorn.ts';
import type { ClientRecord } from '../../contract/records/records.ts';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import { formatFigure, type LengthUnit, unitLabel } from '../../core/units/length.ts';
import { FindLine } from '../records/list/FindLine.tsx';
import { RecordList } from '../records/list/RecordList.tsx';
import { useListing } from '../records/list/useListing.ts';
import { Link } from '../ui/Button.tsx';
import { WithGiven } from '../wire/WithGiven.tsx';

interface ClientsPageProps {
  readonly given: Given;
  readonly asked: ListWanted;
}

/** Whoever comes in at the door, found by a half-remembered name. */
export function ClientsPage({ given, asked }: ClientsPageProps) {
  return (
    <WithGiven given={given}>
      <Clients asked={asked} />
    </WithGiven>
  );
}

const rowPx = 76;
const columns = 'grid grid-cols-[minmax(0,1fr)_7rem_7rem] items-center gap-x-4 sm:grid-cols-[minmax(0,1fr)_8rem_7rem_10rem_8rem]';

function Clients({ asked }: { readonly asked: ListWanted }) {
  const { line, wanted, units, timeZone } = useListing('clients', asked);
  const unit = unitLabel(units);
  return (
    <>
      <FindLine {...line} placeholder="name, nickname, or a word of the note">
        <Link look="main" className="text-lg" href="/clients/new">
          <UserPlus aria-hidden className="size-5" /> Add a client
        </Link>
      </FindLine>
      <div className={`${columns} border-b-2 border-ink text-note text-soft`} aria-hidden>
        <span>Client</span>
        <span className="text-right">Collar button to belt, {unit}</span>
        <span className="text-right">Collar size, {unit}</span>
        <span className="max-sm:hidden">Last measured</span>
        <span className="max-sm:hidden" />
      </div>
      <RecordList
        kind="clients"
        wanted={wanted}
        from={asked.from ?? 0}
        rowPx={rowPx}
        row={(client) => <Row client={client} units={units} timeZone={timeZone} />}
        whenNone={
          <>
            No clients yet. <Link href="/clients/new">Add a client</Link>, or <Link href="/import-export">import a list</Link>.
          </>
        }
      />
    </>
  );
}

interface RowProps {
  readonly client: ClientRecord;
  readonly units: LengthUnit;
  readonly timeZone: string;
}

function Row({ client, units, timeZone }: RowProps) {
  const height = latest(client.measures, 'heightMm');
  const neck = latest(client.measures, 'neckMm');
  const taken = latest(client.measures, 'frontDropMm');
  const drop =
    taken || height
      ? frontDropOf({
          heightMm: height?.mm ?? 0,
          frontDropMm: taken?.mm ?? null,
          frontDropHow: taken?.how ?? 'tape',
          front: client.front,
        })
      : undefined;
  const [last] = client.measures;
  return (
    <div className={`${columns} h-full hover:bg-white/60`}>
      <div className="min-w-0">
        <p className="truncate">
          <a className="text-xl font-medium text-set underline decoration-1 underline-offset-4" href={`/clients/${client.id}`}>
            {client.name}
          </a>
          {client.nickname && <span className="pl-2 text-soft">“{client.nickname}”</span>}
        </p>
        <p className="truncate text-note text-soft">{client.note}</p>
      </div>
      <p className={`figures text-right text-2xl ${drop?.measured ? 'text-set' : 'text-follows'}`}>
        {drop ? `${drop.measured ? '' : '≈ '}${formatFigure(drop.meanMm, units)}` : '—'}
        {drop && !drop.measured && <span className="block text-note font-normal">±{formatFigure(drop.sdMm, units)}</span>}
      </p>
      <p className="figures text-right text-2xl text-set">{neck ? formatFigure(neck.mm, units) : '—'}</p>
      <p className="text-note text-soft max-sm:hidden">{last ? sayDay(last.takenOn, timeZone) : 'not measured'}</p>
      <Link look="other" className="max-sm:hidden" href={`/?client=${client.id}`} aria-label={`Use in fitting: ${client.name}`}>
        Use in fitting
      </Link>
    </div>
  );
}
