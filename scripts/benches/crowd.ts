import { readFileSync } from 'node:fs';
import type postgres from 'postgres';
import { Bench } from 'tinybench';
import { openDatabase, type Sql } from '../../src/server/database.ts';
import { buildIfNeeded } from '../machine/build.ts';
import { freePort } from '../machine/ports.ts';
import { startPassingCluster } from '../machine/postgres/passing.ts';
import { startReplica } from '../machine/postgres/replica.ts';
import { createDatabase, prepareStudio } from '../machine/studio.ts';
import { startWebServer, type WebServer } from '../machine/webServer.ts';
import { fillStudio } from './crowdedStudio.ts';
import { median, report } from './report.ts';

const fittings = 100_000;
const processes = 3;
/** So many ask at the same time, each the next as soon as the last is answered. */
const askers = 12;
const askingMs = 6000;
/** A process that runs for weeks has every path compiled: as often each is asked before it is measured. */
const warmingTimes = 80;

/** Three processes on one PostgreSQL and a replica of it, with 5,000 clients and 100,000 fittings: lists, searches and pages against their bare SQL. */
export async function benchCrowd(): Promise<void> {
  buildIfNeeded();
  const cluster = await startPassingCluster();
  const stops: (() => Promise<void>)[] = [() => cluster.stop()];
  try {
    const addresses = cluster.of('crowd');
    await createDatabase(cluster.of('postgres').owner, 'crowd');
    await prepareStudio(addresses);
    const owner = openDatabase(addresses.owner, { max: 2 });
    stops.unshift(() => owner.end());
    await fillStudio(owner);
    await fillFittings(owner);
    const replica = await startReplica(cluster);
    stops.unshift(() => replica.stop());
    const bare = openDatabase(replica.urlOf(addresses.app), { max: 4 });
    stops.unshift(() => bare.end());
    process.env['DATABASE_READ_URL'] = replica.urlOf(addresses.app);
    const webs = await Promise.all(
      Array.from({ length: processes }, async () => startWebServer(await freePort(), addresses.app, 'silent')),
    );
    delete process.env['DATABASE_READ_URL'];
    stops.unshift(async () => void (await Promise.all(webs.map((web) => web.stop()))));
    await againstBare(webs, bare);
    await together(webs);
  } finally {
    for (const stop of stops) await stop();
  }
}

/** In portions: no statement may take longer than the application’s own. */
const portion = 10_000;

async function fillFittings(sql: Sql): Promise<void> {
  const [{ models = 0, wearers = 0 } = {}] = await sql<{ models: number; wearers: number }[]>`
    select (select count(*)::int from fittings) as models, (select count(*)::int from clients) as wearers`;
  for (let from = 1; from <= fittings; from += portion) {
    await sql`
      insert into fittings (id, studio_id, client_id, client_name, shirt_label, jacket_label, tie_label, cloth, request, knot, answer,
        answer_version, note, attempts, created_at)
      select gen_random_uuid(), f.studio_id, c.id, c.name, f.shirt_label, f.jacket_label, f.tie_label, f.cloth, f.request, f.knot, f.answer,
        f.answer_version, 'Evening ' || n, f.attempts, now() - n * interval '7 minutes'
      from generate_series(${from}::int, ${from + portion - 1}::int) as n
      join (select *, row_number() over (order by id) - 1 as at from fittings where note not like 'Evening %') as f on f.at = n % ${models}::int
      join (select id, name, row_number() over (order by id) - 1 as at from clients) as c on c.at = n % ${wearers}::int`;
  }
  await sql`vacuum analyze`;
}

type Piece = postgres.PendingQuery<postgres.Row[]>;

/** What each list shows, as one would write it by hand; each with how many there are. */
function byHand(sql: Sql, studio: string) {
  const counted = (rows: Piece, all: Piece) => () => Promise.all([sql`${rows}`, sql`select count(*) from ${all}`]);
  const clients = (which: Piece) =>
    counted(
      sql`select c.*, (select json_agg(m) from client_measures as m where m.studio_id = c.studio_id and m.client_id = c.id)
        from (select * from clients where studio_id = ${studio} ${which} and not archived order by lower(name), id limit 50) as c`,
      sql`clients where studio_id = ${studio} ${which} and not archived`,
    );
  const fittings = (which: Piece, order: Piece = sql`created_at desc, id`) =>
    counted(
      sql`select f.*, t.tip_off_mm, t.findings from (
          select id, client_name, shirt_label, jacket_label, tie_label, cloth, knot, note, created_at, title, answer->'start'->'set'
          from fittings where studio_id = ${studio} ${which} order by ${order} limit 50
        ) as f left join tyings as t on t.studio_id = ${studio} and t.id = f.id`,
      sql`fittings where studio_id = ${studio} ${which}`,
    );
  const ties = counted(
    sql`select t.*, worn.* from (select * from ties where studio_id = ${studio} and not archived order by lower(label), id limit 50) as t
      left join lateral (
        select count(distinct day) filter (where worn), max(day) from tie_days where tie_days.studio_id = ${studio} and tie_id = t.id
      ) as worn on true`,
    sql`ties where studio_id = ${studio} and not archived`,
  );
  return { clients, fittings, ties };
}

