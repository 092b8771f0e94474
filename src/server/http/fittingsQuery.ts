import { type FittingsBy, type FittingsOnly, type FittingsWanted, fittingsBy, fittingsOnly } from '../../contract/fitting.ts';
import { findIn } from './recordQuery.ts';

/** What an address asks of the list of fittings; what it can’t ask is left out. */
export function fittingsWanted(query: URLSearchParams): FittingsWanted {
  const client = query.get('client');
  const tie = query.get('tie');
  const only = query.get('only');
  const by = query.get('by');
  const after = query.get('after');
  const from = Number(query.get('from') ?? 0);
  return {
    find: findIn(query),
    ...(client !== null && { client }),
    ...(tie !== null && { tie }),
    ...(only !== null && Object.hasOwn(fittingsOnly, only) && { only: only as FittingsOnly }),
    ...(fittingsBy.some((each) => each === by) && { by: by as FittingsBy }),
    ...(query.has('down') && { down: query.get('down') === 'true' }),
    ...(after !== null && { after }),
    ...(Number.isInteger(from) && from > 0 && from < 10_000_000 && { from }),
  };
}
