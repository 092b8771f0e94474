import { useId, useState } from 'react';
import type { KnotField } from '../../../../contract/fields/knot.ts';
import { type Frame, formatKnot, parseKnot } from '../../../../core/index.ts';
import { knotTitle } from '../../../../core/knot/code.ts';
import { findKnot } from '../../../../core/knot/find.ts';
import { namedWord, namedWords } from '../../../../core/knot/names.ts';
import { sayFrame } from '../../../../drawing/geometry/view.ts';
import { useEntry } from '../../../ui/entry.ts';
import { Moves } from '../../../ui/Moves.tsx';
import { useFrame } from '../useFrame.ts';
import type { FieldEntryProps } from './entryProps.ts';

/** One knot by its name, its number or its moves, as Find reads them; empty for none. */
export function KnotEntry({ name, field: { label } }: FieldEntryProps<KnotField>) {
  const { value, fault, onChange } = useEntry<string | null>(name);
  const frame = useFrame();
  const [draft, setDraft] = useState<string>();
  const id = useId();
  const moves = isMoves(value) ? value : undefined;
  const shown = draft ?? (moves ? (namedWord(moves)?.names[0] ?? formatKnot(parseKnot(moves), frame)) : (value ?? ''));
  return (
    <div className="grid grid-cols-[1fr_12rem] items-center gap-2 border-b border-faint py-1">
      <label htmlFor={id}>{label}</label>
      <input
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
          onChange(read(event.target.value, frame));
        }}
        onBlur={() => setDraft(undefined)}
      />
      <datalist id={`${id}-names`}>
        {namedWords
          .filter(({ described }) => !described)
          .flatMap(({ names }) => names)
          .map((each) => (
            <option key={each} value={each} />
          ))}
      </datalist>
      <span id={`${id}-more`} className={`col-span-2 text-note ${fault ? 'text-outside' : 'text-soft'}`}>
        {fault ??
          (moves ? (
            <>
              {knotTitle(parseKnot(moves))}: <Moves of={moves} frame={frame} />, {sayFrame(frame)}.
            </>
          ) : (
            `Its name, or its moves: ${sayFrame(frame)}.`
          ))}
      </span>
    </div>
  );
}

/** Canonical moves where it can only be one knot, or else the text as it was typed. */
function read(text: string, frame: Frame): string | null {
  if (text.trim() === '') return null;
  const found = findKnot(text, frame);
  if (found.kind === 'one') return formatKnot(found.knot);
  // A name that several share means its best known one, until another is chosen.
  if (found.kind === 'several' && found.knots[0]) return formatKnot(found.knots[0]);
  return text.trim();
}

function isMoves(value: string | null): value is string {
  try {
    return value !== null && formatKnot(parseKnot(value)) === value;
  } catch {
    return false;
  }
}
