import { useState } from 'react';
import { formatKnot, type Knot } from '../../core/index.ts';
import { knotTitle } from '../../core/knot/code.ts';
import { type Found, findKnot, framesThatRead } from '../../core/knot/find.ts';
import { nearestKnots } from '../../core/knot/nearest.ts';
import { parseKnot, regionsIn } from '../../core/knot/parse.ts';
import { differencesInWords } from '../../core/knotMap/compare.ts';
import { findAlike, likenessInWords, readLikeness } from '../../core/knotMap/likeness.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { sayFrame } from '../../drawing/geometry/view.ts';
import { useAsked } from '../atHand/useAtHand.ts';
import { Moves } from '../ui/Moves.tsx';
import { useMeaning } from './useMeaning.ts';

interface FindKnotProps {
  readonly knots: readonly MappedKnot[];
  /** The knot in hand: likeness is asked against it. */
  readonly chosen: MappedKnot | undefined;
  readonly onFind: (moves: string) => void;
}

const mostAlike = 5;
const mostDifferences = 4;

/** Finds a knot by its name, its moves as they are shown, moves told in words, its number, or its likeness to the one in hand; asks where a name has several. */
export function FindKnot({ knots, chosen, onFind }: FindKnotProps) {
  const { frame, client, units } = useAsked();
  const meaning = useMeaning(client);
  const [text, setText] = useState('');
  // What is found is put in hand, and is still looked for from the knot that was in hand when the words were begun.
  const [from, setFrom] = useState<string>();
  const origin = knots.find(({ plan }) => plan.moves === from) ?? chosen;
  const found = calledByStudio(text, knots) ?? findKnot(text, frame);
  const likeness = found.kind === 'nothing' || found.kind === 'illegal' ? readLikeness(text) : undefined;
  const alike = likeness && origin ? findAlike(origin, knots, likeness).slice(0, mostAlike) : [];
  const take = (knot: Knot) => onFind(formatKnot(knot));
  const enter = () => {
    if (likeness && alike[0]) onFind(alike[0].plan.moves);
    else if (found.kind === 'one') take(found.knot);
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
          placeholder="a name, moves, “across the front, behind …”, or “a bit larger, level”"
          value={text}
          onChange={(event) => {
            if (text.trim() === '') setFrom(chosen?.plan.moves);
            setText(event.target.value);
          }}
        />
      </label>
      <div role="status" className="text-note">
        {found.kind === 'one' && <Choice knot={found.knot} onTake={take} />}
        {found.kind === 'names' && <Choices of={found.entries.map(({ word }) => parseKnot(word))} onTake={take} />}
        {found.kind === 'several' && (
          <>
            <p className="text-soft">
              Several knots share this name. Which one is meant? The answer is remembered for {client ? client.name : 'this device'}.
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
        {likeness && origin && (
          <>
            <p className="text-soft">
              Like the {origin.title}, but {likenessInWords(likeness)}
              {alike.length === 0 ? ': there is none among these knots.' : ':'}
            </p>
            <ul>
              {alike.map((knot) => (
                <li key={knot.code}>
                  <Choice knot={parseKnot(knot.plan.moves)} onTake={take} />{' '}
                  <span className="text-soft">{differencesInWords(knot, origin, units).slice(0, mostDifferences).join(', ')}</span>
                </li>
              ))}
            </ul>
          </>
        )}
        {!likeness && found.kind === 'illegal' && (
          <>
            <p className="text-outside">{found.error.message}</p>
            {framesThatRead(text)
              .slice(0, 1)
              .map((other) => (
                <p key={sayFrame(other)} className="text-soft">
                  Read as “{sayFrame(other)}” it is a knot.
                </p>
              ))}
            <p className="text-soft">Nearest to it:</p>
            <Choices of={nearestTo(text)} onTake={take} />
          </>
        )}
        {!likeness && found.kind === 'nothing' && text.trim() !== '' && (
          <p className="text-soft">No knot has this name, and these aren’t moves.</p>
        )}
      </div>
    </form>
  );

  function nearestTo(moves: string): Knot[] {
    const read = regionsIn(moves, frame);
    return read ? nearestKnots(read.regions, read.manner) : [];
  }
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
  const { frame } = useAsked();
  return (
    <button type="button" className="min-h-7 cursor-pointer text-left text-set underline" onClick={() => onTake(knot)}>
      {knotTitle(knot)} <Moves of={formatKnot(knot)} frame={frame} className="text-soft" />
      {isMeant && ' (meant last time)'}
    </button>
  );
}
