import { Worker } from 'node:worker_threads';
import { type Remote, wrap } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import type { LearntHere } from '../../core/fitbook/here.ts';
import type { Overview } from '../../core/fitbook/overview.ts';
import { type AskedAbout, learntBook, type Records } from '../../core/fitbook/shelf.ts';
import { whenClosing } from '../closing.ts';
import type { Queryable } from '../database.ts';
import { log } from '../log.ts';
import { recordsOf } from './records.ts';
import type { BookKeeper } from './thread.ts';

/** A book that was learnt, wherever it is kept. */
interface Kept {
  readonly here: (about: AskedAbout) => Promise<Omit<LearntHere, 'stylist'>>;
  readonly overview: () => Promise<Overview>;
}

interface Shelf {
  version: number;
  /** The latest book that was learnt, and the one that is being learnt. */
  kept: Kept | undefined;
  learning: Promise<Kept> | undefined;
  isLarge: boolean;
}

const shelves = new Map<string, Shelf>();

/** A book of so many records is learnt while a request waits; a larger one answers as it was last until it is. */
const whileWaiting = 3000;

/** What the studio’s book says here, as of the latest record or, in a large book just written to, the latest but one fit. */
export async function learntHere(sql: Queryable, studioId: string, about: AskedAbout): Promise<Omit<LearntHere, 'stylist'>> {
  return (await bookOf(sql, studioId)).here(about);
}

export async function overview(sql: Queryable, studioId: string): Promise<Overview> {
  return (await bookOf(sql, studioId)).overview();
}

async function bookOf(sql: Queryable, studioId: string): Promise<Kept> {
  const [row] = await sql<{ version: string }[]>`select version from book_versions where studio_id = ${studioId}`;
  const version = Number(row?.version ?? 0);
  const shelf = shelves.get(studioId) ?? { version: -1, kept: undefined, learning: undefined, isLarge: false };
  shelves.set(studioId, shelf);
  if (shelf.version !== version) {
    const records = await recordsOf(sql, studioId);
    shelf.version = version;
    const learning = learnt(studioId, records).then((kept) => {
      if (shelf.learning === learning) shelf.learning = undefined;
      shelf.kept = kept;
      return kept;
    });
    shelf.learning = learning;
    learning.catch((error: unknown) => {
      // Asked again, it is learnt again.
      shelf.version = -1;
      shelf.learning = undefined;
      log.error({ err: error }, 'The fit book could not be learnt.');
    });
    shelf.isLarge = records.records.length > whileWaiting;
  }
  if (shelf.kept && shelf.isLarge) return shelf.kept;
  const book = shelf.learning ?? shelf.kept;
  if (!book) throw new Error('There is no book.');
  return book;
}

/** In a thread of its own where the application was started with one. */
async function learnt(studioId: string, records: Records): Promise<Kept> {
  const keeper = keeperOf();
  if (!keeper) {
    const book = learntBook(records);
    return { here: async (about) => book.here(about), overview: async () => book.overview() };
  }
  // A thread that dies answers nothing more: whoever waits is told, and asks a new one.
  const { remote, waiting } = keeper;
  const alive = <T>(answer: Promise<T>): Promise<T> =>
    new Promise((resolve, reject) => {
      waiting.add(reject);
      answer.then(resolve, reject).finally(() => waiting.delete(reject));
    });
  await alive(remote.learn(studioId, records));
  const there = <T>(value: T | undefined): T => {
    if (value === undefined) throw new Error('The thread has lost the book.');
    return value;
  };
  return {
    here: async (about) => there(await alive(remote.here(studioId, about))),
    overview: async () => there(await alive(remote.overview(studioId))),
  };
}

interface Keeper {
  readonly remote: Remote<BookKeeper>;
  /** Whoever waits for an answer, to be told if the thread ends. */
  readonly waiting: Set<(reason: Error) => void>;
}

let kept: Keeper | undefined;

function keeperOf(): Keeper | undefined {
  const file = process.env['ROPEWALK_BOOK_THREAD'];
  if (!file) return undefined;
  if (!kept) {
    // It runs the bundle alone: what this process was started with is not for it.
    const worker = new Worker(file, { execArgv: [] });
    worker.unref();
    const waiting: Keeper['waiting'] = new Set();
    worker.once('exit', () => {
      kept = undefined;
      shelves.clear();
      for (const tell of waiting) tell(new Error('The thread that learns has ended.'));
    });
    worker.on('error', (error) => log.error({ err: error }, 'The thread that learns has failed.'));
    whenClosing(() => worker.terminate().then(() => undefined));
    kept = { remote: wrap<BookKeeper>(nodeEndpoint(worker as never)), waiting };
  }
  return kept;
}
