import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import type { ImportReport } from '../../src/contract/exchange/report.ts';
import type { Fitting, FittingSummary } from '../../src/contract/fitting.ts';
import type { ProblemBody } from '../../src/contract/problem.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { ClientRecord, Page, SquareRecord } from '../../src/contract/records/records.ts';
import { type App, startApp } from '../support/app.ts';
import { requestsTo } from '../support/requests.ts';

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

const requests = requestsTo(() => app);
const { get } = requests;
const send = async <T>(path: string, method: string, body: unknown): Promise<{ readonly status: number; readonly body: T }> => {
  const answer = await requests.send(path, method, body);
  return { status: answer.status, body: (await answer.json()) as T };
};
const bring = async (file: string, content: string | Uint8Array<ArrayBuffer>, apply = false) => {
  const answer = await requests.sendFile(file, content, `apply=${apply}`);
  return { status: answer.status, report: (await answer.json()) as ImportReport & ProblemBody };
};
const square = (changes: Partial<SquareRecord> = {}): SquareRecord => ({
  ...kinds.squares.fresh,
  ...{ id: randomUUID(), version: 0, archived: false, label: 'Square', colours: ['#ffffff'] },
  ...changes,
});

test('however an identifier is spelled, it is the same record', async () => {
  const id = randomUUID().toUpperCase();
  const added = await send<SquareRecord>('/api/squares', 'POST', square({ id }));
  assert.deepEqual([added.status, added.body.id], [201, id.toLowerCase()]);
  const changed = await send<SquareRecord>(`/api/squares/${id}`, 'PUT', { ...added.body, id, note: 'Silk.' });
  assert.deepEqual([changed.status, changed.body.note], [200, 'Silk.']);
  const { report } = await bring('squares.csv', `id,label\n${id},Renamed\n`);
  assert.deepEqual(
    report.lines.map(({ action }) => action),
    ['change'],
  );
});

test('sent again after a lost answer a change is made once and accuses nobody; another under a taken identifier is refused', async () => {
  const first = square({ label: 'One' });
  const { body: kept } = await send<SquareRecord>('/api/squares', 'POST', first);
  assert.equal((await send('/api/squares', 'POST', first)).status, 201);
  const other = await send<ProblemBody>('/api/squares', 'POST', { ...first, label: 'Two' });
  assert.deepEqual([other.status, other.body.error.code], [409, 'taken']);
  const change = { ...kept, note: 'Changed.' };
  assert.equal((await send(`/api/squares/${kept.id}`, 'PUT', change)).status, 200);
  const again = await send<SquareRecord>(`/api/squares/${kept.id}`, 'PUT', change);
  assert.deepEqual([again.status, again.body.version], [200, kept.version + 1]);
  assert.equal((await send(`/api/squares/${kept.id}`, 'PUT', { ...kept, note: 'Mine.' })).status, 409);
});

test('what a change does not send stays: a client keeps every measure', async () => {
  const client = (await get<Page<ClientRecord>>('/api/clients?find=tobiah')).rows[0]!;
  assert.ok(client.measures.length > 0);
  const { measures: _, ...rest } = client;
  const { body } = await send<ClientRecord>(`/api/clients/${client.id}`, 'PUT', { ...rest, nickname: 'Tobi' });
  assert.deepEqual([body.measures, body.nickname], [client.measures, 'Tobi']);
});

