import { useState } from 'react';
import type { Say } from '../../../contract/lengths.ts';
import { kinds } from '../../../contract/records/kinds.ts';
import { differences, merged } from '../../../contract/records/merge.ts';
import type { Kind } from '../../../contract/records/records.ts';
import { sayValue } from '../../../contract/records/sayValue.ts';
import type { Entries } from './entries.ts';

interface MergeProps {
  readonly kind: Kind;
  readonly before: Entries;
  readonly mine: Entries;
  readonly theirs: Entries;
  readonly say: Say;
  readonly onMerge: (entries: Entries) => void;
  readonly onTakeTheirs: () => void;
}

/** Somebody else changed the record first: what he did, what I did, and how to go on. */
export function Merge({ kind, before, mine, theirs, say, onMerge, onTakeTheirs }: MergeProps) {
  const changed = differences(kind, before, mine, theirs);
  const [choices, setChoices] = useState<Readonly<Record<string, 'mine' | 'theirs'>>>({});
  const open = changed.filter(({ clash, key }) => clash && !choices[key]).length;
  return (
    <section role="alert" aria-labelledby="merge" className="border-2 border-outside bg-white p-4">
      <h2 id="merge" className="text-xl font-semibold text-outside">
        Someone else changed this {kinds[kind].one} while you did. Nothing was overwritten.
      </h2>
      <div className="overflow-x-auto">
        <table className="mt-2 w-full text-left">
          <thead className="text-note text-soft">
            <tr>
              <th className="font-normal">field</th>
              <th className="font-normal">was</th>
              <th className="font-normal">theirs</th>
              <th className="font-normal">yours</th>
            </tr>
          </thead>
          <tbody>
            {changed.map(({ key, field, label, before: was, mine: own, theirs: other, clash }) => {
              const cell = (side: 'mine' | 'theirs', value: unknown, moved: boolean) => (
                <td className={`py-1.5 pr-3 ${moved ? '' : 'text-soft'}`}>
                  {clash ? (
                    <label className="flex min-h-8 cursor-pointer items-center gap-2">
                      <input
                        type="radio"
                        className="size-4 accent-set"
                        name={`merge-${key}`}
                        checked={choices[key] === side}
                        onChange={() => setChoices({ ...choices, [key]: side })}
                      />
                      {sayValue(field, value, say)}
                    </label>
                  ) : (
                    sayValue(field, value, say)
                  )}
                </td>
              );
              return (
                <tr key={key} className="border-t border-line align-top">
                  <th scope="row" className="py-1.5 pr-3 font-medium">
                    {label}
                  </th>
                  <td className="py-1.5 pr-3 text-soft">{sayValue(field, was, say)}</td>
                  {cell('theirs', other, JSON.stringify(other) !== JSON.stringify(was))}
                  {cell('mine', own, JSON.stringify(own) !== JSON.stringify(was))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="flex flex-wrap items-center gap-3 pt-3">
        <button
          type="button"
          disabled={open > 0}
          className="min-h-10 cursor-pointer bg-set px-4 font-medium text-white hover:bg-ink disabled:cursor-default disabled:bg-line"
          onClick={() => onMerge(merged(kind, before, mine, theirs, (key) => choices[key] ?? 'theirs'))}
        >
          Put both together and save
        </button>
        <button type="button" className="min-h-10 cursor-pointer border-2 border-ink px-4" onClick={onTakeTheirs}>
          Drop mine, take theirs
        </button>
        {open > 0 && <span className="text-note text-soft">Choose one where both changed the same thing.</span>}
      </div>
    </section>
  );
}
