import assert from 'node:assert/strict';
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { loadDemo } from '../../db/demo/load.ts';
import { root } from '../../scripts/machine/paths.ts';
import { plan } from '../../src/core/index.ts';
import { measures } from '../../src/core/measures/measures.ts';
import { fabricCodes } from '../../src/core/tie/fabrics.ts';
import { patternCodes } from '../../src/core/tie/patterns.ts';
import { brokenConstraint, openDatabase, type Sql } from '../../src/server/database.ts';
import { migrate } from '../../src/server/migrate.ts';
import { wardrobe } from '../../src/server/wardrobe.ts';
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
  const tables = { client: 'clients', shirt: 'shirts', jacket: 'jackets', tie: 'ties' } as const;
  for (const [group, table] of Object.entries(tables) as [keyof typeof tables, string][]) {
    for (const [key, { minMm, maxMm }] of Object.entries(measures[group])) {
      const column = key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
      for (const outside of [minMm - 0.5, maxMm + 0.5]) {
        await rejected(sql`update ${sql(table)} set ${sql(column)} = ${outside}`);
      }
      // The ends of the range are refused by no range of their own, only where they contradict another measure.
      for (const end of [minMm, maxMm]) {
        await sql`update ${sql(table)} set ${sql(column)} = ${end}`
          .then(() => undefined)
          .catch((error: unknown) => assert.ok(!brokenConstraint(error)?.includes(column), `${table}.${column} refuses ${end}`));
      }
    }
  }
});

test('cloths and patterns are those of the core', async () => {
  for (const fabric of fabricCodes) await sql`update ties set fabric = ${fabric}`;
  for (const pattern of patternCodes) await sql`update ties set pattern = ${pattern}`;
  await rejected(sql`update ties set fabric = 'tin'`);
  await rejected(sql`update ties set pattern = 'loud'`);
});

test('colours, buttons, words and owners are held too', async () => {
  await rejected(sql`update ties set colours = ${['red']}`);
  await rejected(sql`update ties set colours = ${[]}`);
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
    const kept = await wardrobe(own);
    assert.ok(kept.clients.length >= 8 && kept.shirts.length >= 10 && kept.jackets.length >= 8 && kept.ties.length >= 14);
    const heights = kept.clients.map(({ heightMm }) => heightMm);
    assert.ok(Math.max(...heights) - Math.min(...heights) > 500);
    const { count } = (await own`select count(*)::int as count from fittings`)[0] as { count: number };
    assert.ok(count >= 5);
    const planFor = (name: string) => {
      const client = kept.clients.find((each) => each.name === name)!;
      const ownOf = <T extends { clientId: string | null }>(all: readonly T[]) => all.find(({ clientId }) => clientId === client.id)!;
      return plan({ client, shirt: ownOf(kept.shirts), jacket: ownOf(kept.jackets), tie: ownOf(kept.ties), taste: { knots: 'all' } }).knots;
    };
    assert.ok(planFor('Pell Ambry').every(({ tailFault }) => tailFault.kind === 'peeps-out'));
    assert.ok(planFor('Osric Hallowtide').some(({ tailFault }) => tailFault.kind === 'too-short'));
  } finally {
    await own.end();
    await fresh.drop();
  }
});
