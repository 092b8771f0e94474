import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import type { Fitting, FittingDraft, FittingSummary } from '../../src/contract/fitting.ts';
import type { Page, Wardrobe } from '../../src/contract/records/records.ts';
import { completeRequest } from '../../src/core/index.ts';
import { type App, startApp } from '../support/app.ts';
import { question, tieB } from '../support/ties.ts';

let app: App;
let wardrobe: Wardrobe;
before(async () => {
  app = await startApp();
  wardrobe = await (await fetch(`${app.address}/api/wardrobe`)).json();
});
after(() => app.stop());

function draft(changes: Partial<FittingDraft> = {}): FittingDraft {
  return {
    id: randomUUID(),
    clientId: wardrobe.client!.id,
    shirtId: null,
    jacketId: null,
    tieId: wardrobe.ties[0]!.id,
    clientName: 'Tobiah “Tob” O’Wren 🪢 \u202Eמלח',
    shirtLabel: 'White',
    jacketLabel: null,
    tieLabel: 'Red',
    cloth: { tie: ['#8c2230'], shirt: '#ffffff', jacket: null, trousers: null },
    question,
    knot: 'Li Ro Li Co T',
    attempts: [],
    note: "'; drop table fittings; --\nline two",
    ...changes,
  };
}

async function save(body: unknown) {
  const response = await fetch(`${app.address}/api/fittings`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  return { status: response.status, body: await response.json() };
}

const list = async (): Promise<FittingSummary[]> =>
  ((await (await fetch(`${app.address}/api/fittings`)).json()) as Page<FittingSummary>).rows as FittingSummary[];
const open = async (id: string) => fetch(`${app.address}/api/fittings/${id}`);

test('a fitting keeps its inputs and its answer, and comes back as it was', async () => {
  const sent = draft();
  const { status, body } = await save(sent);
  assert.equal(status, 201);
  const fitting: Fitting = await (await open(sent.id)).json();
  assert.deepEqual(fitting, body);
  assert.equal(fitting.clientName, sent.clientName);
  assert.equal(fitting.note, sent.note);
  assert.deepEqual(fitting.request, JSON.parse(JSON.stringify(completeRequest(question))));
  assert.ok(Math.abs(fitting.answer.start.tailDropMm - 412.9) < 0.1);
  assert.equal((await list())[0]?.id, sent.id);
});

test('an old fitting does not change when the client’s measures do', async () => {
  const sent = draft();
  await save(sent);
  const before = await (await open(sent.id)).json();
  await app.sql`update client_measures set mm = mm + 20 where client_id = ${sent.clientId}`;
  assert.deepEqual(await (await open(sent.id)).json(), before);
});

test('the same save sent twice is one fitting', async () => {
  const sent = draft();
  const first = await save(sent);
  const count = (await list()).length;
  assert.deepEqual(await save(sent), first);
  assert.equal((await list()).length, count);
});

test('saved fittings are there after the application was started again', async () => {
  const sent = draft();
  await save(sent);
  await app.restart();
  assert.equal((await open(sent.id)).status, 200);
});

test('a bad fitting is refused with every fault at once, and nothing is kept', async () => {
  const before = (await list()).length;
  const { status, body } = await save({
    ...draft(),
    clientName: '',
    cloth: { tie: ['red'], shirt: 'white' },
    question: { ...question, tie: { ...tieB, bladeMm: 3 } },
  });
  assert.equal(status, 400);
  assert.deepEqual(body.error.fields.map(({ path }: { path: string }) => path).sort(), [
    'clientName',
    'cloth.shirt',
    'cloth.tie.0',
    'question.tie.bladeMm',
  ]);
  assert.equal((await list()).length, before);
});

test('a knot that won’t work, or is none, is not saved', async () => {
  const { question: asked } = draft({});
  const impossible = await save(draft({ knot: 'Lo Ri Co T', question: { ...asked, tie: { ...asked.tie, lengthMm: 1900 } } }));
  assert.equal(impossible.status, 400);
  assert.match(impossible.body.error.message, /Won’t work: /);
  assert.equal((await save(draft({ knot: 'Granny' }))).status, 400);
});

test('a client who is not there is told, not kept', async () => {
  const { status, body } = await save(draft({ clientId: randomUUID() }));
  assert.equal(status, 400);
  assert.equal(body.error.fields[0].path, 'clientId');
});

test('an id that does not exist, or is none, is not found', async () => {
  for (const id of [randomUUID(), 'nonsense', '1%27%20or%201=1']) {
    const response = await open(id);
    assert.equal(response.status, 404, id);
    assert.equal((await response.json()).error.message, 'This fitting was not found.');
  }
});

test('out of reach is told as such, never as an empty list, and passes', async () => {
  app.gate.shut();
  try {
    const response = await fetch(`${app.address}/api/fittings`);
    assert.equal(response.status, 503);
    assert.equal((await response.json()).error.code, 'records-unreachable');
    assert.equal((await save(draft())).status, 503);
  } finally {
    app.gate.open();
  }
  assert.ok((await list()).length > 0);
});
