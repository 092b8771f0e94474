import type { FittingsWanted } from './fitting.ts';
import type { Kind } from './records/records.ts';

/** What of a list is wanted; `clientId: null` for the studio's own. */
export interface ListWanted {
  readonly find?: string;
  readonly clientId?: string | null;
  /** Only what is of this tie. */
  readonly tieId?: string;
  /** Only what this client can wear. */
  readonly wearableBy?: string;
  readonly archived?: boolean;
  readonly from?: number;
  /** A field the list is ordered by, instead of by name; the largest first where `down`. */
  readonly by?: string;
  readonly down?: boolean;
  /** Of ties: only those that are ready to be worn. */
  readonly ready?: boolean;
  /** The day that ties are told, ordered and judged ready for, `YYYY-MM-DD`; today where nothing is said. */
  readonly on?: string;
}

/** Under which keys answers are kept on a page, whether it asked for them or they were given along. */
export const answerKeys = {
  studio: () => ['studio'],
  backups: () => ['backups'],
  wardrobes: () => ['wardrobe'],
  wardrobe: (clientId?: string | null) => ['wardrobe', clientId ?? null],
  list: (kind: Kind, wanted: ListWanted) => [kind, 'list', wanted],
  record: (kind: Kind, id: string) => [kind, 'one', id],
  tieLife: (id: string) => ['ties', 'life', id],
  allPractice: () => ['practice'],
  practice: (clientId?: string) => ['practice', clientId ?? null],
  allFittings: () => ['fittings'],
  fittings: (wanted: FittingsWanted = {}) => ['fittings', 'list', wanted],
  fitBook: () => ['fit-book'],
  tyingOf: (fittingId: string) => ['tyings', 'of', fittingId],
  tyingHistory: (id: string) => ['tyings', 'history', id],
  fitting: (id: string) => ['fittings', 'one', id],
} as const satisfies Record<string, (...asked: never[]) => readonly unknown[]>;

/** What is wanted of a list when its page opens. */
export const firstOfList: ListWanted = { find: '', archived: false };
