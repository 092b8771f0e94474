import equal from 'fast-deep-equal';
import { useState } from 'react';
import type { Say } from '../../../contract/lengths.ts';
import { kindWords } from '../../../contract/records/kindWords.ts';
import { differences, merged } from '../../../contract/records/merge.ts';
import type { Kind } from '../../../contract/records/records.ts';
import { sayValue } from '../../../contract/records/sayValue.ts';
import { Button } from '../../ui/Button.tsx';
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

/** Somebody else changed the record first: their changes, mine, and how to go on. */
export function Merge({ kind, before, mine, theirs, say, onMerge, onTakeTheirs }: MergeProps) {
  const changed = differences(kind, before, mine, theirs);
  const [choices, setChoices] = useState<Readonly<Record<string, 'mine' | 'theirs'>>>({});
  const open = changed.filter(({ clash, key }) => clash && !choices[key]).length;
  return (
    <section role="alert" aria-labelledby="merge" className="border-2 border-outside bg-white p-4">
      <h2 id="merge" className="text-xl font-semibold text-outside">
        Someone else changed this {kindWords[kind].one} while you did. Nothing was overwritten.
      </h2>
      <div className="overflow-x-auto">
        <table className="mt-2 w-full text-left">
          <thead className="text-note text-soft">
            <tr>
              <th className="font-normal">Field</th>
              <th className="font-normal">Was</th>
              <th className="font-normal">Theirs</th>
              <th className="font-normal">Yours</th>
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
                  {cell('theirs', other, !equal(other, was))}
                  {cell('mine', own, !equal(own, was))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="flex flex-wrap items-center gap-3 pt-3">
        <Button disabled={open > 0} onClick={() => onMerge(merged(kind, before, mine, theirs, (key) => choices[key] ?? 'theirs'))}>
          Combine and save
        </Button>
        <Button look="plain" onClick={onTakeTheirs}>
          Discard mine, keep theirs
        </Button>
        {open > 0 && <span className="text-note text-soft">Choose one where both changed the same thing.</span>}
      </div>
    </section>
  );
}
