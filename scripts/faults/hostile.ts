import { connect } from 'node:net';
import fc from 'fast-check';
import { fieldsOf, kinds } from '../../src/contract/records/kinds/index.ts';
import { kindCodes } from '../../src/contract/records/kindWords.ts';

export interface Hostile {
  readonly address: string;
  readonly count: number;
  readonly seed: number;
  readonly say?: (line: string) => void;
}

export interface Withstood {
  readonly sent: number;
  /** How many answers there were of each status. */
  readonly answered: Readonly<Record<string, number>>;
  /** Requests that were answered with an error of the server’s own, with something of its inside, or never. */
  readonly wrong: readonly string[];
  /** How long somebody else waited for a plain answer meanwhile, ms: the middle and the longest. */
  readonly othersWaitedMs: { readonly median: number; readonly longest: number };
  /** The same beside each of those that took longest, sent again alone: the longest wait that came back every time, and beside what. */
  readonly heldUp: { readonly ms: number; readonly by: string };
}

interface Shot {
  readonly method: string;
  readonly path: string;
  readonly type?: string;
  readonly body?: string;
}

const sides = 8;
/** What nothing should ever tell: a trace, a statement, a path of the machine. */
const inside = /\bat \S+ \(.*:\d+:\d+\)|node_modules|PostgresError|\bselect\b.{1,80}\bfrom\b|\binsert into\b|dist\/server|syntax error at/i;

/** Throws requests at a running application that no page of its would send, from several sides, and tells how it took them. */
export async function throwAt({ address, count, seed, say = () => undefined }: Hostile): Promise<Withstood> {
  const ids = await idsAt(address);
  const shots = fc.sample(shotsFor(ids), { numRuns: count, seed });
  const answered: Record<string, number> = {};
  const wrong: string[] = [];
  const slowest: { readonly shot: Shot; readonly ms: number }[] = [];
  let next = 0;
  const shoot = async () => {
    while (next < shots.length) {
      const shot = shots[next++];
      if (!shot) return;
      const from = performance.now();
      const first = await thrown(address, shot);
      // Told to come again: whatever is at fault with the request itself is then told a second time.
      const told = first.status === 503 ? await thrown(address, shot) : first;
      // A line that is left open waits for whoever left it.
      if (shot.method !== 'RAW') slowest.push({ shot, ms: performance.now() - from });
      if (slowest.length > 2 * sentAgain) keepSlowest(slowest);
      answered[told.status] = (answered[told.status] ?? 0) + 1;
      const isServers = told.status >= 500 || (told.status === 0 && shot.method !== 'RAW');
      if ((isServers || inside.test(told.text)) && wrong.length < 50)
        wrong.push(
          `${shot.method} ${shot.path.slice(0, 200)} ${shot.body?.slice(0, 300) ?? ''} → ${told.status} ${told.text.slice(0, 200)}`,
        );
      if (next % 10_000 === 0) say(`${next} of ${shots.length} sent`);
    }
  };
  const waits = await waitsBeside(address, Promise.all(Array.from({ length: sides }, shoot)), restMs);
  keepSlowest(slowest);
  let heldUp = { ms: 0, by: '' };
  for (const { shot } of slowest) {
    const longest: number[] = [];
    // A machine that does something else for a moment holds up anything: what comes back every time is the request’s own.
    for (let time = 0; time < times; time++) longest.push((await waitsBeside(address, thrown(address, shot), 0)).at(-1) ?? 0);
    const ms = Math.min(...longest);
    if (ms > heldUp.ms) heldUp = { ms, by: `${shot.method} ${shot.path.slice(0, 80)}` };
  }
  return {
    sent: shots.length,
    answered,
    wrong,
    othersWaitedMs: { median: waits[Math.floor(waits.length / 2)] ?? 0, longest: waits.at(-1) ?? 0 },
    heldUp,
  };
}

/** So many of those that took longest are sent again, so many times. */
const sentAgain = 100;
const times = 3;
/** Somebody else asks so long after the last answer. */
const restMs = 20;

function keepSlowest(slowest: { readonly ms: number }[]): void {
  slowest.sort((a, b) => b.ms - a.ms).splice(sentAgain);
}

function thrown(address: string, shot: Shot): Promise<{ readonly status: number; readonly text: string }> {
  return shot.method === 'RAW' ? raw(address, shot.body ?? '') : send(address, shot);
}

/** How long somebody waits again and again for a plain answer while something else goes on, ms, from the shortest. */
async function waitsBeside(address: string, meanwhile: Promise<unknown>, rest: number): Promise<readonly number[]> {
  let isOver = false;
  const over = meanwhile.finally(() => {
    isOver = true;
  });
  const waits: number[] = [];
  while (!isOver) {
    const from = performance.now();
    await asked(`${address}/icon.svg`).then((answer) => answer.arrayBuffer());
    waits.push(performance.now() - from);
    await new Promise((resolve) => setTimeout(resolve, rest));
  }
  await over;
  return waits.toSorted((a, b) => a - b);
}

