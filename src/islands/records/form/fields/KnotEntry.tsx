import { useId, useState } from 'react';
import { useController } from 'react-hook-form';
import { formatKnot, KnotWordError, parseKnot } from '../../../../core/index.ts';
import { namedWord, namedWords } from '../../../../core/knot/names.ts';
import { useFault } from '../../../ui/faults.ts';

/** One knot by its name or its word; empty for none. */
export function KnotEntry({ name, label }: { readonly name: string; readonly label: string }) {
  const { field } = useController({ name });
  const fault = useFault(name);
  const [draft, setDraft] = useState<string>();
  const id = useId();
  const word = typeof field.value === 'string' ? field.value : '';
  const shown = draft ?? namedWord(word)?.names[0] ?? word;
  return (
    <div className="grid grid-cols-[1fr_12rem] items-center gap-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <input
        ref={field.ref}
        id={id}
        list={`${id}-names`}
        autoComplete="off"
        placeholder="none"
        className={`h-9 w-full border-b-2 bg-transparent px-1 text-lg text-set ${fault ? 'border-outside bg-outside-wash' : 'border-set/40 focus:border-set'}`}
        value={shown}
        aria-invalid={fault !== undefined}
        aria-describedby={`${id}-more`}
        onChange={(event) => {
          setDraft(event.target.value);
          field.onChange(read(event.target.value));
        }}
        onBlur={() => {
          setDraft(undefined);
          field.onBlur();
        }}
      />
      <datalist id={`${id}-names`}>
        {namedWords
          .flatMap(({ names }) => names)
          .map((each) => (
            <option key={each} value={each} />
          ))}
      </datalist>
      <span id={`${id}-more`} className={`col-span-2 text-note ${fault ? 'text-outside' : 'text-soft'}`}>
        {fault ?? (word && namedWord(word) ? word : 'By its name, or its moves in his own view, as Li Ro Li Co T.')}
      </span>
    </div>
  );
}

/** A name's word, a word in its canonical form, or the text as typed when it is neither. */
function read(text: string): string | null {
  const clean = text.trim();
  if (clean === '') return null;
  const named = namedWords.find(({ names }) => names.some((each) => each.toLowerCase() === clean.toLowerCase()));
  if (named) return named.word;
  try {
    return formatKnot(parseKnot(clean));
  } catch (error) {
    if (error instanceof KnotWordError) return clean;
    throw error;
  }
}
