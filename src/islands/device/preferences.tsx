import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react';
import { type Preferences, preferencesCookie, preferencesText, usualPreferences } from '../../contract/preferences.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { keepCookie } from './cookies.ts';

interface Preferred {
  readonly preferences: Preferences;
  readonly prefer: (changed: Partial<Preferences>) => void;
}

const Context = createContext<Preferred>({ preferences: usualPreferences, prefer: () => undefined });

/** What this device prefers, for all that stands in it; it begins as the server drew the page. */
export function PreferencesProvider({ initial, children }: { readonly initial: Preferences; readonly children: ReactNode }) {
  const [preferences, setPreferences] = useState(initial);
  const preferred = useMemo(
    () => ({
      preferences,
      prefer: (changed: Partial<Preferences>) => {
        const next = { ...preferences, ...changed };
        keepCookie(preferencesCookie, preferencesText(next));
        setPreferences(next);
        // The whole page follows, what the server drew of it too.
        Object.assign(document.documentElement.dataset, { light: next.light, figures: next.figures });
      },
    }),
    [preferences],
  );
  return <Context value={preferred}>{children}</Context>;
}

export function usePreferences(): Preferred {
  return useContext(Context);
}

export const unitChoices: readonly { readonly key: LengthUnit; readonly label: string }[] = [
  { key: 'cm', label: 'cm' },
  { key: 'in', label: 'in' },
];

/** The unit this device reads; the studio's until another was chosen on it. */
export function useUnits(studio: LengthUnit): [units: LengthUnit, setUnits: (unit: LengthUnit) => void] {
  const { preferences, prefer } = usePreferences();
  const set = useCallback((units: LengthUnit) => prefer({ units }), [prefer]);
  return [preferences.units ?? studio, set];
}
