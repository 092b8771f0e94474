import assert from 'node:assert/strict';
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { loadDemo } from '../../db/demo/load.ts';
import { root } from '../../scripts/machine/paths.ts';
import { planClient, planShirt } from '../../src/contract/records/asWorn.ts';
import { fieldsOf } from '../../src/contract/records/kinds/index.ts';
import { kindCodes } from '../../src/contract/records/kindWords.ts';
import { plan } from '../../src/core/index.ts';
import { measures } from '../../src/core/measures/measures.ts';
import { fabricCodes } from '../../src/core/tie/fabrics.ts';
import { patternCodes } from '../../src/core/tie/patterns.ts';
import { brokenConstraint, openDatabase, type Sql } from '../../src/server/database.ts';
import { migrate } from '../../src/server/migrate.ts';
import { everyRecord } from '../../src/server/records.ts';
import { theStudio } from '../../src/server/studios.ts';
import { emptyDatabase } from '../support/app.ts';

const migrations = join(root, 'db', 'migrations');
let database: Awaited<ReturnType<typeof emptyDatabase>>;
let sql: Sql;
before(async () => {
  database = await emptyDatabase();
  await migrate(database.url, migrations);
  sql = openDatabase(database.url, { max: 2 });
  await loadDemo(sql);
});
after(async () => {
  await sql.end();
  await database.drop();
});

const rejected = (statement: Promise<unknown>) =>
  assert.rejects(statement, (error: unknown) => brokenConstraint(error) !== undefined || /violates check/.test(String(error)));

test('starting again applies nothing, and loads the demo only into an empty studio', async () => {
  assert.deepEqual(await migrate(database.url, migrations), []);
  assert.equal(await loadDemo(sql), false);
});

test('a migration that fails half-way leaves nothing behind', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'ropewalk-migrations-'));
  try {
    cpSync(migrations, folder, { recursive: true });
    writeFileSync(join(folder, '999.do.broken.sql'), 'create table half_done (id int); select no_such_function();');
    await assert.rejects(migrate(database.url, folder), /no_such_function/);
    const [found] = await sql`select to_regclass('half_done') as half_done`;
    assert.equal(found?.['halfDone'], null);
    assert.deepEqual(await migrate(database.url, migrations), []);
  } finally {
    rmSync(folder, { recursive: true });
  }
});

test('the database holds every length to the range the forms do', async () => {
  const taken = ['heightMm', 'neckMm', 'frontDropMm'];
  const tables = { client: 'clients', shirt: 'shirts', jacket: 'jackets', tie: 'ties' } as const;
  for (const [group, name] of Object.entries(tables) as [keyof typeof tables, string][]) {
    for (const [key, { minMm, maxMm }] of Object.entries(measures[group])) {
      // The loops belong to a question, and are not kept with a client yet.
      if (/LoopMm$/.test(key)) continue;
      const isTaken = group === 'client' && taken.includes(key);
      const column = isTaken ? 'mm' : key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
      const set = (mm: number) =>
        isTaken ? sql`update client_measures set mm = ${mm} where measure = ${key}` : sql`update ${sql(name)} set ${sql(column)} = ${mm}`;
      for (const outside of [minMm - 0.5, maxMm + 0.5]) await rejected(set(outside));
      // The ends of the range are refused by no range of their own, only where they contradict another measure.
      for (const end of [minMm, maxMm]) {
        await set(end)
          .then(() => undefined)
          .catch((error: unknown) => {
            const broken = brokenConstraint(error) ?? '';
            assert.ok(!broken.includes(column) && broken !== 'measure_in_range', `${name}.${column} refuses ${end}`);
          });
      }
    }
  }
});

test('every choice a form offers can be kept, and no other', async () => {
  for (const kind of kindCodes) {
    for (const [key, field] of fieldsOf(kind)) {
      if (field.kind !== 'choice') continue;
      const column = key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
      for (const code of Object.keys(field.choices)) await sql`update ${sql(kind as string)} set ${sql(column)} = ${code}`;
      await rejected(sql`update ${sql(kind as string)} set ${sql(column)} = 'another'`);
    }
  }
  await rejected(sql`update clients set cautions = ${['dragons']}`);
});

test('cloths and patterns are those of the core', async () => {
  for (const fabric of fabricCodes) await sql`update ties set fabric = ${fabric}`;
  for (const pattern of patternCodes) await sql`update ties set pattern = ${pattern}`;
  await rejected(sql`update ties set fabric = 'tin'`);
  await rejected(sql`update ties set pattern = 'loud'`);
});

test('colours, buttons, words and owners are held too', async () => {
  await rejected(sql`update ties set colours = ${['red']}`);
  await sql`update ties set colours = ${[]}, shares = null`;
  await sql`update shirts set colour = null`;
  await rejected(sql`update shirts set buttons_mm = ${[5, 100]}`);
  await rejected(sql`update shirts set colour = 'white'`);
  await rejected(sql`update clients set name = '  '`);
  await rejected(sql`update clients set blade = 'both'`);
  await rejected(sql`delete from clients`);
  await rejected(sql`update fittings set knot = 'Granny'`);
});

test('the demo studio is as varied as it should be, with its hard cases', async () => {
  const fresh = await emptyDatabase();
  await migrate(fresh.url, migrations);
  const own = openDatabase(fresh.url, { max: 1 });
  try {
    await loadDemo(own);
    const { id } = await theStudio(own);
    const [clients, shirts, jackets, ties] = await Promise.all([
      everyRecord(own, id, 'clients'),
      everyRecord(own, id, 'shirts'),
      everyRecord(own, id, 'jackets'),
      everyRecord(own, id, 'ties'),
    ]);
    assert.ok(clients.length >= 8 && shirts.length >= 10 && jackets.length >= 8 && ties.length >= 14);
    const heights = clients.map((client) => planClient(client).heightMm ?? 0);
    assert.ok(Math.max(...heights) - Math.min(...heights) > 500);
    const { count } = (await own`select count(*)::int as count from fittings`)[0] as { count: number };
    assert.ok(count >= 5);
    const planFor = (name: string) => {
      const client = clients.find((each) => each.name === name)!;
      const { heightMm, neckMm, ...known } = planClient(client);
      const ownOf = <T extends { clientId: string | null }>(all: readonly T[]) => all.find(({ clientId }) => clientId === client.id)!;
      return plan({
        client: { ...known, heightMm: heightMm!, neckMm: neckMm! },
        shirt: planShirt(ownOf(shirts)),
        jacket: { ...ownOf(jackets), worn: 'open' },
        tie: ownOf(ties),
        search: { knots: 'all' },
      }).knots;
    };
    assert.ok(planFor('Pell Ambry').every(({ refusal }) => refusal?.code === 'tail-below-blade'));
    assert.ok(planFor('Osric Hallowtide').some(({ refusal }) => refusal?.code === 'tail-too-short'));
  } finally {
    await own.end();
    await fresh.drop();
  }
});
