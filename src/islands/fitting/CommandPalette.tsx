import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import type { KnotPlan } from '../../core/index.ts';
import { useAsked } from '../atHand/useAtHand.ts';
import { useTakeClient } from '../atHand/useTakeClient.ts';
import { withTie } from '../atHand/values.ts';
import { keyLabel, type ShortcutActions, type ShortcutCode, shortcuts } from '../device/shortcuts.ts';
import { Dialog } from '../ui/Dialog.tsx';
import { places } from '../ui/Places.tsx';
import { capital } from '../ui/words.ts';
import { listQuery } from '../wire/queries.ts';
import { useKnotTitle } from '../wire/useKnotTitles.ts';
import { familiesOf } from './choose/families.ts';

interface CommandPaletteProps {
  readonly knots: readonly KnotPlan[];
  /** What the keys do here; each is a command too. */
  readonly actions: ShortcutActions;
  readonly onChoose: (moves: string) => void;
  readonly onClose: () => void;
}

const item =
  'flex min-h-10 cursor-pointer items-baseline justify-between gap-3 px-2 py-1.5 aria-selected:bg-set-wash aria-selected:text-set';
const group = '[&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-note [&_[cmdk-group-heading]]:text-soft';
/** What the palette itself, and moving about in it, is no command of. */
const notHere: ReadonlySet<ShortcutCode> = new Set(['command', 'find', 'add']);

/** Anything that can be done or taken at a fitting, by a few letters of its name. */
export function CommandPalette({ knots, actions, onChoose, onClose }: CommandPaletteProps) {
  const { store, wardrobe } = useAsked();
  const { take } = useTakeClient();
  const titleOf = useKnotTitle();
  const [text, setText] = useState('');
  // The dialog takes the focus as it opens; the line to type in takes it from there.
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => input.current?.focus(), []);
  const find = useDeferredValue(text);
  const clients = useQuery({ ...listQuery('clients', { find }), placeholderData: keepPreviousData, enabled: find.trim().length > 1 });
  const done = (act: () => unknown) => () => {
    onClose();
    act();
  };
  return (
    <Dialog title="What next?" onClose={onClose}>
      <Command label="Commands" className="pt-2">
        <Command.Input
          ref={input}
          aria-label="A command, a knot, a tie or a client"
          placeholder="a command, a knot, a tie or a client"
          className="h-11 w-full border-b-2 border-set/40 bg-transparent text-xl text-set placeholder:text-soft focus:border-set"
          value={text}
          onValueChange={setText}
        />
        <Command.List className="max-h-[22rem] overflow-y-auto pt-1">
          <Command.Empty className="py-4 text-soft">Nothing here is called that.</Command.Empty>
          <Command.Group heading="Do" className={group}>
            {(Object.keys(actions) as ShortcutCode[])
              .filter((code) => !notHere.has(code))
              .map((code) => (
                <Command.Item key={code} value={shortcuts[code].does} className={item} onSelect={done(() => actions[code]?.())}>
                  <span>{capital(shortcuts[code].does)}</span>
                  <span className="figures shrink-0 text-soft">{shortcuts[code].keys.map(keyLabel)[0]}</span>
                </Command.Item>
              ))}
            <Command.Item value="print a card" className={item} onSelect={done(() => setTimeout(() => print()))}>
              Print a card
            </Command.Item>
          </Command.Group>
          <Command.Group heading="Knots" className={group}>
            {familiesOf(knots).map(({ first }) => (
              <Command.Item
                key={first.moves}
                value={`knot ${titleOf(first)}`}
                className={item}
                onSelect={done(() => onChoose(first.moves))}
              >
                <span>{titleOf(first)}</span>
                {!first.feasible && <span className="text-note text-outside">won’t work</span>}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Ties" className={group}>
            {wardrobe.ties.map((tie) => (
              <Command.Item
                key={tie.id}
                value={`tie ${tie.label} ${tie.id}`}
                className={item}
                onSelect={done(() => store.change((now) => withTie(now, tie)))}
              >
                {tie.label}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Clients" className={group}>
            {(clients.data?.rows ?? []).map(({ id, name }) => (
              <Command.Item key={id} value={`client ${name} ${id}`} className={item} onSelect={done(() => take(id, name))}>
                {name}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Go to" className={group}>
            {places.map(({ path, label }) => (
              <Command.Item key={path} value={`go to ${label}`} className={item} onSelect={done(() => location.assign(path))}>
                {label}
              </Command.Item>
            ))}
          </Command.Group>
        </Command.List>
      </Command>
    </Dialog>
  );
}
