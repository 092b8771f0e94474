import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import { dayIn } from '../../src/contract/days.ts';
import type { Fitting } from '../../src/contract/fitting.ts';
import { personCookie } from '../../src/contract/preferences.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { Page, PersonRecord, StudioSeen } from '../../src/contract/records/records.ts';
import { type App, startApp } from '../support/app.ts';
import { question } from '../support/ties.ts';

let app: App;
let marit: PersonRecord;
before(async () => {
  app = await startApp();
  const people = (await (await fetch(`${app.address}/api/people?find=marit`)).json()) as Page<PersonRecord>;
  marit = people.rows[0]!;
});
after(() => app.stop());

const as = (id: string) => ({ cookie: `${personCookie}=${id}` });
const send = (path: string, method: string, body: unknown, headers: Record<string, string> = {}) =>
  fetch(app.address + path, { method, headers: { 'content-type': 'application/json', ...headers }, body: JSON.stringify(body) });
const studio = async (headers: Record<string, string> = {}) =>
  (await (await fetch(`${app.address}/api/studio`, { headers })).json()) as StudioSeen;
const draft = () => ({
  id: randomUUID(),
  clientName: 'Walk-in',
  shirtLabel: 'White',
  tieLabel: 'Red',
  cloth: { tie: [], shirt: null, jacket: null },
  question,
  knot: 'Li Ro Li Co T',
});

/** The columns of a table that can be copied, without some, as SQL lists them. */
async function columnsOf(table: string, without: readonly string[]): Promise<string> {
  const rows = await app.sql<{ columnName: string }[]>`
    select column_name from information_schema.columns where table_name = ${table} and is_generated = 'NEVER'`;
  return rows.flatMap(({ columnName }) => (without.includes(columnName) ? [] : `"${columnName}"`)).join(', ');
}

test('who is dressing is who was chosen on the device, and nobody where nobody was or who was is gone', async () => {
  assert.equal((await studio()).person, null);
  assert.equal((await studio(as(marit.id))).person?.name, marit.name);
  for (const id of [randomUUID(), 'nonsense', "'; drop table people"])
    assert.equal((await studio(as(encodeURIComponent(id)))).person, null, id);
});

test('a fitting keeps who was dressing, under the name they had then', async () => {
  const saved = (await (await send('/api/fittings', 'POST', draft(), as(marit.id))).json()) as Fitting;
  assert.deepEqual([saved.personId, saved.personName], [marit.id, marit.name]);
  const now = (await (await fetch(`${app.address}/api/people/${marit.id}`)).json()) as PersonRecord;
  const renamed = await send(`/api/people/${marit.id}`, 'PUT', { ...now, name: 'Marit the elder' });
  assert.equal(renamed.status, 200);
  const kept = (await (await fetch(`${app.address}/api/fittings/${saved.id}`)).json()) as Fitting;
  assert.equal(kept.personName, marit.name);
  const nobody = (await (await send('/api/fittings', 'POST', draft())).json()) as Fitting;
  assert.deepEqual([nobody.personId, nobody.personName], [null, null]);
});

test('a person who is archived is nobody’s choice any more, and still named in what they dressed', async () => {
  const id = randomUUID();
  const person = { ...kinds.people.fresh, id, name: 'Passing Hand', version: 0, archived: false };
  assert.equal((await send('/api/people', 'POST', person)).status, 201);
  assert.equal((await studio(as(id))).person?.name, 'Passing Hand');
  assert.equal((await send(`/api/people/${id}`, 'PUT', { ...person, version: 1, archived: true })).status, 200);
  assert.equal((await studio(as(id))).person, null);
});

test('nothing of one studio can point into another, whatever is sent', async () => {
  const other = randomUUID();
  const theirs = randomUUID();
  await app.sql`insert into studios (id, name, created_at) values (${other}, 'Another studio', now() + interval '1 day')`;
  const columns = await columnsOf('clients', ['id', 'studio_id']);
  await app.sql.unsafe(`insert into clients (id, studio_id, ${columns}) select $1, $2, ${columns} from clients limit 1`, [theirs, other]);
  const tie = { ...kinds.ties.fresh, id: randomUUID(), label: 'Stray', version: 0, archived: false, clientId: theirs };
  const added = await send('/api/ties', 'POST', tie);
  assert.equal(added.status, 400);
  assert.equal(((await added.json()) as { error: { fields: { path: string }[] } }).error.fields[0]?.path, 'clientId');
  assert.equal((await send('/api/fittings', 'POST', { ...draft(), clientId: theirs })).status, 400);
  assert.equal((await fetch(`${app.address}/api/clients/${theirs}`)).status, 404, 'nor is it seen');
  await assert.rejects(Promise.resolve(app.sql`update ties set client_id = ${theirs}`), /foreign key/, 'nor does the database hold it');
});

test('the same id in two studios is two records', async () => {
  const [tie] = await app.sql<{ id: string }[]>`select id from ties limit 1`;
  const [other] = await app.sql<{ id: string }[]>`select id from studios order by created_at desc limit 1`;
  const columns = await columnsOf('ties', ['studio_id', 'client_id', 'out_with', 'label']);
  await app.sql.unsafe(`insert into ties (studio_id, label, ${columns}) select $1, 'Theirs', ${columns} from ties where id = $2`, [
    other!.id,
    tie!.id,
  ]);
  const seen = (await (await fetch(`${app.address}/api/ties/${tie!.id}`)).json()) as { label: string };
  assert.notEqual(seen.label, 'Theirs');
});

test('a measure that comes without its day is of the studio’s today, also where that is another day than the server’s', async () => {
  const zone = 'Pacific/Kiritimati';
  const before = await studio();
  await app.sql`update studios set time_zone = ${zone} where id = ${before.id}`;
  try {
    const table = 'name,height_mm,neck_mm\nMeasured Elsewhere,1800,400\n';
    const answer = await fetch(`${app.address}/api/import/clients.csv?apply=true`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: table,
    });
    assert.equal(answer.status, 200);
    const { rows } = (await (await fetch(`${app.address}/api/clients?find=elsewhere`)).json()) as Page<{ measures: { takenOn: string }[] }>;
    assert.deepEqual([...new Set(rows[0]?.measures.map(({ takenOn }) => takenOn))], [dayIn(zone)]);
  } finally {
    await app.sql`update studios set time_zone = ${before.timeZone} where id = ${before.id}`;
  }
});
