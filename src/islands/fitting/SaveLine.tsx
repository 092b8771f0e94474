import type { ReactNode } from 'react';
import type { Saving } from './useSaving.ts';

interface SaveLineProps {
  readonly saving: Saving;
  /** Why it cannot be saved now, if it cannot. */
  readonly hindrance: string | undefined;
  readonly onSave: () => void;
}

/** The save button, and what became of the last save. */
export function SaveLine({ saving, hindrance, onSave }: SaveLineProps) {
  const { state, giveUp } = saving;
  const busy = state.kind === 'saving' || state.kind === 'waiting';
  return (
    <div className="flex items-center gap-3">
      <p role="status" className="max-w-96 text-right text-note leading-snug">
        {told(saving, giveUp)}
      </p>
      <button
        type="button"
        className="min-h-10 cursor-pointer bg-set px-4 text-lg font-medium whitespace-nowrap text-white hover:bg-ink disabled:cursor-default disabled:bg-line disabled:text-soft"
        disabled={busy || hindrance !== undefined || state.kind === 'saved'}
        title={hindrance ?? 'Ctrl + S'}
        onClick={onSave}
      >
        {state.kind === 'saved' ? 'Saved' : 'Save fitting'}
      </button>
    </div>
  );
}

function told({ state }: Saving, giveUp: () => void): ReactNode {
  switch (state.kind) {
    case 'unsaved':
      return null;
    case 'saving':
      return 'Saving …';
    case 'waiting':
      return (
        <span className="text-outside">
          Not saved yet: the studio’s records cannot be reached. Still trying; everything stays here.{' '}
          <button type="button" className="cursor-pointer underline" onClick={giveUp}>
            Stop trying
          </button>
        </span>
      );
    case 'saved':
      return (
        <a className="text-follows underline" href={`/fittings/${state.fitting.id}`}>
          Saved under {state.fitting.clientName}
        </a>
      );
    case 'refused':
      return <span className="text-outside">Not saved. {state.message}</span>;
    case 'given-up':
      return <span className="text-outside">Not saved. Everything stays here; save again when you like.</span>;
  }
}
