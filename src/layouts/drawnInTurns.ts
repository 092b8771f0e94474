import { Writable } from 'node:stream';
import { createElement, type FunctionComponent } from 'react';
import { renderToPipeableStream } from 'react-dom/server';

/** What of an answer in the making tells its islands apart. */
interface Drawing {
  readonly result: object;
}

const islandsDrawn = new WeakMap<object, number>();

/** Ids within one page must not meet: each island’s begin with letters of its own, which the page is told. */
function prefixIn({ result }: Drawing): string {
  const before = islandsDrawn.get(result) ?? 0;
  islandsDrawn.set(result, before + 1);
  return `r${before}`;
}

/**
 * Draws an island for the page that is sent, whole: nothing is left to be put in its place by a script. What stands in an
 * `OwnTurn` is drawn in a turn of the event loop of its own, so that a page is never in the way of other requests for long.
 */
function drawWhole<Props extends object>(island: FunctionComponent<Props>, props: Props, identifierPrefix: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const drawn: Buffer[] = [];
    const sink = new Writable({
      write(chunk: Buffer, _encoding, done) {
        drawn.push(chunk);
        done();
      },
      final(done) {
        resolve(Buffer.concat(drawn).toString('utf8'));
        done();
      },
    });
    const { pipe } = renderToPipeableStream(createElement(island, props), {
      identifierPrefix,
      progressiveChunkSize: Number.POSITIVE_INFINITY,
      onError: reject,
      onAllReady: () => pipe(sink),
    });
  });
}

/** How Astro has islands drawn; every one is a React component without slots. */
export default {
  name: 'react-in-turns',
  check: (island: unknown) => typeof island === 'function',
  async renderToStaticMarkup<Props extends object>(this: Drawing, island: FunctionComponent<Props>, props: Props) {
    const prefix = prefixIn(this);
    return { html: await drawWhole(island, props, prefix), attrs: { prefix } };
  },
};
