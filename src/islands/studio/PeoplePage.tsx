import { UserPlus } from 'lucide-react';
import type { ListWanted } from '../../contract/answerKeys.ts';
import type { Given } from '../../contract/given.ts';
import type { PersonRecord } from '../../contract/records/records.ts';
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

/** Whoever dresses others in the studio. */
export function PeoplePage({ given, asked }: PeoplePageProps) {
  return (
    <WithGiven given={given}>
      <People asked={asked} />
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
