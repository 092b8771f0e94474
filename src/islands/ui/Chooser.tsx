import { ChevronDown } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';

export interface ChoiceGroup {
  readonly title: string;
  readonly choices: readonly { readonly key: string; readonly label: string; readonly colours?: readonly string[] }[];
}

export interface ChooserProps {
  readonly label: string;
  readonly value: string | null;
  readonly placeholder: string;
  readonly groups: readonly ChoiceGroup[];
  readonly onChoose: (key: string) => void;
  /** Where the choices are sought elsewhere: what is typed, and who is told of it. */
  readonly search?: { readonly text: string; readonly onText: (text: string) => void };
  readonly onOpen?: () => void;
}

/** How the word looks that the list hangs from. */
export const chooserWord =
  'flex min-h-9 max-w-44 2xl:max-w-60 min-w-0 cursor-pointer items-center gap-1 border-b-2 border-set/40 px-0.5 text-left leading-tight font-medium text-set hover:border-set';

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

/** What is shown of the choice made, which need not be among those offered just now. */
export function chosenText({ groups, value, placeholder }: Pick<ChooserProps, 'groups' | 'value' | 'placeholder'>): string {
  return groups.flatMap(({ choices }) => choices).find(({ key }) => key === value)?.label ?? placeholder;
}
