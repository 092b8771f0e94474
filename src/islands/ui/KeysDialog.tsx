import { usePreferences } from '../device/preferences.tsx';
import { keyLabel, shortcuts } from '../device/shortcuts.ts';
import { Button } from './Button.tsx';
import { Dialog } from './Dialog.tsx';

/** Every key there is, and the switch for the single-letter ones. */
export function KeysDialog({ onClose }: { readonly onClose: () => void }) {
  const { preferences, prefer } = usePreferences();
  return (
    <Dialog title="Keys" onClose={onClose}>
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
      <Button look="plain" className="mt-3" onClick={onClose}>
        Close
      </Button>
    </Dialog>
  );
}
