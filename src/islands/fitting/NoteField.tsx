import { longestNote } from '../../contract/records/kinds/kindOf.ts';
import { useEntry } from '../ui/entry.ts';

/** What is worth keeping of this fitting in the stylist's own words. */
export function NoteField() {
  const { value, onChange } = useEntry<string>('note');
  return (
    <label className="block pt-1 text-note text-soft">
      Note for this fitting
      <textarea
        rows={2}
        className="mt-0.5 block w-full resize-none border-b-2 border-set/40 bg-transparent text-[0.95rem] leading-snug text-set focus:border-set"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
      {value.length > longestNote && (
        <span className="text-outside">
          A note holds {longestNote} characters at most; this one has {value.length}.
        </span>
      )}
    </label>
  );
}