async function idsAt(address: string): Promise<readonly string[]> {
  const found = await Promise.all(
    kindCodes.map(async (kind) => ((await (await fetch(`${address}/api/${kind}`)).json()) as { rows: { id: string }[] }).rows[0]?.id),
  );
  return found.filter((id) => id !== undefined);
}

/** A line that was left open is closed by either side at some time: then it is asked on another. */
async function asked(url: string, how?: RequestInit): Promise<Response> {
  try {
    return await fetch(url, how);
  } catch (error) {
    const cause = error instanceof Error ? error.cause : undefined;
    const isClosed = cause instanceof Error && 'code' in cause && (cause.code === 'UND_ERR_SOCKET' || cause.code === 'ECONNRESET');
    if (!isClosed) throw error;
    return fetch(url, how);
  }
}

async function send(address: string, { method, path, type, body }: Shot): Promise<{ readonly status: number; readonly text: string }> {
  try {
    const answer = await asked(address + path, {
      method,
      redirect: 'manual',
      ...(body === undefined || method === 'GET' || method === 'HEAD'
        ? {}
        : { body, headers: { 'content-type': type ?? 'application/json' } }),
      signal: AbortSignal.timeout(60_000),
    });
    // Pages are ours to the last letter; endpoints answer with data that anyone may have put in.
    const text = path.startsWith('/api/') ? await answer.text() : String((await answer.arrayBuffer()).byteLength);
    return { status: answer.status, text: answer.status < 400 ? '' : text };
  } catch (error) {
    return { status: 0, text: String(error) };
  }
}

/** Bytes straight into the socket, which is then left. */
function raw(address: string, bytes: string): Promise<{ readonly status: number; readonly text: string }> {
  const { hostname, port } = new URL(address);
  return new Promise((resolve) => {
    let text = '';
    const socket = connect(Number(port), hostname, () => socket.end(bytes, 'latin1'));
    const done = () => {
      socket.destroy();
      resolve({ status: Number(/^HTTP\/1\.1 (\d+)/.exec(text)?.[1] ?? 0), text: text.slice(0, 2000) });
    };
    socket.setTimeout(2000, done);
    socket.on('data', (chunk) => {
      text += chunk.toString('latin1');
      done();
    });
    socket.on('error', done);
    socket.on('close', done);
  });
}

const oddTexts = [
  '',
  ' ',
  '\0',
  '\u202E',
  '’',
  '%',
  '%%',
  '\\',
  '"',
  "'; drop table ties; --",
  '../../etc/passwd',
  '<script>',
  '{{7*7}}',
  'null',
  'NaN',
  '-1',
  '1e999',
  '2147483648',
  '9'.repeat(400),
  'Li Ro '.repeat(60),
  '𝕊'.repeat(300),
  '0000-00-00',
  '2026-02-31',
  '🪢',
];
const oddValue = fc.oneof(
  { weight: 3, arbitrary: fc.constantFrom(...oddTexts) },
  { weight: 2, arbitrary: fc.oneof(fc.integer(), fc.double(), fc.constantFrom(-0, 2 ** 31, 2 ** 53, 1e308, -1)) },
  fc.jsonValue({ maxDepth: 3 }),
  fc.string({ unit: 'binary', maxLength: 60 }),
  fc.constantFrom(null, true, [], {}, [[]], { named: 'x' }, { length: 3 }, ['x'], { __proto__: 1 }),
);

/** Half a character can’t stand in an address. */
function inAddress(text: string): string {
  return encodeURIComponent(text.replace(/\p{Surrogate}/gu, '\uFFFD'));
}

