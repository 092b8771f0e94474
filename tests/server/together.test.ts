import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import type { ProblemBody } from '../../src/contract/problem.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { ClientRecord, Page, TieRecord } from '../../src/contract/records/records.ts';
import { type App, startApp } from '../support/app.ts';
import { requestsTo } from '../support/requests.ts';

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

const { get, send, bring } = requestsTo(() => app);
const put = async (path: string, body: unknown) => {
  const response = await send(path, 'PUT', body);
  return { status: response.status, body: (await response.json()) as ClientRecord & ProblemBody };
};
const list = <T>(path: string) => get<Page<T>>(path);

test('of many who change one record at once exactly one gets through, and its change is what is kept', async () => {
  const client = (await list<ClientRecord>('/api/clients?find=bram')).rows[0]!;
  const tries = await Promise.all(
    Array.from({ length: 12 }, (_, i) =>
      put(`/api/clients/${client.id}`, { ...client, nickname: `try ${i}`, measures: client.measures.slice(0, 1) }),
    ),
  );
  const through = tries.filter(({ status }) => status === 200);
  assert.equal(through.length, 1);
  assert.ok(tries.filter(({ status }) => status !== 200).every(({ status, body }) => status === 409 && body.error.current !== undefined));
  const now: ClientRecord = await (await fetch(`${app.address}/api/clients/${client.id}`)).json();
  assert.equal(now.nickname, through[0]!.body.nickname);
  assert.equal(now.version, client.version + 1);
  assert.equal(now.measures.length, 1, 'measures and record change together');
});

test('the same new record sent at once from two windows is one record', async () => {
  const tie = { ...kinds.ties.fresh, id: randomUUID(), label: 'Twice sent' };
  const send = () =>
    fetch(`${app.address}/api/ties`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(tie) });
  const answers = await Promise.all([send(), send(), send()]);
  assert.deepEqual(
    answers.map(({ status }) => status),
    [201, 201, 201],
  );
  assert.equal((await list<TieRecord>('/api/ties?find=twice+sent')).total, 1);
});

test('thousands of lines are brought in at once, and one bad line among them keeps every other out', async () => {
  const lines = Array.from({ length: 2500 }, (_, i) => `Crowd ${i},1780,395,455`);
  const heading = 'name,height_mm,neck_mm,front_drop_mm';
  const bad = await bring('clients.csv', [heading, ...lines.slice(0, 2000), 'Crowd bad,1,395,455', ...lines.slice(2000)].join('\n'));
  assert.equal(bad.applied, false);
  assert.deepEqual(
    bad.lines.filter(({ action }) => action === 'fault').map(({ line }) => line),
    [2002],
  );
  assert.equal((await list<ClientRecord>('/api/clients?find=crowd')).total, 0);
  const good = await bring('clients.csv', [heading, ...lines].join('\n'));
  assert.equal(good.applied, true);
  const page = await list<ClientRecord>('/api/clients?find=crowd+2499');
  assert.equal(page.total, 1);
  assert.equal(page.rows[0]?.measures.length, 3);
});

test('a file that leans on itself is brought in in the right order; one that leans on nothing is refused', async () => {
  const clientId = randomUUID();
  const tieId = randomUUID();
  const file = {
    format: 'ropewalk-studio',
    formatVersion: 1,
    studio: { name: 'Lanternmoor Fitting Room', units: 'cm' },
    squares: [{ ...kinds.squares.fresh, id: randomUUID(), label: 'Of a set', tieId, clientId }],
    ties: [{ ...kinds.ties.fresh, id: tieId, label: 'Of the set', clientId }],
    clients: [{ ...kinds.clients.fresh, id: clientId, name: 'Leaned On' }],
  };
  const report = await bring('studio.json', JSON.stringify(file));
  assert.deepEqual([report.faults, report.applied], [[], true]);
  const lost = { ...file, clients: [], ties: [], squares: [{ ...file.squares[0], id: randomUUID(), tieId: randomUUID() }] };
  const refused = await bring('studio.json', JSON.stringify(lost));
  assert.equal(refused.applied, false);
  assert.match(refused.lines.at(-1)!.details.join(' '), /Sold in a set with: this tie is neither on record nor in the file/);
});

test('a line that names the same record twice is told, not silently the last one taken', async () => {
  const { rows } = await list<TieRecord>('/api/ties?find=guild');
  const report = await bring('ties.csv', `id,note\n${rows[0]!.id},one\n${rows[0]!.id},two\n`);
  assert.deepEqual(
    report.lines.map(({ action }) => action),
    ['change', 'fault'],
  );
  assert.equal(report.applied, false);
});

test('bringing in while the records are out of reach says so and changes nothing', async () => {
  app.gate.shut();
  try {
    const response = await fetch(`${app.address}/api/import/ties.csv?apply=true`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: 'label,length_mm,blade_mm,thickness_mm\nLost at sea,1480,80,3\n',
    });
    assert.equal(response.status, 503);
  } finally {
    app.gate.open();
  }
  assert.equal((await list<TieRecord>('/api/ties?find=lost+at+sea')).total, 0);
});

test('put-away clients leave with the studio’s file and the tables, and not with the contact cards', async () => {
  const client = (await list<ClientRecord>('/api/clients?find=fenlow')).rows[0]!;
  assert.equal((await put(`/api/clients/${client.id}`, { ...client, archived: true })).status, 200);
  const out = async (file: string) => (await fetch(`${app.address}/api/export/${file}`)).text();
  assert.ok((await out('studio.json')).includes('Wick Fenlow'));
  assert.ok((await out('clients.csv')).includes('Wick Fenlow'));
  assert.ok(!(await out('clients.vcf')).includes('Wick Fenlow'));
});
