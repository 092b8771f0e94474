import type { Kind } from '../../../contract/records/records.ts';
import type { Entries } from './entries.ts';

/** What was typed and not saved yet, so that a reload or a wrong turn loses nothing. */
const key = (kind: Kind, id: string) => `ropewalk.draft.${kind}.${id}`;

export interface Draft {
  /** The record as it was read when the typing began. */
  readonly before: Entries;
  readonly entries: Entries;
}

export function keptDraft(kind: Kind, id: string): Draft | undefined {
  const kept = sessionStorage.getItem(key(kind, id));
  if (!kept) return undefined;
  try {
    return JSON.parse(kept) as Draft;
  } catch {
    return undefined;
  }
}

export function keepDraft(kind: Kind, id: string, draft: Draft): void {
  sessionStorage.setItem(key(kind, id), JSON.stringify(draft));
}

export function dropDraft(kind: Kind, id: string): void {
  sessionStorage.removeItem(key(kind, id));
}
