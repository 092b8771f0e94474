import assert from 'node:assert/strict';
import { copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { root } from '../../scripts/machine/paths.ts';
import { planClient } from '../../src/contract/records/asWorn.ts';
import { checkRecord } from '../../src/contract/records/checkRecord.ts';
import { kindCodes } from '../../src/contract/records/kindWords.ts';
import { openDatabase, type Sql } from '../../src/server/database.ts';
import { migrate } from '../../src/server/migrate.ts';
import { everyRecord } from '../../src/server/records.ts';
import { theStudio } from '../../src/server/studios.ts';
import { emptyDatabase } from '../support/app.ts';

const migrations = join(root, 'db', 'migrations');
const studio = '7b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11';
let database: Awaited<ReturnType<typeof emptyDatabase>>;
let sql: Sql;
before(async () => {
  database = await emptyDatabase();
  sql = openDatabase(database.url, { max: 2 });
});
after(async () => {
  await sql.end();
  await database.drop();
});

test('a studio that was kept before records had a history keeps all it had', async () => {
  const first = mkdtempSync(join(tmpdir(), 'ropewalk-first-'));
  try {
    const [name = ''] = readdirSync(migrations).sort();
    copyFileSync(join(migrations, name), join(first, name));
    assert.deepEqual(await migrate(database.url, first), [name]);
  } finally {
    rmSync(first, { recursive: true });
  }
  await sql`insert into studios (id, name) values (${studio}, 'Old studio')`;
  await sql`
    insert into clients (id, studio_id, name, height_mm, neck_mm, front_drop_mm, created_at) values
      (gen_random_uuid(), ${studio}, 'Measured', 1780, 395, 455, '2026-03-01T10:00:00Z'),
      (gen_random_uuid(), ${studio}, 'Not measured', 1830, 370, null, '2026-04-01T10:00:00Z')`;
  await sql`
    insert into ties (id, studio_id, label, length_mm, blade_mm, neck_mm, neck_at_mm, tail_mm, thickness_mm, keeper_mm, fabric, pattern, colours)
    values (gen_random_uuid(), ${studio}, 'Knit', 1450, 60, 40, 800, 50, 3, 200, 'knit', 'solid', array['#9a4a2c'])`;

  assert.ok((await migrate(database.url, migrations)).length > 0);
  const [measured, not] = await everyRecord(sql, studio, 'clients');
  const { heightMm, neckMm, frontDropMm, frontDropHow } = planClient(measured!);
  assert.deepEqual([heightMm, neckMm, frontDropMm, frontDropHow], [1780, 395, 455, 'tape']);
  assert.deepEqual([...new Set(measured!.measures.map(({ takenOn }) => takenOn))], ['2026-03-01'], 'taken when the client was added');
  assert.equal(planClient(not!).frontDropMm, null);
  const [tie] = await everyRecord(sql, studio, 'ties');
  assert.deepEqual([tie!.ends, tie!.version, tie!.profile, tie!.shares], ['square', 1, [], null]);
  assert.deepEqual(await migrate(database.url, migrations), []);
});

test('from every earlier version, with what was kept in it, all is there and sound in the latest', async () => {
  const earlier = join(root, 'tests', 'support', 'earlier');
  const steps = readdirSync(migrations).sort();
  const all = readdirSync(earlier).sort();
  assert.ok(all.length > 5);
  for (const [last] of steps.slice(0, -1).entries()) {
    const own = await emptyDatabase();
    const folder = mkdtempSync(join(tmpdir(), 'ropewalk-earlier-'));
    const kept = openDatabase(own.url, { max: 1 });
    try {
      for (const step of steps.slice(0, last + 1)) {
        copyFileSync(join(migrations, step), join(folder, step));
        await migrate(own.url, folder);
        const fixture = join(earlier, `${step.slice(0, 3)}.sql`);
        if (existsSync(fixture)) await kept.unsafe(readFileSync(fixture, 'utf8'));
      }
      const inserted = all.filter((name) => name.slice(0, 3) <= (steps[last] ?? '').slice(0, 3));
      const rows = inserted.flatMap((name) =>
        [...readFileSync(join(earlier, name), 'utf8').matchAll(/^insert into (\w+)/gm)].map(([, table]) => table),
      );
      await migrate(own.url, migrations);
      const { id } = await theStudio(kept);
      for (const kind of kindCodes) {
        const records = await everyRecord(kept, id, kind);
        assert.equal(records.length, rows.filter((table) => table === kind).length, `${kind} from ${steps[last]}`);
        for (const record of records) assert.deepEqual(checkRecord(kind, record, 'cm').faults, undefined, `${kind} from ${steps[last]}`);
      }
    } finally {
      await kept.end();
      rmSync(folder, { recursive: true });
      await own.drop();
    }
  }
});
