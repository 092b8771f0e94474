import { useEffect, useEffectEvent } from 'react';
import { tinykeys } from 'tinykeys';
import { usePreferences } from './preferences.tsx';

/** The one place for keys. `plain` keys act only outside fields, and can be switched off. */
export const shortcuts = {
  save: { keys: ['$mod+s'], plain: false, does: 'save the fitting or the record' },
  find: { keys: ['/'], plain: true, does: 'find, in a list' },
  add: { keys: ['+'], plain: true, does: 'add one, in a list' },
  undo: { keys: ['$mod+z'], plain: false, does: 'undo' },
  redo: { keys: ['$mod+Shift+z', '$mod+y'], plain: false, does: 'redo' },
  nextKnot: { keys: ['n'], plain: true, does: 'next knot in the ranking' },
  previousKnot: { keys: ['p'], plain: true, does: 'previous knot' },
  allKnots: { keys: ['a'], plain: true, does: 'named knots, or all of them' },
  stage: { keys: ['h'], plain: true, does: 'tie open, crossed, snug' },
  view: { keys: ['v'], plain: true, does: 'facing the client, or the wearer’s mirror' },
  units: { keys: ['u'], plain: true, does: 'centimetres or inches' },
  nextStep: { keys: ['f', 'Space', 'ArrowRight', 'PageDown', 'Enter'], plain: true, does: 'forward: the next move, while tying' },
  previousStep: { keys: ['b', 'ArrowLeft', 'PageUp', 'Backspace'], plain: true, does: 'back: the move before' },
  handsFree: { keys: ['w'], plain: true, does: 'tying in large, read from two metres' },
  leaveLarge: { keys: ['Escape'], plain: true, does: 'back from tying in large' },
  seat: { keys: ['s'], plain: true, does: 'mirror, facing, from behind, while tying' },
  byItself: { keys: ['y'], plain: true, does: 'tying goes on by itself, or stops' },
  choose: { keys: ['Shift+C'], plain: true, does: 'stage: choose' },
  set: { keys: ['Shift+S'], plain: true, does: 'stage: set' },
  tieIt: { keys: ['Shift+T'], plain: true, does: 'stage: tie' },
  check: { keys: ['Shift+K'], plain: true, does: 'stage: check' },
  client: { keys: ['1'], plain: true, does: 'the client’s measures' },
  shirt: { keys: ['2'], plain: true, does: 'the shirt’s measures' },
  jacket: { keys: ['3'], plain: true, does: 'the jacket’s measures' },
  tie: { keys: ['4'], plain: true, does: 'the tie’s measures' },
  aim: { keys: ['5'], plain: true, does: 'aim and rules' },
  command: { keys: ['$mod+k'], plain: false, does: 'any command, knot, tie or client by its name' },
  light: { keys: ['d'], plain: true, does: 'daylight, or a dark room' },
  figures: { keys: ['g'], plain: true, does: 'figures read at arm’s length, or from two metres' },
  help: { keys: ['?'], plain: true, does: 'these keys' },
} as const satisfies Record<string, { readonly keys: readonly string[]; readonly plain: boolean; readonly does: string }>;

export type ShortcutCode = keyof typeof shortcuts;
export type ShortcutActions = Partial<Record<ShortcutCode, () => void>>;

/** A key as it is written for people: `Ctrl + Shift + Z`. */
export function keyLabel(key: string): string {
  return key === '+'
    ? key
    : key
        .replace('$mod', 'Ctrl')
        .replace('ArrowRight', '→')
        .replace('ArrowLeft', '←')
        .replace('Page', 'Page ')
        .split('+')
        .map((part) => part.charAt(0).toUpperCase() + part.slice(1))
        .join(' + ');
}

/** Lets keys act while whoever calls stands on the page. */
export function useShortcuts(actions: ShortcutActions): void {
  const { plainKeys } = usePreferences().preferences;
  const act = useEffectEvent((code: ShortcutCode) => actions[code]?.());
  // Keys are bound anew only where there are others: views that follow a handle call this with every millimetre.
  const codes = Object.keys(actions).join(' ');
  useEffect(() => {
    const bindings = (codes === '' ? [] : (codes.split(' ') as ShortcutCode[])).flatMap((code) => {
      const { keys, plain } = shortcuts[code];
      const pressed = (event: KeyboardEvent) => {
        if (plain && (!plainKeys || isTyping(event.target))) return;
        // What has the focus keeps the keys that it lives by.
        if (event.key.length !== 1 || event.key === ' ') if (plain && isControl(event.target)) return;
        event.preventDefault();
        act(code);
      };
      // On which keyboards a sign wants the shift key is not ours to know.
      return keys.flatMap((key) => (/^\W$/.test(key) ? [key, `Shift+${key}`] : [key])).map((key) => [key, pressed] as const);
    });
    return tinykeys(window, Object.fromEntries(bindings));
  }, [codes, plainKeys]);
}

function isControl(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('button, a, input, summary, [role="slider"], [role="tab"]') !== null;
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest('input:not([type=radio], [type=checkbox]), textarea, select, [role="listbox"], [role="dialog"], dialog') !== null
  );
}
