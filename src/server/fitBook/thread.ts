import { parentPort } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { type AskedAbout, type LearntBook, learntBook, type Records } from '../../core/fitbook/shelf.ts';

const books = new Map<string, LearntBook>();

/** A thread that learns, so that no request waits for another studio’s book. */
const keeper = {
  learn(studioId: string, records: Records): void {
    books.set(studioId, learntBook(records));
  },
  here(studioId: string, about: AskedAbout) {
    return books.get(studioId)?.here(about);
  },
  overview(studioId: string) {
    return books.get(studioId)?.overview();
  },
};

export type BookKeeper = typeof keeper;

if (parentPort) expose(keeper, nodeEndpoint(parentPort));
