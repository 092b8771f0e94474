import { type ColumnUse, tableUnits } from '../../contract/exchange/mapping.ts';
import type { Kind } from '../../contract/records/records.ts';

/** Files with one heading are read one way: how, is remembered on this device. */
const keyOf = (kind: Kind, heading: readonly string[]) =>
  `ropewalk.columns.${kind}.${heading.map((name) => name.trim().toLowerCase()).join('|')}`;

export function rememberColumns(kind: Kind, heading: readonly string[], uses: readonly ColumnUse[]): void {
  localStorage.setItem(keyOf(kind, heading), JSON.stringify(uses));
}

/** How the last file of this heading was read; anything may have been written there. */
export function rememberedColumns(kind: Kind, heading: readonly string[]): readonly ColumnUse[] | undefined {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(kind, heading)) ?? 'null');
    return Array.isArray(kept) && kept.length === heading.length && kept.every(isUse) ? kept : undefined;
  } catch {
    return undefined;
  }
}

function isUse(value: unknown): value is ColumnUse {
  if (typeof value !== 'object' || value === null) return false;
  const { column, unit } = value as Record<string, unknown>;
  return (column === null || typeof column === 'string') && typeof unit === 'string' && Object.hasOwn(tableUnits, unit);
}
