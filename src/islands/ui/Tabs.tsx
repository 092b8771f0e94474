import type { KeyboardEvent, ReactNode } from 'react';

interface TabsProps<T extends string> {
  readonly label: string;
  readonly tabs: readonly { readonly key: T; readonly label: string; readonly mark?: ReactNode }[];
  readonly value: T;
  readonly onChange: (key: T) => void;
  readonly children: ReactNode;
}

/** Sheets behind each other (WAI-ARIA's tabs, chosen as they are walked to). */
export function Tabs<T extends string>({ label, tabs, value, onChange, children }: TabsProps<T>) {
  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    const at = tabs.findIndex(({ key }) => key === value);
    const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: tabs.length - 1 }[event.key];
    const next = to === undefined ? undefined : tabs[(to + tabs.length) % tabs.length];
    if (!next) return;
    event.preventDefault();
    onChange(next.key);
    event.currentTarget.querySelector<HTMLElement>(`[data-tab="${next.key}"]`)?.focus();
  };
  return (
    <div className="flex min-h-0 flex-col">
      <div role="tablist" aria-label={label} className="flex shrink-0 flex-wrap border-b border-line" onKeyDown={onKeyDown}>
        {tabs.map(({ key, label: text, mark }) => (
          <button
            key={key}
            type="button"
            role="tab"
            data-tab={key}
            id={`tab-${key}`}
            aria-controls={`panel-${key}`}
            aria-selected={key === value}
            tabIndex={key === value ? 0 : -1}
            className="-mb-px flex min-h-10 grow cursor-pointer items-center justify-center border-b-2 border-transparent px-1 text-soft hover:text-ink aria-selected:border-set aria-selected:font-medium aria-selected:text-set"
            onClick={() => onChange(key)}
          >
            {text}
            {mark}
          </button>
        ))}
      </div>
      <div
        role="tabpanel"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what is longer than its place is scrolled by the keys.
        tabIndex={0}
        id={`panel-${value}`}
        aria-labelledby={`tab-${value}`}
        className="min-h-0 overflow-y-auto pt-1 pr-1"
      >
        {children}
      </div>
    </div>
  );
}
