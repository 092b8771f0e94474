import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import type { ProblemBody } from '../../src/contract/problem.ts';
import { draftPiece } from '../../src/contract/records/draftPieces.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { ClientRecord, Kind, Page, RecordOf, TieAtHand, Wardrobe } from '../../src/contract/records/records.ts';
import { type App, startApp } from '../support/app.ts';

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

async function send<T>(method: 'POST' | 'PUT', path: string, body: unknown): Promise<{ status: number; body: T & ProblemBody }> {
  const response = await fetch(app.address + path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  return { status: response.status, body: await response.json() };
}
const get = async <T>(path: string): Promise<T> => (await fetch(app.address + path)).json();
const list = <K extends Kind>(kind: K, query = ''): Promise<Page<RecordOf[K]>> => get(`/api/${kind}?${query}`);
const fresh = <K extends Kind>(kind: K, changes: Partial<RecordOf[K]>) => ({ ...kinds[kind].fresh, ...changes, id: randomUUID() });
const named = async (name: string) => (await list('clients', `find=${encodeURIComponent(name)}`)).rows[0]!;

test('clients are found by name, by what they are called, and by a word of their note', async () => {
  const names = async (find: string) => (await list('clients', `find=${encodeURIComponent(find)}`)).rows.map(({ name }) => name);
  assert.deepEqual(await names('wrenf'), ['Tobiah Wrenfield']);
  assert.deepEqual(await names('BARGEMASTER'), ['Osric Hallowtide']);
  assert.deepEqual(await names('lamp trimmer'), ['Pell Ambry']);
  assert.deepEqual(await names('trimmer pell'), ['Pell Ambry'], 'all words, in any order');
  assert.deepEqual(await names('%'), [], 'signs of the database’s own are only signs');
  assert.deepEqual(await names("'; drop table clients; --"), []);
});

test('a client is added, comes back as sent, and a repeated sending adds no second one', async () => {
  const client = fresh('clients', {
    name: 'Quill “Q” מלח 🪢',
    note: "line one\nline two, 'quoted'",
    cautions: ['machinery', 'tight-collar'],
    ownKnot: 'li-ro-li-co',
    measures: [
      { measure: 'frontDropMm', mm: 455.5, how: 'tape', takenOn: '2026-11-02' },
      { measure: 'heightMm', mm: 1801, how: 'tape', takenOn: '2026-11-02' },
      { measure: 'frontDropMm', mm: 450, how: 'estimate', takenOn: '2026-01-20' },
    ],
  });
  const added = await send<ClientRecord>('POST', '/api/clients', client);
  assert.equal(added.status, 201);
  assert.deepEqual(added.body, { ...client, ownKnot: 'Li Ro Li Co T', version: 1, archived: false });
  assert.deepEqual((await send<ClientRecord>('POST', '/api/clients', client)).body, added.body);
  assert.equal((await send('POST', '/api/clients', { ...client, name: 'Other' })).status, 409, 'another under its identifier');
  assert.equal((await list('clients', 'find=quill')).total, 1);
});

test('everything at fault is told at once, in words and in the reader’s unit', async () => {
  const { status, body } = await send(
    'POST',
    '/api/ties?units=in',
    fresh('ties', { label: ' ', bladeMm: 900, neckMm: 60, tailMm: 50, shares: [60, 30] }),
  );
  assert.equal(status, 400);
  const fields = Object.fromEntries(body.error.fields.map(({ path, message }) => [path, message]));
  assert.deepEqual(Object.keys(fields).sort(), ['bladeMm', 'label', 'shares']);
  assert.match(fields['bladeMm']!, /can’t be 35 3\/8 in/);
  const other = await send('POST', '/api/ties', fresh('ties', { label: 'X', neckMm: 60, tailMm: 50, shares: [60, 40] }));
  assert.deepEqual(other.body.error.fields.map(({ path }) => path).sort(), ['shares', 'tailMm']);
});

test('a piece of somebody who is not there is refused in words', async () => {
  const { status, body } = await send('POST', '/api/shirts', fresh('shirts', { label: 'Lost', clientId: randomUUID() }));
  assert.equal(status, 400);
  assert.deepEqual(body.error.fields, [{ path: 'clientId', message: 'Belongs to: this client is no longer in the studio’s records.' }]);
  const outfit = await send('POST', '/api/outfits', fresh('outfits', { label: 'Lost', clientId: (await named('Pell')).id }));
  assert.match(outfit.body.error.message, /Shirt/);
});

test('two people change one record: the second is told, gets what is kept now, and overwrites nothing', async () => {
  const client = await named('Pell');
  const first = await send<ClientRecord>('PUT', `/api/clients/${client.id}`, { ...client, note: 'First was here.' });
  assert.deepEqual([first.status, first.body.version], [200, client.version + 1]);
  const second = await send('PUT', `/api/clients/${client.id}`, { ...client, nickname: 'Second' });
  assert.equal(second.status, 409);
  assert.equal(second.body.error.code, 'changed-meanwhile');
  assert.deepEqual(second.body.error.current, first.body);
  const now = await named('Pell');
  assert.deepEqual([now.note, now.nickname], ['First was here.', client.nickname]);
});

test('what is put away is in no list and no wardrobe, is still there, and comes back whole', async () => {
  const { rows } = await list('ties', 'find=guild');
  const { care: _, ...tie } = rows[0] as TieAtHand;
  const away = await send<RecordOf['ties']>('PUT', `/api/ties/${tie.id}`, { ...tie, archived: true });
  assert.equal((await list('ties', 'find=guild')).total, 0);
  assert.equal((await list('ties', 'find=guild&archived=true')).total, 1);
  assert.ok(!(await get<Wardrobe>('/api/wardrobe')).ties.some(({ id }) => id === tie.id));
  const back = await send<RecordOf['ties']>('PUT', `/api/ties/${tie.id}`, { ...away.body, archived: false });
  assert.deepEqual({ ...back.body, version: 0 }, { ...tie, version: 0 });
});

test('measures keep their history: a new taking stands beside the old ones', async () => {
  const client = await named('Tobiah');
  const before = client.measures.length;
  const measures = [{ measure: 'neckMm', mm: 400, how: 'tape', takenOn: '2026-11-20' } as const, ...client.measures];
  const { body } = await send<ClientRecord>('PUT', `/api/clients/${client.id}`, { ...client, measures });
  assert.equal(body.measures.length, before + 1);
  assert.deepEqual(body.measures[0], measures[0], 'the newest first');
  const twice = await send('PUT', `/api/clients/${client.id}`, { ...body, measures: [measures[0], ...body.measures] });
  assert.match(twice.body.error.message, /taken twice on one day/);
});

test('the wardrobe is the client’s own and the studio’s', async () => {
  const client = await named('Edrin');
  const { outfits, shirts, ties, squares, client: his } = await get<Wardrobe>(`/api/wardrobe?client=${client.id}`);
  assert.equal(his?.name, 'Edrin Mallowfrost');
  for (const pieces of [shirts, ties, squares]) {
    assert.deepEqual([...new Set(pieces.map(({ clientId }) => clientId))].sort(), [client.id, null].sort());
  }
  assert.deepEqual(
    outfits.map(({ label }) => label),
    ['Speech'],
  );
  assert.equal((await fetch(`${app.address}/api/wardrobe?client=${randomUUID()}`)).status, 404);
});

test('addresses and queries that make no sense are refused', async () => {
  const status = async (path: string) => (await fetch(app.address + path)).status;
  assert.equal(await status('/api/dragons'), 404);
  assert.equal(await status('/api/dragons/1'), 404);
  assert.equal(await status('/api/ties/no-such'), 404);
  assert.equal(await status('/api/clients?from=-1'), 400);
  const client = await named('Osric');
  assert.equal((await send('PUT', `/api/clients/${randomUUID()}`, client)).status, 400);
  assert.equal((await send('PUT', `/api/ties/${randomUUID()}`, fresh('ties', { label: 'X' }))).status, 400);
});

test('the studio names a knot once, by its canonical word', async () => {
  const named = await send<RecordOf['namings']>('POST', '/api/namings', fresh('namings', { label: 'Tar rope', word: 'li-ro-li-ro-li-co' }));
  assert.deepEqual([named.status, named.body.word], [201, 'Li Ro Li Ro Li Co T']);
  const again = await send('POST', '/api/namings', fresh('namings', { label: 'Other', word: 'Li Ro Li Ro Li Co T' }));
  assert.deepEqual([again.status, again.body.error.message], [400, '1 error: The studio has a name for this knot already.']);
  const wrong = await send('POST', '/api/namings', fresh('namings', { label: 'Wrong', word: 'Li Li' }));
  assert.match(wrong.body.error.message, /“Li Li” is not a knot: Move 2 stays at the left/);
  const empty = await send('POST', '/api/namings', fresh('namings', { label: 'Empty' }));
  assert.match(empty.body.error.message, /Knot: enter its moves/);
});

test('a list of thousands is paged, by name', async () => {
  const studio = (await get<Wardrobe>('/api/wardrobe')).studio.id;
  await app.sql`insert into clients (id, studio_id, name) select gen_random_uuid(), ${studio}, 'Zz ' || lpad(n::text, 4, '0') from generate_series(1, 1200) as n`;
  const first = await list('clients', 'find=zz');
  const last = await list('clients', 'find=zz&from=1150');
  assert.deepEqual([first.total, first.rows.length, last.rows.length], [1200, 50, 50]);
  assert.deepEqual([first.rows[0]?.name, last.rows.at(-1)?.name], ['Zz 0001', 'Zz 1200']);
  assert.equal((await list('clients', 'find=zz&from=1200')).rows.length, 0);
});

test('records out of reach are told as such, never as an empty list', async () => {
  app.gate.shut();
  try {
    const response = await fetch(`${app.address}/api/clients`);
    assert.equal(response.status, 503);
    assert.equal(((await response.json()) as ProblemBody).error.code, 'records-unreachable');
  } finally {
    app.gate.open();
  }
  assert.ok((await list('clients')).total > 0);
});

test('a walk-in is one: client and clothes together, the same when sent again, and nothing of it where a part is wrong', async () => {
  const id = randomUUID();
  const client = fresh('clients', { name: 'Rowan Tidewell' });
  const walkIn = {
    client: { ...client, id },
    shirt: draftPiece('shirts', 'White semi-spread shirt', id, randomUUID()),
    jacket: draftPiece('jackets', 'Navy jacket', id, randomUUID()),
  };
  const first = await send<Wardrobe>('POST', '/api/walk-ins', walkIn);
  assert.equal(first.status, 201);
  assert.equal(first.body.client?.name, 'Rowan Tidewell');
  assert.ok(first.body.shirts.some(({ clientId, draft }) => clientId === id && draft));
  await send('POST', '/api/walk-ins', walkIn);
  const { total } = await list('shirts', `client=${id}`);
  assert.equal(total, 1);
  const other = randomUUID();
  const refused = await send('POST', '/api/walk-ins', {
    client: { ...client, id: other, name: 'Nobody Yet' },
    shirt: { ...walkIn.shirt, id: randomUUID(), clientId: other, collarSpreadMm: 1 },
    jacket: null,
  });
  assert.equal(refused.status, 400);
  assert.equal((await list('clients', 'find=nobody')).total, 0);
});

test('a draft stays one until it is said to be measured', async () => {
  const id = randomUUID();
  const shirt = draftPiece('shirts', 'White cutaway shirt', null, id);
  const added = await send<RecordOf['shirts']>('POST', '/api/shirts', shirt);
  assert.equal(added.body.draft, true);
  const measured = await send<RecordOf['shirts']>('PUT', `/api/shirts/${id}`, { ...added.body, draft: false });
  assert.equal(measured.body.draft, false);
});

test('a list is ordered by any of its measures, what has none last, and by nothing that is no column', async () => {
  const blades = async (down: boolean) => (await list('ties', `by=bladeMm&down=${down}`)).rows.map(({ bladeMm }) => bladeMm);
  const up = await blades(false);
  assert.ok(up.length > 3);
  assert.deepEqual(
    up,
    up.toSorted((a, b) => a - b),
  );
  assert.deepEqual(await blades(true), up.toReversed());
  const buttoned = (await list('jackets', 'by=buttoningMm')).rows.map(({ buttoningMm }) => buttoningMm);
  assert.equal(buttoned.at(-1), null);
  for (const by of ['colours', 'studio_id', 'lengthMm; drop table ties', '']) {
    const { status } = await fetch(`${app.address}/api/ties?by=${encodeURIComponent(by)}`);
    assert.equal(status, by === '' ? 200 : 400, by);
  }
});
