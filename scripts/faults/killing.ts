import { randomUUID } from 'node:crypto';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { CareRecord, TyingRecord, Wardrobe } from '../../src/contract/records/records.ts';
import { openDatabase } from '../../src/server/database.ts';
import { freePort } from '../machine/ports.ts';
import { startCrashingCluster } from '../machine/postgres/passing.ts';
import { createDatabase, prepareStudio } from '../machine/studio.ts';
import { startWebServer, type WebServer } from '../machine/webServer.ts';

/** How often what is killed, and who tells how far it is. */
export interface Killing {
  readonly application: number;
  readonly database: number;
  readonly say?: (line: string) => void;
}

export interface Killed {
  /** Writes that were acknowledged, and how often one had to be sent again until it was. */
  readonly acknowledged: number;
  readonly again: number;
  /** Acknowledged, and not on record as it was sent. */
  readonly lost: number;
  /** A change on record without what it was before. */
  readonly half: number;
  /** On record more than once, or changed more than once. */
  readonly doubled: number;
  /** How often the application ended though only the database was killed. */
  readonly selfExits: number;
  /** Answers that were neither right nor asked to try again. */
  readonly wrong: readonly string[];
}

const writers = 4;
/** Longer than the application itself waits for its records. */
const patienceMs = 40_000;
const mark = 'Killed in the middle';
/** At most so many writes are acknowledged between two kills, by and large. */
const mostBetween = 12;
const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

interface Writing {
  readonly written: Written[];
  readonly goOn: () => boolean;
  readonly onKept: () => void;
  readonly wrong: string[];
}

interface Written {
  readonly tying: TyingRecord;
  readonly care: CareRecord;
  readonly imported: string;
}

/**
 * Kills application and database at random, as a power cut would, while writers add, change and import, each sending again
 * until it is told that it is kept; then holds what is on record against what was acknowledged.
 */
export async function killAtRandom({ application, database, say = () => undefined }: Killing): Promise<Killed> {
  const cluster = await startCrashingCluster();
  let web: WebServer | undefined;
  try {
    await createDatabase(cluster.of('postgres').owner, 'killed');
    await prepareStudio(cluster.of('killed'));
    const { app: url } = cluster.of('killed');
    const port = await freePort();
    const serve = () => startWebServer(port, url, 'silent');
    web = await serve();
    const wrong: string[] = [];
    const of = (await (await fetch(`${web.address}/api/wardrobe`)).json()) as Wardrobe;
    let isGoing = true;
    let kept = 0;
    const onKept = () => {
      kept += 1;
    };
    const written = Array.from({ length: writers }, (): Written[] => []);
    const writing = written.map((own) => write(port, of, { written: own, goOn: () => isGoing, onKept, wrong }));
    let isGivenUp = false;
    Promise.all(writing).catch(() => {
      isGivenUp = true;
    });
    const rounds = shuffled(application, database);
    let selfExits = 0;
    for (const [i, what] of rounds.entries()) {
      // However fast the machine is: each kill falls among writes that are under way again.
      const enough = kept + 1 + Math.random() * mostBetween;
      while (kept < enough && !isGivenUp) await pause(10);
      await pause(Math.random() * 100);
      if (what === 'application') {
        await web.kill();
        web = await serve();
      } else {
        await cluster.crash();
        await pause(Math.random() * 200);
        await cluster.comeBack();
        const hasEnded = await Promise.race([web.ended.then(() => true), pause(250).then(() => false)]);
        if (hasEnded) {
          selfExits += 1;
          web = await serve();
        }
      }
      if ((i + 1) % 20 === 0) say(`${i + 1} of ${rounds.length} killed, ${written.flat().length * 4} writes acknowledged`);
    }
    await pause(300);
    isGoing = false;
    const again = (await Promise.all(writing)).reduce((sum, times) => sum + times, 0);
    return { ...(await heldAgainst(url, written.flat())), again, selfExits, wrong };
  } finally {
    await web?.kill();
    await cluster.stop();
  }
}

function shuffled(application: number, database: number): ('application' | 'database')[] {
  const all = Array.from({ length: application + database }, (_, i) =>
    i < application ? ('application' as const) : ('database' as const),
  );
  return all
    .map((what) => ({ what, at: Math.random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ what }) => what);
}

