import equal from 'fast-deep-equal';
import type { Kind } from '../../../contract/records/records.ts';
import type { Entries } from './entries.ts';

/** What was typed and not saved yet, so that a reload or a wrong turn loses nothing. */
const key = (kind: Kind, id: string) => `ropewalk.draft.${kind}.${id}`;

export interface Draft {
  /** The record as it was read when the typing began. */
  readonly before: Entries;
  readonly entries: Entries;
}

/** A draft that was kept, if every field that `fresh` has is still in it: a later version may have other fields. */
export function keptDraft(kind: Kind, id: string, fresh: Entries): Draft | undefined {
  const kept = sessionStorage.getItem(key(kind, id));
  if (!kept) return undefined;
  try {
    const draft: unknown = JSON.parse(kept);
    if (!isDraft(draft, Object.keys(fresh))) return undefined;
    // What is on record by now, though this window was not told so, is no draft any more.
    return equal({ ...draft.entries, version: 0 }, { ...fresh, version: 0 }) ? undefined : draft;
  } catch {
    return undefined;
  }
}

function isDraft(draft: unknown, keys: readonly string[]): draft is Draft {
  const has = (entries: unknown) => typeof entries === 'object' && entries !== null && keys.every((each) => Object.hasOwn(entries, each));
  return typeof draft === 'object' && draft !== null && 'before' in draft && 'entries' in draft && has(draft.before) && has(draft.entries);
}

export function keepDraft(kind: Kind, id: string, draft: Draft): void {
  sessionStorage.setItem(key(kind, id), JSON.stringify(draft));
}

export function dropDraft(kind: Kind, id: string): void {
  sessionStorage.removeItem(key(kind, id));
}
