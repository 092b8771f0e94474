import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import type { Kind } from '../../../contract/records/records.ts';
import type { LengthUnit } from '../../../core/units/length.ts';
import { usePlainKeys, useShortcuts } from '../../device/shortcuts.ts';
import { useUnits } from '../../device/useUnits.ts';
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
}

/** A list of records under the hand: found by typing, with its keys, in the reader's unit. */
export function useListing(kind: Kind): Listing {
  const studio = useQuery(studioQuery).data;
  const [units, setUnits] = useUnits(studio?.units ?? 'cm');
  const [text, setText] = useState('');
  const [archived, setArchived] = useState(false);
  const [plainKeys] = usePlainKeys();
  const find = useDeferredValue(text);
  useShortcuts(
    {
      find: () => document.getElementById('find')?.focus(),
      add: () => location.assign(`/${kind}/new`),
      units: () => setUnits(units === 'cm' ? 'in' : 'cm'),
    },
    plainKeys,
  );
  return {
    line: { text, onText: setText, archived, onArchived: setArchived, units, onUnits: setUnits },
    wanted: { find, archived },
    units,
  };
}
