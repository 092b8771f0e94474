import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import type { ListWanted } from '../../../contract/answerKeys.ts';
import type { Kind } from '../../../contract/records/records.ts';
import type { LengthUnit } from '../../../core/units/length.ts';
import { useUnits } from '../../device/preferences.tsx';
import { useShortcuts } from '../../device/shortcuts.ts';
import { studioQuery } from '../../wire/queries.ts';

export interface Listing {
  /** What is typed, and who is told of it: for the line to find by. */
  readonly line: {
    readonly text: string;
    readonly onText: (text: string) => void;
    readonly archived: boolean;
    readonly onArchived: (archived: boolean) => void;
    readonly units: LengthUnit;
    readonly onUnits: (units: LengthUnit) => void;
  };
  /** What of the list is wanted by that. */
  readonly wanted: { readonly find: string; readonly archived: boolean };
  readonly units: LengthUnit;
  readonly timeZone: string;
}

/** A list of records under the hand: found by typing, with its keys, in the reader's unit. It begins as the address has it. */
export function useListing(kind: Kind, asked: ListWanted): Listing {
  const studio = useQuery(studioQuery).data;
  const [units, setUnits] = useUnits(studio?.units ?? 'cm');
  const [text, setText] = useState(asked.find ?? '');
  const [archived, setArchived] = useState(asked.archived ?? false);
  const find = useDeferredValue(text);
  useShortcuts({
    find: () => document.getElementById('find')?.focus(),
    add: () => location.assign(`/${kind}/new`),
    units: () => setUnits(units === 'cm' ? 'in' : 'cm'),
  });
  return {
    line: { text, onText: setText, archived, onArchived: setArchived, units, onUnits: setUnits },
    wanted: { find, archived },
    units,
    timeZone: studio?.timeZone ?? 'UTC',
  };
}
