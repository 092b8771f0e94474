import { isDay } from '../../contract/days.ts';
import { isKind } from '../../contract/records/kindWords.ts';
import type { Kind } from '../../contract/records/records.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { Wanted } from '../records.ts';
import { invalid, nothingAt } from './problem.ts';

/** The kind of record an address speaks of. */
export function kindOf(text: string | undefined, url: URL): Kind {
  if (!isKind(text)) throw nothingAt(url);
  return text;
}

/** The unit faults are worded in. */
export function unitsOf(query: URLSearchParams): LengthUnit {
  return query.get('units') === 'in' ? 'in' : 'cm';
}

/** Reads `find`, `client` (an id, or `studio`), `wearableBy` (an id), `archived`, `from`, and . */
export function wantedOf(query: URLSearchParams): Wanted {
  const client = query.get('client');
  const wearableBy = query.get('wearableBy');
  const from = query.get('from') ?? '0';
  if (!/^\d{1,7}$/.test(from)) throw invalid([{ path: 'from', message: `“${from}” is not a place in a list.` }]);
  return {
    find: findIn(query),
    archived: query.get('archived') === 'true',
    from: Number(from),
    ...orderOf(query),
    ...dayOf(query),
    ...(wearableBy === null ? {} : { wearableBy }),
    ...(client === null ? {} : { clientId: client === 'studio' ? null : client }),
  };
}

/** Longer than anything that is looked for. */
const longestFind = 200;

/** The words a list is looked through for; what can’t be stored can’t be found either. */
export function findIn(query: URLSearchParams): string {
  return (query.get('find') ?? '').replaceAll('\0', '').slice(0, longestFind);
}

/** The order a list is asked in; by name where nothing is said. */
export function orderOf(query: URLSearchParams): Pick<Wanted, 'by' | 'down'> {
  const by = query.get('by');
  return by === null || by === '' ? {} : { by, down: query.get('down') === 'true' };
}

/** The day a list of ties is asked for, and whether only those that are ready. */
export function dayOf(query: URLSearchParams): Pick<Wanted, 'ready' | 'on'> {
  const on = query.get('on') ?? '';
  if (on !== '' && !isDay(on)) throw invalid([{ path: 'on', message: `“${on}” is not a day: write it as year-month-day.` }]);
  return { ...(on === '' ? {} : { on }), ...(query.get('ready') === 'true' ? { ready: true } : {}) };
}