test('what can’t be is refused in words, and nothing of it falls over', async () => {
  const kept = (await send<SquareRecord>('/api/squares', 'POST', square())).body;
  const client = (await get<Page<ClientRecord>>('/api/clients?find=pell')).rows[0]!;
  const refused = async (path: string, body: object) => {
    const { status, body: answer } = await send<ProblemBody>(path, 'PUT', body);
    assert.equal(status, 400, JSON.stringify(answer));
    return answer.error.fields[0]?.message;
  };
  for (const version of [2 ** 31, 2 ** 53 - 1, -1, 0.5, 'x']) {
    assert.equal(await refused(`/api/squares/${kept.id}`, { ...kept, version }), 'The version is not one that was given out.');
  }
  const ownKnot = (value: unknown) => refused(`/api/clients/${client.id}`, { ...client, ownKnot: value });
  assert.match((await ownKnot('Li\0{#label}')) ?? '', /“Li\{#label\}” is not a knot/);
  assert.match((await ownKnot('Li Ro '.repeat(20_000))) ?? '', /at most 400 characters/);
  assert.match((await ownKnot({ moves: 'Li' })) ?? '', /^Usual knot: enter its moves/);
  assert.match((await refused(`/api/clients/${client.id}`, { ...client, note: 'a\0b' })) ?? '', /can’t be stored/);
  const taken = { measure: 'heightMm', mm: 1700, how: 'tape' };
  for (const takenOn of ['0000-01-01', '2026-02-31', '2026-13-01', 'today']) {
    assert.match((await refused(`/api/clients/${client.id}`, { ...client, measures: [{ ...taken, takenOn }] })) ?? '', /year-month-day/);
  }
  const found = await get<Page<SquareRecord>>(`/api/squares?find=${'a%00'.repeat(3)}${'word+'.repeat(3000)}`);
  assert.equal(found.total, 0);
  for (const [path, method, status] of [
    ['/api/squares', 'DELETE', 405],
    ['/knots', 'PUT', 405],
    ['/', 'POST', 405],
    ['/clients', 'OPTIONS', 405],
    [`/api/squares/${kept.id}`, 'PATCH', 405],
    ['/_image?href=/icon.svg&w=9000&h=9000&f=png', 'GET', 404],
    ['/api/squares/%E0%A4%A', 'GET', 400],
  ] as const) {
    const answer = await fetch(app.address + path, { method });
    assert.deepEqual([answer.status, answer.headers.get('content-type')], [status, 'application/json; charset=utf-8'], path);
  }
});

test('an import says beforehand what it can’t do: two of one name, a text in another encoding, a card that says little', async () => {
  const twice = await bring('namings.csv', 'label,word\nOne,Li Ro Li Ro Li Co T\nTwo,Li Ro Li Ro Li Co T\n', true);
  assert.deepEqual(
    twice.report.lines.map(({ action, details }) => [action, ...details]),
    [['add'], ['fault', 'The studio has a name for this knot already.']],
  );
  assert.equal(twice.report.applied, false);
  const latin = await bring('ties.csv', Buffer.from('label,length_mm\nS\xfcd,1470\n', 'latin1'));
  assert.deepEqual([latin.status, latin.report.error.code], [400, 'not-utf8']);
  const client = (await get<Page<ClientRecord>>('/api/clients?find=ineke')).rows[0]!;
  assert.ok(client.email !== '');
  const card = await bring('clients.vcf', `BEGIN:VCARD\r\nVERSION:4.0\r\nUID:urn:uuid:${client.id}\r\nFN:${client.name}\r\nEND:VCARD\r\n`);
  assert.deepEqual(
    card.report.lines.map(({ action }) => action),
    ['same'],
    'what the card leaves open stays',
  );
});

test('while a large table is gone through others are answered', async () => {
  const table = `label,length_mm,blade_mm\n${Array.from({ length: 8000 }, (_, i) => `Tie ${i},1470,85`).join('\n')}\n`;
  const done: string[] = [];
  const importing = bring('ties.csv', table).then(({ report }) => {
    done.push('import');
    return report;
  });
  for (let i = 0; i < 3; i++) {
    await get('/api/health');
    done.push('health');
  }
  const { counts, lines } = await importing;
  assert.equal(counts.add, 8000);
  assert.ok(lines.length < 3000, 'no more lines than anyone reads');
  assert.deepEqual(done, ['health', 'health', 'health', 'import']);
});

test('a damaged fitting is refused at the door; one that got in breaks neither list nor page nor export, and can be deleted', async () => {
  const whole = await get<{ readonly fittings: readonly Fitting[] }>('/api/export/studio.json');
  const [one] = whole.fittings;
  assert.ok(one);
  const damaged = { ...one, id: randomUUID(), answer: { title: 'x' } };
  const { report } = await bring('studio.json', JSON.stringify({ ...whole, fittings: [damaged] }), true);
  assert.equal(report.applied, false);
  assert.deepEqual(
    report.lines.filter(({ action }) => action === 'fault').map(({ details }) => details),
    [['The answer of the fitting can’t be read.']],
  );
  await app.sql`
    insert into fittings (id, studio_id, client_id, shirt_id, jacket_id, tie_id, client_name, shirt_label, jacket_label, tie_label, cloth, request,
      knot, answer, answer_version, attempts, note)
    select ${damaged.id}, studio_id, client_id, shirt_id, jacket_id, tie_id, client_name, shirt_label, jacket_label, tie_label, cloth, request, knot,
      '{"start": 7}', answer_version, attempts, 'damaged' from fittings where id = ${one.id}`;
  const list = await get<Page<FittingSummary>>('/api/fittings?find=damaged');
  assert.deepEqual(
    list.rows.map(({ id, title, set }) => [id, title, set]),
    [[damaged.id, 'Can’t be read', null]],
  );
  assert.equal((await fetch(`${app.address}/fittings`)).status, 200);
  assert.equal((await fetch(`${app.address}/fittings/${damaged.id}`)).status, 200);
  assert.equal((await fetch(`${app.address}/api/fittings/${damaged.id}`)).status, 422);
  const saved = await get<{ readonly fittings: readonly Fitting[] }>('/api/export/studio.json');
  assert.equal(saved.fittings.length, whole.fittings.length);
  assert.equal((await send(`/api/fittings/${damaged.id}/delete`, 'POST', {})).status, 200);
  assert.equal((await get<Page<FittingSummary>>('/api/fittings?find=damaged')).total, 0);
  assert.equal((await send(`/api/fittings/${damaged.id}/delete`, 'POST', {})).status, 404);
});