/** Adds, changes and imports, one after the other, until told to stop; answers how often something had to be sent again. */
async function write(port: number, of: Wardrobe, { written, goOn, onKept, wrong }: Writing): Promise<number> {
  let again = 0;
  const keep = async (path: string, sent: RequestInit, isKept: (status: number, answer: unknown) => boolean) => {
    for (let tries = 0; ; tries++) {
      const answer = await fetch(`http://127.0.0.1:${port}${path}`, { ...sent, signal: AbortSignal.timeout(patienceMs) }).catch(
        (error: unknown) => {
          if (error instanceof DOMException && error.name === 'TimeoutError') wrong.push(`${path}: never answered`);
        },
      );
      const body: unknown = await answer?.json().catch(() => undefined);
      if (answer && body !== undefined && isKept(answer.status, body)) {
        again += tries;
        onKept();
        return;
      }
      if (answer && body !== undefined && answer.status !== 503) {
        wrong.push(`${path}: ${answer.status} ${JSON.stringify(body).slice(0, 200)}`);
        if (wrong.length > 20) throw new Error(`Too much is wrong:\n${wrong.join('\n')}`);
      }
      await pause(100);
    }
  };
  const json = (method: string, body: unknown): RequestInit => ({
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  while (goOn()) {
    const tieId = of.ties[written.length % of.ties.length]?.id ?? '';
    const kept = { version: 0, archived: false, tieId };
    const tying: TyingRecord = {
      ...kinds.tyings.fresh,
      ...{ ...kept, id: randomUUID(), label: mark, knot: 'Li Ro Li Co T', doneOn: '2026-11-20' },
      ...{ clientId: of.client?.id ?? null, tipOffMm: 10, setMm: 400, figures: { takeUpMm: 187, setMm: 400 } },
    };
    const care: CareRecord = { ...kinds.cares.fresh, ...kept, id: randomUUID(), label: mark, what: 'worn', fromOn: '2026-11-20' };
    await keep('/api/tyings', json('POST', tying), (status) => status === 201);
    await keep('/api/cares', json('POST', care), (status) => status === 201);
    const note = `corrected ${written.length}`;
    await keep(`/api/tyings/${tying.id}`, json('PUT', { ...tying, version: 1, note }), (status) => status === 200);
    // Without an identifier in the file, only its key keeps an import from being made twice.
    const imported = `${mark} ${randomUUID()}`;
    const file = { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: `label\n${imported}\n` };
    await keep(`/api/import/squares.csv?apply=true&key=${randomUUID()}`, file, (status, answer) => status === 200 && isApplied(answer));
    written.push({ tying: { ...tying, note }, care, imported });
  }
  return again;
}

function isApplied(answer: unknown): boolean {
  return typeof answer === 'object' && answer !== null && 'applied' in answer && answer.applied === true;
}

async function heldAgainst(url: string, written: readonly Written[]): Promise<Pick<Killed, 'acknowledged' | 'lost' | 'half' | 'doubled'>> {
  const sql = openDatabase(url, { max: 1 });
  try {
    const tyings = await sql<{ id: string; version: number; note: string }[]>`select id, version, note from tyings where label = ${mark}`;
    const cares = await sql<{ id: string }[]>`select id from cares where label = ${mark}`;
    const squares = await sql<{ label: string; times: number }[]>`
      select label, count(*)::int as times from squares where label like ${`${mark}%`} group by label`;
    const half = await sql`
      select tyings.id from tyings where label = ${mark} and version > 1
        and not exists (select 1 from tying_history where tying_id = tyings.id and version = tyings.version - 1)`;
    const [byId, worn, times] = [
      new Map(tyings.map((row) => [row.id, row])),
      new Set(cares.map(({ id }) => id)),
      new Map(squares.map((row) => [row.label, row.times])),
    ];
    let lost = 0;
    for (const { tying, care, imported } of written) {
      lost += byId.get(tying.id)?.note === tying.note ? 0 : 1;
      lost += worn.has(care.id) ? 0 : 1;
      lost += times.has(imported) ? 0 : 1;
    }
    const doubled = tyings.filter(({ version }) => version > 2).length + squares.filter((row) => row.times > 1).length;
    return { acknowledged: written.length * 4, lost, half: half.length, doubled };
  } finally {
    await sql.end();
  }
}
