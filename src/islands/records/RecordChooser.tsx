import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { kindWords, titleOf } from '../../contract/records/kindWords.ts';
import type { Kind } from '../../contract/records/records.ts';
import { Chooser } from '../ui/Chooser.tsx';
import { capital } from '../ui/words.ts';
import { listQuery } from '../wire/queries.ts';
import { coloursOf } from './coloursOf.ts';

interface RecordChooserProps {
  readonly kind: Kind;
  readonly label: string;
  readonly value: string | null;
  /** What is shown of the record that is chosen, since it need not be among those found. */
  readonly placeholder: string;
  /** What stands for no record at all, where there need not be one. */
  readonly none?: string | undefined;
  /** Only what this client can wear. */
  readonly wearableBy?: string | undefined;
  readonly onChoose: (id: string, title: string) => void;
}

/** Stands for “no record” in a chooser's list. */
export const noRecord = 'none';

/** Chooses one record of a kind, however many there are: the server is asked while the name is typed. */
export function RecordChooser({ kind, label, value, placeholder, none, wearableBy, onChoose }: RecordChooserProps) {
  const [text, setText] = useState('');
  const [opened, setOpened] = useState(false);
  const find = useDeferredValue(text);
  const { data } = useQuery({
    ...listQuery(kind, { find, ...(wearableBy === undefined ? {} : { wearableBy }) }),
    placeholderData: keepPreviousData,
    enabled: opened,
  });
  const rows = data?.rows ?? [];
  const more = (data?.total ?? 0) - rows.length;
  const title = `${capital(kindWords[kind].many)}${more > 0 ? `, and ${more} more: type to find them` : ''}`;
  const groups = [
    ...(none === undefined ? [] : [{ title: 'Or', choices: [{ key: noRecord, label: none }] }]),
    {
      title,
      choices: rows.map((record) => {
        const colours = coloursOf(record);
        return { key: record.id, label: titleOf(record), ...(colours && { colours }) };
      }),
    },
  ];
  return (
    <Chooser
      label={label}
      value={value}
      placeholder={placeholder}
      groups={groups}
      search={{ text, onText: setText }}
      onOpen={() => setOpened(true)}
      onChoose={(key) => {
        setText('');
        const record = rows.find(({ id }) => id === key);
        onChoose(key, record ? titleOf(record) : (none ?? ''));
      }}
    />
  );
}
