import { useState } from 'react';
import type { ClientRecord } from '../../contract/records/records.ts';
import { type Frame, formatKnot, type Knot } from '../../core/index.ts';
import { knotTitle } from '../../core/knot/code.ts';
import { type Found, findKnot, framesThatRead } from '../../core/knot/find.ts';
import { nearestKnots } from '../../core/knot/nearest.ts';
import { parseKnot, regionsIn } from '../../core/knot/parse.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { useMeaning } from './useMeaning.ts';

interface FindKnotProps {
  readonly frame: Frame;
  readonly knots: readonly MappedKnot[];
  /** Whose meaning of a shared name is remembered; the studio's own where nobody is on the bench. */
  readonly client: ClientRecord | null;
  readonly onFind: (word: string) => void;
}

/** Finds a knot by its name, its word, told as moves or as manoeuvres, or its code; asks where a name has several. */
export function FindKnot({ frame, knots, client, onFind }: FindKnotProps) {
  const meaning = useMeaning(client);
  const [text, setText] = useState('');
  const found = calledByStudio(text, knots) ?? findKnot(text, frame);
  const take = (knot: Knot) => onFind(formatKnot(knot));
  const enter = () => {
    if (found.kind === 'one') take(found.knot);
    else if (found.kind === 'names' && found.entries[0]) onFind(found.entries[0].word);
    else if (found.kind === 'several') {
      const meant = meaning.of(found.name);
      if (meant) onFind(meant);
    }
  };
  return (
    <form
      className="relative grow"
      onSubmit={(event) => {
        event.preventDefault();
        enter();
      }}
    >
      <label htmlFor="find" className="flex items-baseline gap-3 text-lg">
        Find
        <input
          id="find"
          type="search"
          className="h-10 w-full border-b-2 border-set/40 bg-transparent text-xl text-set placeholder:text-soft focus:border-set"
          placeholder="a name, Li Ro Li Co T, across the front …"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <div role="status" className="text-note">
        {found.kind === 'one' && <Choice knot={found.knot} onTake={take} />}
        {found.kind === 'names' && <Choices of={found.entries.map(({ word }) => parseKnot(word))} onTake={take} />}
        {found.kind === 'several' && (
          <>
            <p className="text-soft">
              Several pass under this name. Which is meant? The answer is remembered for {client ? client.name : 'this device'}.
            </p>
            <Choices
              of={found.knots}
              meant={meaning.of(found.name)}
              onTake={(knot) => {
                meaning.remember(found.name, formatKnot(knot));
                take(knot);
              }}
            />
          </>
        )}
        {found.kind === 'illegal' && (
          <>
            <p className="text-outside">{found.error.message}</p>
            {framesThatRead(text).length > 0 && <p className="text-soft">In another view it is a knot.</p>}
            <p className="text-soft">Nearest to it:</p>
            <Choices of={nearestTo(text, frame)} onTake={take} />
          </>
        )}
        {found.kind === 'nothing' && text.trim() !== '' && (
          <p className="text-soft">Nothing is called that, and it is no sequence of moves.</p>
        )}
      </div>
    </form>
  );
}

function nearestTo(text: string, frame: Frame): Knot[] {
  const read = regionsIn(text, frame);
  return read ? nearestKnots(read.regions, read.manner) : [];
}

/** The studio's own names come before any other. */
function calledByStudio(text: string, knots: readonly MappedKnot[]): Found | undefined {
  const sought = text.trim().toLowerCase();
  const called = knots.find(({ title, plan }) => title.toLowerCase() === sought && !plan.names.includes(title));
  return called && { kind: 'one', knot: parseKnot(called.plan.moves) };
}

interface ChoicesProps {
  readonly of: readonly Knot[];
  readonly meant?: string | undefined;
  readonly onTake: (knot: Knot) => void;
}

function Choices({ of, meant, onTake }: ChoicesProps) {
  return (
    <ul className="flex flex-wrap gap-x-4">
      {of.map((knot) => (
        <li key={formatKnot(knot)}>
          <Choice knot={knot} onTake={onTake} isMeant={formatKnot(knot) === meant} />
        </li>
      ))}
    </ul>
  );
}

interface ChoiceProps {
  readonly knot: Knot;
  readonly isMeant?: boolean;
  readonly onTake: (knot: Knot) => void;
}

function Choice({ knot, isMeant = false, onTake }: ChoiceProps) {
  const word = formatKnot(knot);
  return (
    <button type="button" className="min-h-7 cursor-pointer text-left text-set underline" onClick={() => onTake(knot)}>
      {knotTitle(knot)} <span className="figures text-soft">{word}</span>
      {isMeant && ' (meant last time)'}
    </button>
  );
}
