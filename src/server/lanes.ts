import type postgres from 'postgres';
import { RecordsLost } from './statements.ts';

/** A connection that is held by one transaction at a time. */
export interface Lane {
  readonly sql: postgres.Sql;
  /** Told when the connection closes while it is held. */
  onclose: () => void;
}

export interface Lanes {
  /** The next that is free; refuses where none comes free in time. */
  readonly take: () => Promise<Lane>;
  readonly giveBack: (lane: Lane) => void;
  /** Takes it out of use: what was sent on it may still be under way. */
  readonly discard: (lane: Lane) => void;
  readonly end: (seconds: number | undefined) => Promise<void>;
}

/**
 * Connections for transactions, each a client of its own: the driver’s way of reserving one out of a pool loses whoever waits
 * for it when a connection closes meanwhile, for good. `open` makes a client of one connection, which is opened when needed.
 */
export function lanesOf(open: (onclose: () => void) => postgres.Sql, most: number, patienceMs: number): Lanes {
  const free: Lane[] = [];
  const held = new Set<Lane>();
  const waiting: ((lane: Lane) => void)[] = [];
  const hold = (lane: Lane) => {
    held.add(lane);
    return lane;
  };
  const fresh = (): Lane => {
    const lane: Lane = { sql: open(() => lane.onclose()), onclose: () => undefined };
    return lane;
  };
  const next = (lane: Lane) => {
    const first = waiting.shift();
    if (first) first(hold(lane));
    else free.push(lane);
  };
  return {
    take: () => {
      const lane = free.pop() ?? (held.size < most ? fresh() : undefined);
      if (lane) return Promise.resolve(hold(lane));
      return new Promise((resolve, reject) => {
        const timer = setTimeout(() => {
          waiting.splice(waiting.indexOf(given), 1);
          reject(new RecordsLost('The studio’s records are too busy.'));
        }, patienceMs);
        const given = (each: Lane) => {
          clearTimeout(timer);
          resolve(each);
        };
        waiting.push(given);
      });
    },
    giveBack: (lane) => {
      held.delete(lane);
      lane.onclose = () => undefined;
      next(lane);
    },
    discard: (lane) => {
      held.delete(lane);
      lane.onclose = () => undefined;
      lane.sql.end({ timeout: 0 }).catch(() => undefined);
      if (waiting.length > 0) next(fresh());
    },
    end: async (seconds) => {
      await Promise.all([...free, ...held].map(({ sql }) => sql.end(seconds === undefined ? {} : { timeout: seconds })));
    },
  };
}
