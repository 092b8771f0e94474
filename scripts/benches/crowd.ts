import { readFileSync } from 'node:fs';
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

/** What a page shows of a fitting, as one would write it by hand. */
const shown = (sql: Sql) => sql`id, client_name, shirt_label, jacket_label, tie_label, cloth, knot, note, created_at, answer, request`;

async function againstBare(webs: readonly WebServer[], sql: Sql): Promise<void> {
  const [client] = await sql<{ id: string }[]>`select id from clients where name like 'Guest %' order by id limit 1`;
  const [fitting] = await sql<{ id: string }[]>`select id from fittings order by created_at desc, id limit 1`;
  let turn = 0;
  const ask = async (path: string) => {
    const web = webs[turn++ % webs.length] as WebServer;
    const answer = await fetch(web.address + path);
    await answer.arrayBuffer();
    if (answer.status !== 200) throw new Error(`${path}: ${answer.status}`);
  };
  const [{ id: studio = '' } = {}] = await sql<{ id: string }[]>`select id from studios`;
  const total = (from: ReturnType<Sql>) => sql`select count(*) from ${from}`;
  const cases: readonly (readonly [what: string, path: string, bare: () => Promise<unknown>])[] = [
    [
      'clients',
      '/api/clients',
      () =>
        Promise.all([
          sql`select * from clients where not archived order by lower(name), id limit 50`,
          total(sql`clients where not archived`),
        ]),
    ],
    [
      'clients, found',
      '/api/clients?find=table+7',
      () =>
        Promise.all([
          sql`select * from clients where search like all (${['%table%', '%7%']}) and not archived order by lower(name), id limit 50`,
          total(sql`clients where search like all (${['%table%', '%7%']}) and not archived`),
        ]),
    ],
    [
      'ties',
      '/api/ties',
      () =>
        Promise.all([
          sql`select ties.*, worn.* from (select * from ties where not archived order by lower(label), id limit 50) as ties
          left join lateral (select count(distinct day) filter (where worn), max(day) from tie_days where tie_days.studio_id = ties.studio_id and tie_id = ties.id) as worn on true`,
          total(sql`ties where not archived`),
        ]),
    ],
    [
      'fittings',
      '/api/fittings',
      () =>
        Promise.all([
          sql`select ${shown(sql)} from fittings where studio_id = ${studio} order by created_at desc, id limit 50`,
          total(sql`fittings where studio_id = ${studio}`),
        ]),
    ],
    [
      'fittings, found',
      '/api/fittings?find=evening+777',
      () =>
        Promise.all([
          sql`select ${shown(sql)} from fittings where search like all (${['%evening%', '%777%']}) order by created_at desc, id limit 50`,
          total(sql`fittings where search like all (${['%evening%', '%777%']})`),
        ]),
    ],
    [
      'fittings of a client',
      `/api/fittings?client=${client?.id}`,
      () => sql`select ${shown(sql)} from fittings where client_id = ${client?.id ?? null} order by created_at desc, id limit 50`,
    ],
    [
      'fittings by tie',
      '/api/fittings?by=tie',
      () =>
        Promise.all([
          sql`select ${shown(sql)} from fittings join (select id as of from fittings where studio_id = ${studio} order by lower(tie_label), created_at desc, id limit 50) as first on id = of`,
          total(sql`fittings where studio_id = ${studio}`),
        ]),
    ],
    ['one fitting', `/api/fittings/${fitting?.id}`, () => sql`select * from fittings where id = ${fitting?.id ?? null}`],
    [
      'page: fit book',
      '/fittings',
      () =>
        Promise.all([
          sql`select ${shown(sql)} from fittings where studio_id = ${studio} order by created_at desc, id limit 50`,
          total(sql`fittings where studio_id = ${studio}`),
        ]),
    ],
    [
      'page: clients',
      '/clients',
      () =>
        Promise.all([
          sql`select * from clients where not archived order by lower(name), id limit 50`,
          total(sql`clients where not archived`),
        ]),
    ],
  ];
  const bench = new Bench({ time: 1500, warmupTime: 500 });
  for (const [what, path, bare] of cases) bench.add(`${what}, bare`, async () => void (await bare())).add(what, () => ask(path));
  await bench.run();
  const took = bench.tasks.map(median);
  report(
    cases.flatMap(([what], i) => {
      const [bare = 0, asked = 0] = [took[2 * i], took[2 * i + 1]];
      return [[what, `${asked.toFixed(1)} ms`, `${(asked / bare).toFixed(1)} × bare SQL (${bare.toFixed(1)} ms)`]];
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
