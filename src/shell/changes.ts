import type { RequestHandler, Response } from 'express';
import type { Changes } from '../server/changes.ts';

/** Often enough that nothing between here and there takes the line for dead. */
const pulseMs = 20_000;
/** So many changes within this are told as one: an import makes thousands. */
const gatherMs = 300;

/** Tells an open page what changes on record, as server-sent events. `closing` is what ends them all. */
export function answerChanges(changes: Changes, closing: AbortSignal): RequestHandler {
  return (request, response) => {
    response.writeHead(200, {
      'content-type': 'text/event-stream; charset=utf-8',
      // Compressed it would be held back until there is enough of it.
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
    });
    response.write(': ropewalk\n\n');
    const unsubscribe = changes.subscribe(gathered(response));
    const pulse = setInterval(() => response.write(': \n\n'), pulseMs);
    const end = () => {
      clearInterval(pulse);
      unsubscribe();
      closing.removeEventListener('abort', end);
      response.end();
    };
    closing.addEventListener('abort', end);
    request.on('close', end);
  };
}

function gathered(response: Response): (table: string) => void {
  let waiting: Set<string> | undefined;
  return (table) => {
    if (waiting) {
      waiting.add(table);
      return;
    }
    waiting = new Set([table]);
    setTimeout(() => {
      const tables = [...(waiting ?? [])];
      waiting = undefined;
      if (!response.writableEnded) response.write(`data: ${tables.join(' ')}\n\n`);
    }, gatherMs).unref();
  };
}
