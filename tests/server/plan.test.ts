import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { plan } from '../../src/core/index.ts';
import { type App, startApp } from '../support/app.ts';
import { question, tieA } from '../support/ties.ts';

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

async function post(body: string, type = 'application/json') {
  const response = await fetch(`${app.address}/api/plan`, { method: 'POST', headers: { 'content-type': type }, body });
  return { status: response.status, body: await response.json() };
}

test('health tells of the application and its records', async () => {
  const response = await fetch(`${app.address}/api/health`);
  assert.equal(response.status, 200);
  assert.deepEqual(await response.json(), { app: 'ropewalk', status: 'ok', records: 'ok' });
});

test('the knots, with what follows from each word', async () => {
  const knots = await (await fetch(`${app.address}/api/knots?maxMoves=9`)).json();
  assert.equal(knots.length, 85);
  const { everyday, ...fourInHand } = knots[1];
  assert.equal(everyday, true);
  assert.deepEqual(fourInHand, {
    moves: 'Li Ro Li Co T',
    code: '4.1',
    count: 4,
    centres: 1,
    symmetry: 1,
    balance: 1,
    selfReleasing: true,
    activeDrawn: 'opens',
    manner: 'classic',
    active: 'blade',
    finish: 'tuck',
    startSeam: 'in',
    names: ['Four-in-hand'],
    described: false,
  });
  const open = await (await fetch(`${app.address}/api/knots?maxMoves=4&manner=open`)).json();
  assert.deepEqual(
    open.map(({ moves }: { moves: string }) => moves),
    ['Li Co D', 'Lo Ri Co D', 'Li Co Li Co D', 'Li Co Ri Co D', 'Li Ro Li Co D'],
  );
  assert.equal((await fetch(`${app.address}/api/knots?manner=bow`)).status, 400);
  assert.equal((await (await fetch(`${app.address}/api/knots`)).json()).length, 85);
});

test('a wrong number of moves is refused', async () => {
  for (const value of ['2', '99', 'nine', '4.5', '']) {
    const response = await fetch(`${app.address}/api/knots?maxMoves=${value}`);
    assert.equal(response.status, 400, value);
    assert.equal((await response.json()).error.fields[0].path, 'maxMoves');
  }
});

test('the endpoint answers what the core does', async () => {
  const { status, body } = await post(JSON.stringify(question));
  assert.equal(status, 200);
  const { knots, advice } = plan(question);
  const told = knots.map(({ properties, steps, ...knot }) => knot);
  assert.deepEqual(body, JSON.parse(JSON.stringify({ knots: told, advice })));
});

test('a bad question gets 400 with every fault at once', async () => {
  const { status, body } = await post(JSON.stringify({ ...question, client: { heightMm: 'x', neckMm: 4 }, tie: { ...tieA, bladeMm: 3 } }));
  assert.equal(status, 400);
  assert.equal(body.error.code, 'invalid');
  assert.deepEqual(body.error.fields.map(({ path }: { path: string }) => path).sort(), ['client.heightMm', 'client.neckMm', 'tie.bladeMm']);
  assert.match(body.error.message, /^3 errors: /);
});

const broken: readonly [what: string, body: string, type: string, status: number, code: string][] = [
  ['an empty body', '', 'application/json', 400, 'empty-body'],
  ['truncated JSON', JSON.stringify(question).slice(0, 200), 'application/json', 400, 'bad-json'],
  ['a 5 MB body', ' '.repeat(5_000_000), 'application/json', 413, 'too-large'],
  ['a form', 'client=me', 'application/x-www-form-urlencoded', 415, 'not-json'],
  ['a list', '[]', 'application/json', 400, 'invalid'],
];

for (const [what, body, type, status, code] of broken) {
  test(`${what} is refused with ${status}`, async () => {
    const answer = await post(body, type);
    assert.equal(answer.status, status);
    assert.equal(answer.body.error.code, code);
    assert.ok(answer.body.error.message.endsWith('.'));
  });
}

test('unknown addresses answer in the same shape', async () => {
  const response = await fetch(`${app.address}/api/nothing/here`);
  assert.equal(response.status, 404);
  assert.equal((await response.json()).error.code, 'not-found');
});

test('planning goes on while the records are out of reach, and health says so', async () => {
  app.gate.shut();
  try {
    const health = await fetch(`${app.address}/api/health`);
    assert.equal(health.status, 503);
    assert.equal((await health.json()).records, 'unreachable');
    assert.equal((await post(JSON.stringify(question))).status, 200);
  } finally {
    app.gate.open();
  }
});

test('the ready mesh of a knot is given in plain figures, and only where there is one', async () => {
  const cloth = await (await fetch(`${app.address}/api/knots/4.1/cloth`)).json();
  assert.equal(cloth.active.positionsMm.length, cloth.active.rows * cloth.columns);
  assert.equal(cloth.active.clothMm.length, cloth.active.rows);
  assert.ok(cloth.standing.clothMm.at(-1) > 200);
  for (const code of ['o4.1', '4.9', '../index', 'x']) {
    assert.equal((await fetch(`${app.address}/api/knots/${encodeURIComponent(code)}/cloth`)).status, 404, code);
  }
});
