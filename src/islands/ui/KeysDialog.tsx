import { useEffect, useRef } from 'react';
import { usePreferences } from '../device/preferences.tsx';
import { keyLabel, shortcuts } from '../device/shortcuts.ts';
import { Button } from './Button.tsx';

/** Every key there is, and the switch for the single-letter ones. */
export function KeysDialog({ onClose }: { readonly onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  const { preferences, prefer } = usePreferences();
  useEffect(() => {
    if (!dialog.current?.open) dialog.current?.showModal();
  }, []);
  return (
    <dialog
      ref={dialog}
      aria-labelledby="keys"
      className="m-auto w-[30rem] max-w-[94vw] border-2 border-ink bg-ground p-5 backdrop:bg-ink/40"
      onClose={onClose}
    >
      <h2 id="keys" className="text-2xl font-medium">
        Keys
      </h2>
      <dl className="grid grid-cols-[9rem_1fr] gap-y-1.5 py-3">
        {Object.values(shortcuts).map(({ keys, does }) => (
          <div key={does} className="contents">
            <dt className="figures text-lg text-set">{keys.map(keyLabel).join(' or ')}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <p className="text-note text-soft">On a handle of a drawing: arrow keys by a millimetre, with Shift by a centimetre.</p>
      <label className="mt-3 flex min-h-9 cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-set"
          checked={preferences.plainKeys}
          onChange={(event) => prefer({ plainKeys: event.target.checked })}
        />
        Single-letter keys work
      </label>
      <Button look="plain" className="mt-3" onClick={() => dialog.current?.close()}>
        Close
      </Button>
    </dialog>
  );
}
