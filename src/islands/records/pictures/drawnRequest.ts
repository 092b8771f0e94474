import { latest } from '../../../contract/records/asWorn.ts';
import type { TakenMeasure } from '../../../contract/records/records.ts';
import { completeRequest, type PlanRequest } from '../../../core/index.ts';
import type { LengthUnit } from '../../../core/units/length.ts';
import { usualTie, usualWearer } from '../../../core/usual.ts';
import type { Entries } from '../form/entries.ts';

/** Usual measures to draw with, with those that are known put in their place. */
export function drawnRequest(units: LengthUnit, known: Partial<Pick<PlanRequest, 'client' | 'shirt' | 'jacket'>> = {}): PlanRequest {
  return { ...completeRequest({ client: usualWearer, tie: usualTie, units }), ...known };
}

/** The lengths among the fields that are lengths already. */
export function lengthsOf<K extends string>(entries: Entries, keys: readonly K[]): Partial<Record<K, number>> {
  return Object.fromEntries(keys.flatMap((key) => (typeof entries[key] === 'number' ? [[key, entries[key]]] : []))) as Partial<
    Record<K, number>
  >;
}

/** A client's part of the request, from their fields. */
export function drawnClient(entries: Entries, units: LengthUnit): PlanRequest['client'] {
  const supposed = drawnRequest(units).client;
  const taken = (entries['measures'] as readonly TakenMeasure[]).filter(({ mm }) => typeof mm === 'number');
  const drop = latest(taken, 'frontDropMm');
  return {
    ...supposed,
    ...lengthsOf(entries, ['beltHeightMm', 'crossingGapMm']),
    heightMm: latest(taken, 'heightMm')?.mm ?? supposed.heightMm,
    neckMm: latest(taken, 'neckMm')?.mm ?? supposed.neckMm,
    frontDropMm: drop?.mm ?? null,
    frontDropHow: drop?.how ?? 'tape',
    front: entries['front'] as PlanRequest['client']['front'],
  };
}
