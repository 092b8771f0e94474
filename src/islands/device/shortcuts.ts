import { useEffect, useState } from 'react';

/** The one place for keys. `plain` keys act only outside fields, and can be switched off. */
export const shortcuts = {
  save: { keys: ['mod+s'], plain: false, does: 'save the fitting, or the record' },
  find: { keys: ['/'], plain: true, does: 'find, in a list' },
  add: { keys: ['+'], plain: true, does: 'add one, in a list' },
  undo: { keys: ['mod+z'], plain: false, does: 'undo' },
  redo: { keys: ['mod+shift+z', 'mod+y'], plain: false, does: 'redo' },
  nextKnot: { keys: ['n'], plain: true, does: 'next knot in the ranking' },
  previousKnot: { keys: ['p'], plain: true, does: 'previous knot' },
  allKnots: { keys: ['a'], plain: true, does: 'named knots, or all of them' },
  stage: { keys: ['h'], plain: true, does: 'figure as hung, or tied' },
  view: { keys: ['v'], plain: true, does: 'facing the client, or his mirror' },
  units: { keys: ['u'], plain: true, does: 'centimetres or inches' },
  client: { keys: ['1'], plain: true, does: 'the client’s measures' },
  shirt: { keys: ['2'], plain: true, does: 'the shirt’s measures' },
  jacket: { keys: ['3'], plain: true, does: 'the jacket’s measures' },
  tie: { keys: ['4'], plain: true, does: 'the tie’s measures' },
  aim: { keys: ['5'], plain: true, does: 'aim and rules' },
  help: { keys: ['?'], plain: true, does: 'these keys' },
} as const;

export type ShortcutCode = keyof typeof shortcuts;
export type ShortcutActions = Partial<Record<ShortcutCode, () => void>>;

/** A key as it is written for people. */
export function keyLabel(key: string): string {
  return key
    .replace('mod', 'Ctrl')
    .replace('shift', 'Shift')
    .split('+')
    .map((part) => part.charAt(0).toUpperCase() + part.slice(1))
    .join(' + ');
}

const switchKey = 'ropewalk.plain-keys';

/** Whether single-letter keys act; kept on this device. */
export function usePlainKeys(): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => localStorage.getItem(switchKey) !== 'off');
  return [
    on,
    (next) => {
      localStorage.setItem(switchKey, next ? 'on' : 'off');
      setOn(next);
    },
  ];
}

export function useShortcuts(actions: ShortcutActions, plainKeys: boolean): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const code = matching(event);
      if (!code) return;
      if (shortcuts[code].plain && (!plainKeys || isTyping(event.target))) return;
      const act = actions[code];
      if (!act) return;
      event.preventDefault();
      act();
    };
    addEventListener('keydown', onKeyDown);
    return () => removeEventListener('keydown', onKeyDown);
  }, [actions, plainKeys]);
}

function matching(event: KeyboardEvent): ShortcutCode | undefined {
  if (event.altKey) return undefined;
  const mod = event.ctrlKey || event.metaKey ? 'mod+' : '';
  const shift = mod && event.shiftKey ? 'shift+' : '';
  const pressed = `${mod}${shift}${event.key.toLowerCase()}`;
  return (Object.keys(shortcuts) as ShortcutCode[]).find((code) => (shortcuts[code].keys as readonly string[]).includes(pressed));
}

function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('input, textarea, select, [role="listbox"], [role="dialog"]') !== null;
}
