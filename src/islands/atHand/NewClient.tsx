import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { answerKeys } from '../../contract/answerKeys.ts';
import { dayIn } from '../../contract/days.ts';
import { draftLabels, draftPiece } from '../../contract/records/draftPieces.ts';
import { kinds } from '../../contract/records/kinds/index.ts';
import type { TakenCode, TakenMeasure, Wardrobe } from '../../contract/records/records.ts';
import type { WalkIn } from '../../contract/walkIn.ts';
import type { Fault } from '../../core/measures/faults.ts';
import { measures } from '../../core/measures/measures.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { EntriesOf } from '../ui/EntriesOf.tsx';
import type { LengthEntry } from '../ui/entry.ts';
import { createEntryStore, useEntries } from '../ui/entryStore.ts';
import { MeasureField } from '../ui/MeasureField.tsx';
import { SelectField } from '../ui/SelectField.tsx';
import { TextField } from '../ui/TextField.tsx';
import { Refusal } from '../wire/http.ts';
import { addWalkIn } from '../wire/queries.ts';
import { useAtHand } from './useAtHand.ts';
import { withClient } from './values.ts';

interface NewClientEntries {
  /** Made once, so that what is sent again after a lost answer is the same client in the same clothes. */
  readonly ids: Readonly<Record<'client' | 'shirts' | 'jackets', string>>;
  readonly name: string;
  readonly heightMm: LengthEntry;
  readonly neckMm: LengthEntry;
  readonly shirt: string | null;
  readonly jacket: string | null;
}

const asked = ['heightMm', 'neckMm'] as const satisfies readonly TakenCode[];

/** A stranger at the door: what can be asked in a breath. The rest is estimated, and what they wear a draft, until it is measured. */
export function NewClient({ onClose }: { readonly onClose: () => void }) {
  const { store, units, studio } = useAtHand();
  const queries = useQueryClient();
  const [form] = useState(() =>
    createEntryStore<NewClientEntries>({
      ids: { client: crypto.randomUUID(), shirts: crypto.randomUUID(), jackets: crypto.randomUUID() },
      name: '',
      heightMm: null,
      neckMm: null,
      shirt: draftLabels('shirts')[0] ?? null,
      jacket: null,
    }),
  );
  const entries = useEntries(form);
  const adding = useMutation({
    mutationFn: () => addWalkIn(walkInOf(entries, dayIn(studio.timeZone)), units),
    onSuccess: async (theirs: Wardrobe) => {
      const { client } = theirs;
      if (!client) return;
      queries.setQueryData(answerKeys.wardrobe(client.id), theirs);
      store.change((now) => withClient(now, client, theirs));
      onClose();
      await queries.invalidateQueries({ queryKey: ['clients'] });
    },
  });
  const faults = adding.error instanceof Refusal ? adding.error.faults.map(inForm(entries)) : [];
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!adding.isPending) adding.mutate();
  };
  const pieces = (kind: 'shirts' | 'jackets') => draftLabels(kind).map((label) => [label, label] as const);
  return (
    <Dialog title="New client" onClose={onClose}>
      <EntriesOf store={form} faults={faults}>
        <form onSubmit={submit} noValidate>
          <TextField name="name" label="Name" autoFocus />
          {asked.map((key) => (
            <MeasureField key={key} name={key} measure={measures.client[key]} units={units} optional />
          ))}
          <SelectField name="shirt" label="Wears" choices={pieces('shirts')} none="a usual shirt" />
          <SelectField name="jacket" label="and" choices={pieces('jackets')} none="no jacket" />
          <p className="pt-2 text-note text-soft">
            What is left empty is estimated. Shirt and jacket are kept as drafts, with usual measures, until theirs are taken.
          </p>
          <p role="status" className="text-note text-outside">
            {adding.isPending && adding.failureCount > 0
              ? 'Not added yet: the studio’s records can’t be reached. Still trying; nothing you entered is lost.'
              : adding.error && faults.length === 0
                ? adding.error.message
                : null}
          </p>
          <div className="flex gap-3 pt-3">
            <Button type="submit" disabled={adding.isPending}>
              {adding.isPending ? 'Adding…' : 'Add client'}
            </Button>
            <Button look="plain" onClick={onClose}>
              Cancel
            </Button>
          </div>
        </form>
      </EntriesOf>
    </Dialog>
  );
}

function walkInOf({ ids, name, shirt, jacket, ...entered }: NewClientEntries, today: string): WalkIn {
  const takings = taken(entered).map(
    (measure) => ({ measure, mm: entered[measure] as number, how: 'tape', takenOn: today }) as TakenMeasure,
  );
  const piece = <K extends 'shirts' | 'jackets'>(kind: K, label: string | null) =>
    label === null ? null : draftPiece(kind, label, ids.client, ids[kind]);
  return {
    client: { ...kinds.clients.fresh, id: ids.client, version: 0, archived: false, name, measures: takings },
    shirt: piece('shirts', shirt),
    jacket: piece('jackets', jacket),
  };
}

function taken(entered: Pick<NewClientEntries, (typeof asked)[number]>): readonly (typeof asked)[number][] {
  return asked.filter((key) => entered[key] !== null);
}

/** What the server found wrong, at the field it is about. */
function inForm(entries: NewClientEntries): (fault: Fault) => Fault {
  return ({ path, message }) => {
    const [part = '', key = '', at] = path.split('.');
    if (part !== 'client') return { path: part, message };
    return { path: key === 'measures' ? (taken(entries)[Number(at)] ?? 'name') : key, message };
  };
}
