import type { Frame } from '../core/index.ts';
import { type StateCode, stateCodes } from '../core/start/reading.ts';
import type { LengthUnit } from '../core/units/length.ts';
import { type SquareRule, squareRules } from '../core/wardrobe/matchSquares.ts';

/** What the screen is read by. */
export const lights = { day: { label: 'daylight' }, dark: { label: 'dark room' } } as const;
export type LightCode = keyof typeof lights;

/** From how far it is read. */
export const figureSizes = { usual: { label: 'at arm’s length' }, big: { label: 'from two metres' } } as const;
export type FiguresCode = keyof typeof figureSizes;

/** How this device reads: kept in a cookie, so that the server draws a page as the reader last had it. */
export interface Preferences {
  /** `null` for the studio's, or the client's own. */
  readonly units: LengthUnit | null;
  /** Whose left and right every written sequence and drawing speaks of. */
  readonly view: Frame['view'];
  /** Whether whoever sees as the wearer does stands behind the client, reaching over the shoulders. */
  readonly fromBehind: boolean;
  /** Whether single-letter keys act. */
  readonly plainKeys: boolean;
  readonly squareRule: SquareRule;
  readonly light: LightCode;
  readonly figures: FiguresCode;
  /** How a tie lies while its start is read; `null` as whoever is dressing does it. */
  readonly readsAt: StateCode | null;
}

export const preferencesCookie = 'ropewalk-preferences';
/** Which of the studio's people is dressing on this device, by id. */
export const personCookie = 'ropewalk-person';

export const usualPreferences: Preferences = {
  units: null,
  view: 'facing',
  fromBehind: false,
  plainKeys: true,
  squareRule: 'echo',
  light: 'day',
  figures: 'usual',
  readsAt: null,
};

/** Reads what {@link preferencesText} wrote; what is not known any more is as usual. */
export function preferencesIn(text: string | undefined): Preferences {
  const kept = new URLSearchParams(text ?? '');
  const units = kept.get('units');
  const rule = kept.get('square-rule');
  const readsAt = kept.get('reads-at');
  return {
    units: units === 'cm' || units === 'in' ? units : null,
    view: kept.get('view') === 'own' ? 'own' : 'facing',
    fromBehind: kept.get('from-behind') === 'on',
    plainKeys: kept.get('plain-keys') !== 'off',
    squareRule: rule !== null && Object.hasOwn(squareRules, rule) ? (rule as SquareRule) : 'echo',
    light: kept.get('light') === 'dark' ? 'dark' : 'day',
    figures: kept.get('figures') === 'big' ? 'big' : 'usual',
    readsAt: stateCodes.find((code) => code === readsAt) ?? null,
  };
}

export function preferencesText({ units, view, fromBehind, plainKeys, squareRule, light, figures, readsAt }: Preferences): string {
  return new URLSearchParams({
    ...(units && { units }),
    view,
    ...(fromBehind && { 'from-behind': 'on' }),
    'plain-keys': plainKeys ? 'on' : 'off',
    'square-rule': squareRule,
    light,
    figures,
    ...(readsAt && { 'reads-at': readsAt }),
  }).toString();
}
