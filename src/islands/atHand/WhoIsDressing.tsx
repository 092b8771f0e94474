import { useQuery } from '@tanstack/react-query';
import { User } from 'lucide-react';
import { firstOfList } from '../../contract/answerKeys.ts';
import type { Given } from '../../contract/given.ts';
import { personCookie } from '../../contract/preferences.ts';
import { keepCookie } from '../device/cookies.ts';
import { usePreferences } from '../device/preferences.tsx';
import { listQuery, studioQuery } from '../wire/queries.ts';
import { WithGiven } from '../wire/WithGiven.tsx';

/** Who is dressing, chosen once on a device: their habits are followed, and their name is kept with every fitting. */
export function WhoIsDressing() {
  const studio = useQuery(studioQuery).data;
  const { prefer } = usePreferences();
  const people = useQuery(listQuery('people', firstOfList)).data?.rows;
  if (!studio || !people) return null;
  if (people.length === 0) {
    return (
      <a className="flex min-h-9 items-center text-set underline decoration-1 underline-offset-4" href="/people/new">
        Add who is dressing
      </a>
    );
  }
  return (
    <label className="flex min-h-9 items-center gap-1.5">
      <User aria-hidden className="size-4 text-soft lg:max-xl:hidden" />
      <span className="sr-only">Who is dressing</span>
      <select
        title="Who is dressing"
        className="h-9 w-40 border-b-2 border-set/40 lg:max-xl:w-35 lg:max-xl:text-[0.9rem] bg-transparent text-set"
        value={studio.person?.id ?? ''}
        onChange={(event) => {
          keepCookie(personCookie, event.target.value);
          // Starts are read as that person reads them.
          prefer({ readsAt: null });
          // All that the page shows was read for whoever was dressing before.
          location.reload();
        }}
      >
        <option value="">Who is dressing?</option>
        {people.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** The same by itself, at the top of a page. */
export function WhoIsDressingHere({ given }: { readonly given: Given }) {
  return (
    <WithGiven given={given}>
      <WhoIsDressing />
    </WithGiven>
  );
}