async function againstBare(webs: readonly WebServer[], sql: Sql): Promise<void> {
  const [{ id: studio = '' } = {}] = await sql<{ id: string }[]>`select id from studios`;
  const [{ id: client = '' } = {}] = await sql<{ id: string }[]>`select id from clients where name like 'Guest %' order by id limit 1`;
  const [{ id: fitting = '' } = {}] = await sql<{ id: string }[]>`select id from fittings order by created_at desc, id limit 1`;
  let turn = 0;
  const ask = async (path: string) => {
    const web = webs[turn++ % webs.length] as WebServer;
    const answer = await fetch(web.address + path);
    await answer.arrayBuffer();
    if (answer.status !== 200) throw new Error(`${path}: ${answer.status}`);
  };
  const { clients, fittings, ties } = byHand(sql, studio);
  const has = (...words: readonly string[]) => sql`and search like all (${words.map((word) => `%${word}%`)})`;
  const cases: readonly (readonly [what: string, path: string, bare: () => Promise<unknown>])[] = [
    ['the studio alone', '/api/studio', () => sql`select * from studios`],
    ['clients', '/api/clients', clients(sql``)],
    ['clients, found', '/api/clients?find=table+7', clients(has('table', '7'))],
    ['ties', '/api/ties', ties],
    ['fittings', '/api/fittings', fittings(sql``)],
    ['fittings, found', '/api/fittings?find=evening+777', fittings(has('evening', '777'))],
    ['fittings of a client', `/api/fittings?client=${client}`, fittings(sql`and client_id = ${client}`)],
    ['fittings by tie', '/api/fittings?by=tie&down=false', fittings(sql``, sql`lower(tie_label), created_at desc, id`)],
    ['one fitting', `/api/fittings/${fitting}`, () => sql`select * from fittings where studio_id = ${studio} and id = ${fitting}`],
    ['page: fit book', '/fittings', fittings(sql``)],
    ['page: clients', '/clients', clients(sql``)],
  ];
  for (let i = 0; i < warmingTimes * webs.length; i++) for (const [, path] of cases) await ask(path);
  const bench = new Bench({ time: 1500, warmupTime: 500 });
  for (const [what, path, bare] of cases) bench.add(`${what}, bare`, async () => void (await bare())).add(what, () => ask(path));
  await bench.run();
  const took = bench.tasks.map(median);
  report(
    cases.flatMap(([what], i) => {
      const [bare = 0, asked = 0] = [took[2 * i], took[2 * i + 1]];
      const ratio = `${(asked / bare).toFixed(1)} × bare SQL (${bare.toFixed(1)} ms)`;
      // Where the statement is short what any request costs is most of it: that is told in milliseconds.
      return [[what, `${asked.toFixed(1)} ms`, `${ratio}, ${(asked - bare).toFixed(1)} ms more`]];
    }),
  );
}

/** How many are answered by one process and by all of them, and what a process then holds. */
async function together(webs: readonly WebServer[]): Promise<void> {
  const paths = ['/api/clients?find=table+7', '/api/fittings', '/api/ties', '/fittings', '/api/wardrobe'];
  const answeredBy = async (some: readonly WebServer[]) => {
    const until = performance.now() + askingMs;
    let answered = 0;
    await Promise.all(
      Array.from({ length: askers }, async (_, asker) => {
        for (let i = asker; performance.now() < until; i++) {
          const answer = await fetch((some[i % some.length] as WebServer).address + paths[i % paths.length]);
          await answer.arrayBuffer();
          if (answer.status !== 200) throw new Error(`${paths[i % paths.length]}: ${answer.status}`);
          answered++;
        }
      }),
    );
    return (answered / askingMs) * 1000;
  };
  const one = await answeredBy(webs.slice(0, 1));
  const all = await answeredBy(webs);
  report([
    [`${askers} at once, one process`, `${one.toFixed(0)} a second`, ''],
    [`${askers} at once, ${webs.length} processes`, `${all.toFixed(0)} a second`, `${(all / one).toFixed(1)} × one`],
    ...webs.map(({ pid }, i): readonly [string, string, string] => [`memory of process ${i + 1}`, `${residentMb(pid).toFixed(0)} MB`, '']),
  ]);
}

function residentMb(pid: number): number {
  const [, kb = 0] = /^VmRSS:\s+(\d+) kB$/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
  return Number(kb) / 1024;
}
