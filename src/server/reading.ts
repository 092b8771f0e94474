import { whenClosing } from './closing.ts';
import { database, isConnectionLoss, openDatabase, type Sql } from './database.ts';
import { RecordsLost } from './statements.ts';

/** A replica that was lost is not asked again for so long. */
const restMs = 5000;
const closingSeconds = 5;

/** A place in PostgreSQL’s log of what was written, as it tells it: `16/B374D848`. */
type Place = string;

/** Known to the process, not to one copy of this module: pages and the server in front of them are bundled apart. */
interface KnownPlaces {
  /** Up to where writes were told of. */
  written: Place | undefined;
  /** Up to where the replica is known to have come. */
  reached: Place | undefined;
}
const key = Symbol.for('ropewalk.places');
const ofProcess = globalThis as unknown as Record<symbol, KnownPlaces | undefined>;
const known: KnownPlaces = ofProcess[key] ?? { written: undefined, reached: undefined };
ofProcess[key] = known;

let opened: Sql | undefined;
let restsUntil = 0;

/** The replica for what only reads, where `DATABASE_READ_URL` names one. */
function replica(): Sql | undefined {
  const url = process.env['DATABASE_READ_URL'];
  if (!url) return undefined;
  if (!opened) {
    const pool = openDatabase(url);
    whenClosing(() => pool.end({ timeout: closingSeconds }));
    opened = pool;
  }
  return opened;
}

/**
 * Reads on the replica if there is one, it answers, and it has come as far as everything that was told as written: up to `since`, of
 * whoever asks, and of all that this process was told of. Otherwise on the server itself: nobody is shown a studio without what
 * they just entered.
 */
export async function reading<T>(since: Place | undefined, read: (sql: Sql) => Promise<T>): Promise<T> {
  const pool = replica();
  if (!pool || performance.now() < restsUntil) return read(database());
  try {
    if (await hasReached(pool, later(since, known.written))) return await read(pool);
  } catch (error) {
    if (!isConnectionLoss(error)) throw error;
    restsUntil = performance.now() + restMs;
  }
  return read(database());
}

let askedAt = 0;

/** Whether it answers, and has come so far. Asked now and then only, and whenever it is not known to have. */
async function hasReached(pool: Sql, place: Place | undefined): Promise<boolean> {
  const isKnown = () => later(place, known.reached) === known.reached;
  const now = performance.now();
  if ((place !== undefined && !isKnown()) || now - askedAt > askAgainMs) {
    known.reached = await soon(
      pool<{ place: Place | null }[]>`
        select (case when pg_is_in_recovery() then pg_last_wal_replay_lsn() else pg_current_wal_lsn() end)::text as place`.then(
        ([row]) => row?.place ?? undefined,
      ),
    );
    askedAt = now;
  }
  return place === undefined || isKnown();
}

const askAgainMs = 5000;
/** One that takes connections and does not answer is as good as lost. */
const patienceMs = 1000;

async function soon<T>(answer: Promise<T>): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new RecordsLost('The replica did not answer in time.')), patienceMs);
  });
  try {
    return await Promise.race([answer, late]);
  } finally {
    clearTimeout(timer);
  }
}

/** Up to where the server has written by now, for whoever wrote to read it again; `undefined` where nothing is read elsewhere. */
export async function writtenSoFar(): Promise<Place | undefined> {
  if (!process.env['DATABASE_READ_URL']) return undefined;
  const [row] = await database()<{ place: Place }[]>`select pg_current_wal_insert_lsn()::text as place`;
  return row?.place;
}

/** Something was written, by this process or another: from now on it is read too. */
export async function noteWritten(): Promise<void> {
  known.written = later(known.written, await writtenSoFar().catch(() => undefined));
}

/** The later of two places; the second where they are one. */
export function later(a: Place | undefined, b: Place | undefined): Place | undefined {
  const [first, second] = [bytesOf(a), bytesOf(b)];
  if (first === undefined) return second === undefined ? undefined : b;
  return second === undefined || first > second ? a : b;
}

function bytesOf(place: Place | undefined): bigint | undefined {
  const [, high, low] = /^([0-9A-F]{1,8})\/([0-9A-F]{1,8})$/.exec(place ?? '') ?? [];
  return high && low ? (BigInt(`0x${high}`) << 32n) | BigInt(`0x${low}`) : undefined;
}
