import { ChevronDown } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { type ChooserProps, chooserWord, chosenText } from './choices.ts';

const load = () => import('./ChooserList.tsx');
const ChooserList = lazy(() => load().then(({ ChooserList: List }) => ({ default: List })));

/** A word that can be exchanged for another. Its list is fetched once a hand comes near. */
export function Chooser(props: ChooserProps) {
  const [opened, setOpened] = useState(false);
  const { label, placeholder, onOpen } = props;
  const text = chosenText(props);
  const word = (
    <button
      type="button"
      aria-haspopup="listbox"
      aria-expanded={opened}
      className={chooserWord}
      title={text}
      onPointerEnter={load}
      onFocus={load}
      onClick={() => {
        onOpen?.();
        setOpened(true);
      }}
    >
      <span className="sr-only">{label}:</span>
      <span className="truncate">{text || placeholder}</span>
      <ChevronDown aria-hidden className="size-4 shrink-0 opacity-60" />
    </button>
  );
  return opened ? (
    <Suspense fallback={word}>
      <ChooserList {...props} />
    </Suspense>
  ) : (
    word
  );
}