/** Requests made from the shapes of ours, with something odd in them. */
function shotsFor(ids: readonly string[]): fc.Arbitrary<Shot> {
  const id = fc.oneof(fc.constantFrom(...ids), fc.uuid(), fc.constantFrom(...oddTexts));
  const kind = fc.constantFrom(...kindCodes);
  const record = kind.chain((of) =>
    fc
      .tuple(
        fc.subarray(
          fieldsOf(of).map(([key]) => key),
          { minLength: 1 },
        ),
        fc.array(oddValue, { minLength: 30, maxLength: 30 }),
        id,
      )
      .map(([keys, values, own]) => ({
        of,
        own,
        body: JSON.stringify({
          ...kinds[of].fresh,
          id: own,
          version: 0,
          archived: false,
          ...Object.fromEntries(keys.map((key, i) => [key, values[i]])),
        }),
      })),
  );
  const query = fc
    .array(
      fc.tuple(
        fc.constantFrom(
          'find',
          'from',
          'client',
          'wearableBy',
          'archived',
          'by',
          'down',
          'on',
          'ready',
          'only',
          'units',
          'apply',
          'key',
          'maxMoves',
          'knot',
          'stage',
        ),
        fc.oneof(id, oddValue.map(String)),
      ),
      { maxLength: 4 },
    )
    .map((pairs) => new URLSearchParams(pairs).toString());
  const place = fc.constantFrom(
    '/api/studio',
    '/api/wardrobe',
    '/api/fit-book',
    '/api/practice',
    '/api/fittings',
    '/api/knots',
    '/api/health',
    '/',
    '/clients',
    '/wardrobe',
    '/fittings',
    '/knots/4.1',
    '/people',
    '/practice',
    '/import-export',
    '/buying-brief',
    '/choose-a-tie',
    '/_image',
    '/_server-islands/x',
  );
  const path = fc.oneof(
    fc.tuple(place, query).map(([at, asked]) => `${at}?${asked}`),
    fc.tuple(kind, query).map(([of, asked]) => `/api/${of}?${asked}`),
    fc.tuple(kind, id).map(([of, own]) => `/api/${of}/${inAddress(own)}`),
    fc
      .tuple(
        fc.constantFrom('/api/fittings/', '/api/ties/', '/fittings/', '/clients/', '/knots/'),
        id,
        fc.constantFrom('', '/life', '/result', '/delete', '/history'),
      )
      .map(([at, own, more]) => at + inAddress(own) + more),
    fc.webPath().map((odd) => `/${odd}`.replace('//', '/')),
  );
  const file = fc.constantFrom('ties.csv', 'clients.csv', 'clients.vcf', 'studio.json', 'tyings.csv', 'cares.csv', 'nothing.csv');
  const content = fc.oneof(
    fc
      .array(
        fc.array(oddValue.map(String), { maxLength: 6 }).map((cells) => cells.join(',')),
        { maxLength: 8 },
      )
      .map((lines) => `label,length_mm,blade_mm\n${lines.join('\n')}`),
    fc.json(),
    fc
      .array(oddValue, { maxLength: 4 })
      .map((ties) => JSON.stringify({ format: 'ropewalk-studio', formatVersion: 1, studio: ties[0], ties, fittings: ties, clients: ties })),
    fc
      .array(oddValue, { maxLength: 4 })
      .map((ties) => JSON.stringify({ format: 'ropewalk-studio', formatVersion: 1, ties, fittings: ties }, null, 1)),
    fc.string({ unit: 'binary', maxLength: 400 }),
    fc
      .array(fc.constantFrom('BEGIN:VCARD', 'VERSION:4.0', 'FN:Someone', 'N:;;;;', 'UID:x', 'END:VCARD', 'NOTE:a\\', ' folded'), {
        maxLength: 12,
      })
      .map((lines) => lines.join('\r\n')),
  );
  const posted = fc.constantFrom(
    '/api/plan',
    '/api/fittings',
    '/api/walk-ins',
    '/api/studio',
    '/api/fittings/x/delete',
    '/api/tyings/x/delete',
  );
  return fc.oneof(
    { weight: 4, arbitrary: path.map((at): Shot => ({ method: 'GET', path: at })) },
    { weight: 3, arbitrary: record.map(({ of, body }): Shot => ({ method: 'POST', path: `/api/${of}`, body })) },
    {
      weight: 2,
      arbitrary: record.map(({ of, own, body }): Shot => ({ method: 'PUT', path: `/api/${of}/${inAddress(own)}`, body })),
    },
    {
      weight: 2,
      arbitrary: fc
        .tuple(
          posted,
          fc.oneof(
            fc.json(),
            fc
              .dictionary(
                fc.constantFrom(
                  'client',
                  'shirt',
                  'jacket',
                  'tie',
                  'aim',
                  'taste',
                  'search',
                  'knot',
                  'question',
                  'id',
                  'ids',
                  'name',
                  'attempts',
                  'units',
                ),
                oddValue,
              )
              .map((odd) => JSON.stringify(odd)),
          ),
        )
        .map(([at, body]): Shot => ({ method: 'POST', path: at, body })),
    },
    {
      weight: 2,
      arbitrary: fc
        .tuple(file, content)
        .map(([name, body]): Shot => ({ method: 'POST', path: `/api/import/${name}`, type: 'application/octet-stream', body })),
    },
    {
      weight: 1,
      arbitrary: fc
        .tuple(fc.constantFrom('PATCH', 'DELETE', 'OPTIONS', 'HEAD', 'PUT'), path)
        .map(([method, at]): Shot => ({ method, path: at })),
    },
    {
      weight: 1,
      arbitrary: fc
        .oneof(
          fc.string({ unit: 'binary', maxLength: 300 }),
          fc.constantFrom(
            'GET / HTTP/1.1\r\n\r\n',
            'GET / HTTP/1.1\r\nhost: x\r\n\r\n',
            'POST /api/plan HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-length: 999999\r\n\r\n{',
            `GET /${'a'.repeat(20_000)} HTTP/1.1\r\nhost: 127.0.0.1\r\n\r\n`,
            `GET / HTTP/1.1\r\nhost: 127.0.0.1\r\nx: ${'y'.repeat(30_000)}\r\n\r\n`,
            'GET http://elsewhere.example/ HTTP/1.1\r\nhost: 127.0.0.1\r\n\r\n',
            'POST /api/plan HTTP/1.1\r\nhost: 127.0.0.1\r\ntransfer-encoding: chunked\r\n\r\nzz\r\n',
          ),
        )
        .map((body): Shot => ({ method: 'RAW', path: '', body })),
    },
  );
}
