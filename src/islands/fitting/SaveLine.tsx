import type { ReactNode } from 'react';
import { Button, Link } from '../ui/Button.tsx';
import type { Saving } from './useSaving.ts';

interface SaveLineProps {
  readonly saving: Saving;
  /** Why it can't be saved now, if it can't. */
  readonly hindrance: string | undefined;
  readonly onSave: () => void;
}

/** The save button, what became of the last save, and why there can be none now. */
export function SaveLine({ saving, hindrance, onSave }: SaveLineProps) {
  const { kind } = saving.state;
  const busy = kind === 'saving' || kind === 'waiting';
  return (
    <div className="flex items-center gap-3">
      <p role="status" id="save-told" className="max-w-64 text-right text-note leading-snug">
        {told(saving) ?? (hindrance && <span className="block max-w-28 text-soft">{hindrance}</span>)}
      </p>
      <Button
        className="text-lg"
        disabled={busy || hindrance !== undefined || kind === 'saved'}
        aria-describedby="save-told"
        title="Ctrl + S"
        onClick={onSave}
      >
        {kind === 'saved' ? 'Saved' : 'Save fitting'}
      </Button>
    </div>
  );
}

function told({ state, giveUp }: Saving): ReactNode {
  switch (state.kind) {
    case 'unsaved':
      return null;
    case 'saving':
      return 'Saving…';
    case 'waiting':
      return (
        <span className="text-outside">
          Not saved: the studio’s records can’t be reached. Still trying; nothing you entered is lost.{' '}
          <Button look="text" onClick={giveUp}>
            Stop trying
          </Button>
        </span>
      );
    case 'saved':
      return <Link href={`/fittings/${state.fitting.id}`}>Saved under {state.fitting.clientName}</Link>;
    case 'refused':
      return <span className="text-outside">Not saved. {state.message}</span>;
    case 'given-up':
      return <span className="text-outside">Not saved. Nothing you entered is lost; save again when you like.</span>;
  }
}
