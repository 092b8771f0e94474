import type { ReactNode } from 'react';
import { unitChoices } from '../../device/preferences.tsx';
import { Switch } from '../../ui/Switch.tsx';
import type { Listing } from './useListing.ts';

type FindLineProps = Listing['line'] & { readonly placeholder: string; readonly children?: ReactNode };

/** Finding by typing, with a look at what was archived. The key that leads here is `/`. Without scripts it is a plain form. */
export function FindLine({ text, onText, placeholder, archived, onArchived, units, onUnits, children }: FindLineProps) {
  return (
    <form
      method="get"
      className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2 pb-2"
      onSubmit={(event) => event.preventDefault()}
    >
      <label className="flex grow items-baseline gap-3 text-lg">
        Find
        <input
          id="find"
          name="find"
          type="search"
          className="h-10 w-full max-w-md border-b-2 border-set/40 bg-transparent text-xl text-set placeholder:text-soft focus:border-set"
          placeholder={placeholder}
          value={text}
          onChange={(event) => onText(event.target.value)}
        />
      </label>
      <label className="flex min-h-10 cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          name="archived"
          className="size-5 accent-set"
          checked={archived}
          onChange={(event) => onArchived(event.target.checked)}
        />
        Archived
      </label>
      <Switch label="Units" value={units} choices={unitChoices} onChange={onUnits} />
      {children}
    </form>
  );
}
