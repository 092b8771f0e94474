import { type ReactNode, useEffect, useId, useRef } from 'react';

interface DialogProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** Something to be settled before the page goes on; Escape leaves it. Closed by whoever shows it. */
export function Dialog({ title, onClose, children }: DialogProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  useEffect(() => {
    if (!dialog.current?.open) dialog.current?.showModal();
  }, []);
  return (
    <dialog
      ref={dialog}
      aria-labelledby={id}
      className="m-auto w-[30rem] max-w-[94vw] border-2 border-ink bg-ground p-5 backdrop:bg-ink/40"
      onClose={onClose}
    >
      <h2 id={id} className="text-2xl font-medium">
        {title}
      </h2>
      {children}
    </dialog>
  );
}
