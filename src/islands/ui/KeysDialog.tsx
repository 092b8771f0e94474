import { figureSizes, lights } from '../../contract/preferences.ts';
import { usePreferences } from '../device/preferences.tsx';
import { keyLabel, shortcuts } from '../device/shortcuts.ts';
import { Button } from './Button.tsx';
import { Dialog } from './Dialog.tsx';
import { Switch } from './Switch.tsx';

function choicesOf<K extends string>(table: Readonly<Record<K, { readonly label: string }>>) {
  return (Object.keys(table) as K[]).map((key) => ({ key, label: table[key].label }));
}

/** Every key there is, and how this device's screen is read. */
export function KeysDialog({ onClose }: { readonly onClose: () => void }) {
  const { preferences, prefer } = usePreferences();
  return (
    <Dialog title="Keys and screen" onClose={onClose}>
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
      <Switch label="Light" showLabel value={preferences.light} choices={choicesOf(lights)} onChange={(light) => prefer({ light })} />
      <Switch
        label="Figures"
        showLabel
        value={preferences.figures}
        choices={choicesOf(figureSizes)}
        onChange={(figures) => prefer({ figures })}
      />
      <Button look="plain" className="mt-3" onClick={onClose}>
        Close
      </Button>
    </Dialog>
  );
}
