import type { Sql } from './database.ts';

const channel = 'ropewalk_changed';
const tryAgainMs = 2000;

/** Told of each change of the records, by whichever process it was made: the table, or `*` where some may have been missed. */
export type TellChange = (table: string) => void;

export interface Changes {
  /** Tells from now on; answers what ends that. */
  readonly subscribe: (tell: TellChange) => () => void;
  readonly close: () => void;
}

/** What changes in a database, listened for on one connection as soon as anybody wants to know. */
export function changesIn(database: () => Sql): Changes {
  const told = new Set<TellChange>();
  let isListening = false;
  let isClosed = false;
  const tellAll = (table: string) => {
    for (const tell of told) tell(table);
  };
  const listen = (isFirst: boolean) => {
    database()
      // Once lost it is taken up again by the driver, which says so.
      .listen(channel, tellAll, () => {
        if (!isFirst) tellAll('*');
        isFirst = false;
      })
      .catch(() => {
        if (!isClosed) setTimeout(() => listen(false), tryAgainMs).unref();
      });
  };
  return {
    subscribe: (tell) => {
      told.add(tell);
      if (!isListening) listen(true);
      isListening = true;
      return () => told.delete(tell);
    },
    close: () => {
      isClosed = true;
      told.clear();
    },
  };
}
