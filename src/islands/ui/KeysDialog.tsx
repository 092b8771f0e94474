import { Button, CheckboxButton, CheckboxField, Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { keyLabel, shortcuts } from '../device/shortcuts.ts';

interface KeysDialogProps {
  readonly isOpen: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly plainKeys: boolean;
  readonly onPlainKeys: (on: boolean) => void;
}

/** Every key there is, and the switch for the single-letter ones. */
export function KeysDialog({ isOpen, onOpenChange, plainKeys, onPlainKeys }: KeysDialogProps) {
  return (
    <ModalOverlay
      isOpen={isOpen}
      onOpenChange={onOpenChange}
      isDismissable
      className="fixed inset-0 z-20 flex items-center justify-center bg-ink/40"
    >
      <Modal className="w-[30rem] max-w-[94vw] border-2 border-ink bg-ground p-5">
        <Dialog className="outline-none">
          <Heading slot="title" className="text-2xl font-medium">
            Keys
          </Heading>
          <dl className="grid grid-cols-[9rem_1fr] gap-y-1.5 py-3">
            {Object.values(shortcuts).map(({ keys, does }) => (
              <div key={does} className="contents">
                <dt className="figures text-lg text-set">{keys.map(keyLabel).join(' or ')}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <p className="text-note text-soft">On a handle of a drawing: arrow keys by a millimetre, with Shift by a centimetre.</p>
          <CheckboxField isSelected={plainKeys} onChange={onPlainKeys} className="mt-3">
            <CheckboxButton className="group flex min-h-9 cursor-pointer items-center gap-2">
              <span
                aria-hidden
                className="flex size-5 items-center justify-center border-2 border-set text-white group-data-[selected]:bg-set"
              >
                ✓
              </span>
              Single-letter keys act
            </CheckboxButton>
          </CheckboxField>
          <Button slot="close" className="mt-3 min-h-10 cursor-pointer border-2 border-ink px-4">
            Close
          </Button>
        </Dialog>
      </Modal>
    </ModalOverlay>
  );
}
