import { FilePlus, UserPlus } from 'lucide-react';
import { firstOfList, type ListWanted } from '../../contract/answerKeys.ts';
import { sayDay } from '../../contract/days.ts';
import type { Given } from '../../contract/given.ts';
import { prescribedInWords } from '../../contract/records/prescribed.ts';
import type { PersonRecord, RegulationRecord } from '../../contract/records/records.ts';
import { dressing } from '../../core/plan/habits.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { FindLine } from '../records/list/FindLine.tsx';
import { RecordList } from '../records/list/RecordList.tsx';
import { useListing } from '../records/list/useListing.ts';
import { Link } from '../ui/Button.tsx';
import { WithGiven } from '../wire/WithGiven.tsx';

interface PeoplePageProps {
  readonly given: Given;
  readonly asked: ListWanted;
}

/** Whoever dresses others in the studio, and what services and houses prescribe. */
export function PeoplePage({ given, asked }: PeoplePageProps) {
  return (
    <WithGiven given={given}>
      <People asked={asked} />
      <Regulations />
    </WithGiven>
  );
}

function People({ asked }: { readonly asked: ListWanted }) {
  const { line, wanted, units } = useListing('people', asked);
  return (
    <>
      <FindLine {...line} placeholder="name, or a word of the note">
        <Link look="main" className="text-lg" href="/people/new">
          <UserPlus aria-hidden className="size-5" /> Add a person
        </Link>
      </FindLine>
      <p className="pb-2 text-soft">
        The people who dress clients, with their habits. Choose who is dressing at the top of the page: their habits are followed on this
        device, and their name is kept with every fitting.
      </p>
      <RecordList
        kind="people"
        wanted={wanted}
        from={asked.from ?? 0}
        rowPx={72}
        row={(person) => <Row person={person} units={units} />}
        whenNone={
          <>
            No people yet. <Link href="/people/new">Add a person</Link> who dresses clients here.
          </>
        }
      />
    </>
  );
}

/** Few enough to stand in one list. */
function Regulations() {
  return (
    <section aria-labelledby="regulations" className="pt-8">
      <div className="flex flex-wrap items-end justify-between gap-3 pb-2">
        <h2 id="regulations" className="text-2xl font-semibold">
          Dress regulations
        </h2>
        <Link look="other" href="/regulations/new">
          <FilePlus aria-hidden className="size-5" /> Add a dress regulation
        </Link>
      </div>
      <p className="pb-2 text-soft">
        What a service or a house prescribes, as it was known on a day. An outfit that falls under one brings its knot, aim and rules to the
        fitting. The service’s current regulation decides.
      </p>
      <RecordList
        kind="regulations"
        wanted={firstOfList}
        from={0}
        rowPx={72}
        row={(regulation) => <Regulation regulation={regulation} />}
        whenNone={<>No dress regulations yet.</>}
      />
    </section>
  );
}

function Regulation({ regulation: { id, label, asOf, ...rest } }: { readonly regulation: RegulationRecord }) {
  return (
    <div className="flex h-full flex-col justify-center hover:bg-white/60">
      <a className="text-xl font-medium text-set underline decoration-1 underline-offset-4" href={`/regulations/${id}`}>
        {label}
      </a>
      <p className="truncate text-note text-soft">
        As of {sayDay(asOf, 'UTC')}: {prescribedInWords(rest)}
      </p>
    </div>
  );
}

function Row({ person, units }: { readonly person: PersonRecord; readonly units: LengthUnit }) {
  const crossing = person.gapMm === 0 ? 'at the collar button' : `${formatLength(person.gapMm, units)} below the collar button`;
  return (
    <div className="flex h-full flex-col justify-center hover:bg-white/60">
      <a className="text-xl font-medium text-set underline decoration-1 underline-offset-4" href={`/people/${person.id}`}>
        {person.name}
      </a>
      <p className="truncate text-note text-soft">
        Blade on the wearer’s {person.blade}; ends crossed {crossing}; reads a start {dressing.readsAt[person.readsAt].label}; draws up{' '}
        {dressing.tightens[person.tightens].label}.
      </p>
    </div>
  );
}
