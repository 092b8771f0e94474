import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import type { ToldBook } from '../../src/contract/fitBook.ts';
import type { FittingSummary } from '../../src/contract/fitting.ts';
import type { ProblemBody } from '../../src/contract/problem.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { Page, TyingRecord, Wardrobe } from '../../src/contract/records/records.ts';
import type { TyingBefore } from '../../src/contract/tying.ts';
import { effectName } from '../../src/core/fitbook/effects.ts';
import { calibrationHere } from '../../src/core/fitbook/here.ts';
import { clientsHand } from '../../src/core/fitbook/tying.ts';
import { completeRequest } from '../../src/core/index.ts';
import { planKnot } from '../../src/core/plan/plan.ts';
import { attemptOf } from '../../src/core/start/attempts.ts';
import { inTransaction, type Queryable } from '../../src/server/database.ts';
import { type App, startApp } from '../support/app.ts';
import { requestsTo } from '../support/requests.ts';
import { question } from '../support/ties.ts';

let app: App;
before(async () => {
  app = await startApp({ taught: true });
});
after(() => app.stop());

const { get, send, bring } = requestsTo(() => app);
const wardrobe = (clientId?: string) => get<Wardrobe>(`/api/wardrobe${clientId ? `?client=${clientId}` : ''}`);
const list = (query = '') => get<Page<FittingSummary>>(`/api/fittings${query}`);
const moves = 'Li Ro Li Co T';
const tying = (of: Wardrobe, tieId: string, changes: Partial<TyingRecord> = {}): TyingRecord => ({
  ...kinds.tyings.fresh,
  id: randomUUID(),
  version: 0,
  archived: false,
  label: 'Four-in-hand, seen',
  clientId: of.client!.id,
  tieId,
  knot: moves,
  doneOn: '2026-11-20',
  tipOffMm: 30,
  setMm: 400,
  figures: { takeUpMm: 187, reckonedOffMm: -12, setMm: 400, dropMm: of.learnt.client?.dropMm ?? 455, dropMeasured: 1 },
  ...changes,
});
const startOf = ({ learnt }: Wardrobe, tieId: string) => {
  const request = completeRequest(question);
  return planKnot({ ...request, calibration: calibrationHere({ ...learnt, stylist: '' }, [], request, tieId) }, moves);
};

test('a tying that ended low moves the next start lower in this tie and narrows its band; sent twice it counts once', async () => {
  const first = await wardrobe();
  const client = first.client!.id;
  const tie = first.ties[0]!.id;
  const kept = tying(first, tie);
  for (const _ of [1, 2]) assert.equal((await send('/api/tyings', 'POST', kept)).status, 201);
  const then = await wardrobe(client);
  const [before_, after_] = [startOf(first, tie), startOf(then, tie)];
  assert.ok(after_.start.tailDropMm > before_.start.tailDropMm + 5, `${before_.start.tailDropMm} ${after_.start.tailDropMm}`);
  assert.ok(after_.tip.sdMm < before_.tip.sdMm);
  const again = await send('/api/tyings', 'POST', kept);
  assert.equal(again.status, 201);
  assert.deepEqual((await wardrobe(client)).learnt, then.learnt);
});

test('corrected, it is learnt anew and was is kept; taken out it teaches nothing and is not lost; deleted it leaves a trace', async () => {
  const first = await wardrobe();
  const tie = first.ties[1]!.id;
  const record = (await (await send('/api/tyings', 'POST', tying(first, tie))).json()) as TyingRecord;
  const low = startOf(await wardrobe(first.client!.id), tie).start.tailDropMm;
  const corrected = (await (await send(`/api/tyings/${record.id}`, 'PUT', { ...record, tipOffMm: -12 })).json()) as TyingRecord;
  const right = startOf(await wardrobe(first.client!.id), tie).start.tailDropMm;
  assert.ok(right < low - 3, 'the formulas were right after all');
  assert.equal((await send(`/api/tyings/${record.id}`, 'PUT', { ...record, tipOffMm: 0 })).status, 409, 'an older version changes nothing');
  await send(`/api/tyings/${record.id}`, 'PUT', { ...corrected, counts: false });
  const without = startOf(await wardrobe(first.client!.id), tie);
  assert.deepEqual(without.start, startOf(first, tie).start);
  const history = await get<TyingBefore[]>(`/api/tyings/${record.id}/history`);
  assert.deepEqual(
    history.map(({ version, deleted }) => [version, deleted]),
    [
      [2, false],
      [1, false],
    ],
  );
  for (const _ of [1, 2]) assert.equal((await send(`/api/tyings/${record.id}/delete`, 'POST', {})).status, 200);
  assert.equal((await fetch(`${app.address}/api/tyings/${record.id}`)).status, 404);
  const [latest] = await get<TyingBefore[]>(`/api/tyings/${record.id}/history`);
  assert.equal(latest?.deleted, true);
  assert.equal((await send(`/api/tyings/${randomUUID()}/delete`, 'POST', {})).status, 404);
});

test('whatever a transaction writes, the book’s version counts it once, and not at all where it is taken back', async () => {
  const version = async () => Number((await app.sql<{ version: string }[]>`select version from book_versions`)[0]?.version);
  const remeasure = (sql: Queryable) => sql`update client_measures set mm = mm + 0 where measure = 'neckMm'`;
  const before = await version();
  await inTransaction(app.sql, async (sql) => {
    const { count } = await remeasure(sql);
    assert.ok(count > 3, 'many rows');
    await remeasure(sql);
  });
  assert.equal(await version(), before + 1);
  await remeasure(app.sql);
  assert.equal(await version(), before + 2);
  await inTransaction(app.sql, async (sql) => {
    await remeasure(sql);
    throw new Error('taken back');
  }).catch(() => undefined);
  assert.equal(await version(), before + 2);
});

test('nonsense that was confirmed is kept, told among what hardly counts, and moves nothing far', async () => {
  const first = await wardrobe();
  const tie = first.ties[0]!.id;
  const start = startOf(first, tie).start.tailDropMm;
  const far = tying(first, tie, { tipOffMm: 500 });
  assert.equal((await send('/api/tyings', 'POST', far)).status, 201);
  const moved = startOf(await wardrobe(first.client!.id), tie).start.tailDropMm - start;
  assert.ok(Math.abs(moved) < 12, `${moved}`);
  const { blunders } = await get<ToldBook>('/api/fit-book');
  assert.ok(blunders.some(({ id, missedMm }) => id === far.id && missedMm > 300));
  await send(`/api/tyings/${far.id}/delete`, 'POST', {});
});

test('what cannot be is refused in words, all at once', async () => {
  const first = await wardrobe();
  const wrong = { ...tying(first, first.ties[0]!.id), tipOffMm: 5000, tries: 0, doneOn: 'yesterday', knot: 'Li Lo T', figures: { odd: 1 } };
  const refused = await send('/api/tyings', 'POST', wrong);
  assert.equal(refused.status, 400);
  const { error } = (await refused.json()) as ProblemBody;
  assert.deepEqual(error.fields?.map(({ path }) => path.split('.')[0]).toSorted(), ['doneOn', 'figures', 'knot', 'tipOffMm', 'tries']);
});

test('what was tried before a result is learnt of the same hands as the result', async () => {
  const [self] = await app.sql<{ id: string; clientId: string; tieId: string }[]>`
    select fittings.id, fittings.client_id, fittings.tie_id from fittings join tyings on tyings.id = fittings.id
    where tyings.neck = 'self' and jsonb_array_length(attempts) = 0 limit 1`;
  assert.ok(self);
  const count = async () => (await wardrobe(self.clientId)).learnt.counts[effectName('hand', clientsHand(self.clientId))] ?? 0;
  const before = await count();
  const tried = attemptOf(completeRequest(question), { moves, tie: self.tieId, tailMm: 430, state: 'crossed', tipOffMm: 25 });
  await app.sql`update fittings set attempts = ${app.sql.json([tried] as never)} where id = ${self.id}`;
  assert.equal(await count(), before + 1);
});

test('the list tells what became of each fitting, finds, filters and orders; one without a result says so on its client', async () => {
  const all = await list();
  assert.ok(all.total > 20 && all.rows.length === all.total);
  const unchecked = await list('?only=unchecked');
  assert.ok(unchecked.total > 0 && unchecked.rows.every(({ result }) => result === null));
  const [one] = unchecked.rows;
  const theirs = all.rows.find(({ id }) => id === one?.id);
  assert.ok(theirs);
  const outside = await list('?only=outside&by=off&down=true');
  const offs = outside.rows.map(({ result }) => Math.abs((result?.tipOffMm ?? 0) - (result?.figures.aimOffMm ?? 0)));
  assert.ok(offs.length > 1);
  assert.deepEqual(
    offs,
    offs.toSorted((a, b) => b - a),
  );
  const found = await list('?find=lantern%20red');
  assert.ok(found.total > 0 && found.rows.every(({ tieLabel }) => /lantern red/i.test(tieLabel)));
  assert.equal((await list('?find=%25')).total, 0, 'a sign is only a sign');
  const { unchecked: waiting } = await wardrobe();
  assert.equal(typeof waiting?.id, 'string');
});

test('in every order one page follows the other without a fitting twice or left out, though others are saved and deleted meanwhile', async () => {
  const copies = (count: number, note: string) => app.sql<{ id: string }[]>`
    insert into fittings (id, studio_id, client_id, client_name, shirt_label, tie_label, cloth, request, knot, answer, answer_version, note, created_at)
    select gen_random_uuid(), studio_id, client_id, client_name, shirt_label, tie_label, cloth, request, knot, answer, answer_version,
      ${note}, created_at - n / 3 * interval '1 hour'
    from (select * from fittings where note not like 'copied%' order by created_at limit 1) as one, generate_series(1, ${count}::int) as n
    returning id`;
  const first = await copies(130, 'copied');
  const before = new Set((await app.sql<{ id: string }[]>`select id from fittings`).map(({ id }) => id));
  for (const order of [
    'by=day',
    'by=day&down=false',
    'by=client',
    'by=tie&down=true',
    'by=knot',
    'by=off',
    'by=off&down=false',
    'find=copied',
  ]) {
    const seen: string[] = [];
    let meanwhile: readonly { id: string }[] = [];
    for (let last: string | undefined; ; ) {
      const { rows } = await list(`?${order}${last ? `&after=${last}` : ''}`);
      seen.push(...rows.map(({ id }) => id));
      last = rows.at(-1)?.id;
      // By their places in the list all that follow would be moved by these.
      if (meanwhile.length === 0) meanwhile = await copies(7, 'copied meanwhile');
      if (rows.length < 50) break;
    }
    assert.equal(new Set(seen).size, seen.length, `${order}: one is there twice`);
    const missed = [...before].filter((id) => !seen.includes(id) && (order !== 'find=copied' || first.some((each) => each.id === id)));
    assert.deepEqual(missed, [], `${order}: left out`);
    await app.sql`delete from fittings where note = 'copied meanwhile'`;
  }
  // One that is gone by now, or is none: then by its place.
  const [page, again] = [await list('?from=50'), await list(`?from=50&after=${randomUUID()}`)];
  assert.deepEqual(again, page);
  assert.deepEqual(await list('?from=50&after=nobody'), page);
  await app.sql`delete from fittings where note = 'copied'`;
});

test('the whole book exported and imported elsewhere predicts the same, bit for bit', async () => {
  const first = await wardrobe();
  const there = await wardrobe(first.client!.id);
  const text = await (await fetch(`${app.address}/api/export/tyings.csv`)).text();
  const same = await bring('tyings.csv', text);
  assert.ok(
    same.lines.every(({ action }) => action === 'same'),
    JSON.stringify(same).slice(0, 400),
  );
  assert.deepEqual((await wardrobe(first.client!.id)).learnt, there.learnt);
  const kept = (await get<Page<TyingRecord>>('/api/tyings')).rows.find(({ source }) => source === 'stand');
  assert.ok(kept);
  const whole = await (await fetch(`${app.address}/api/export/studio.json`)).text();
  await send(`/api/tyings/${kept.id}/delete`, 'POST', {});
  assert.notDeepEqual((await wardrobe(first.client!.id)).learnt.counts, there.learnt.counts);
  const report = await bring('studio.json', whole);
  assert.ok(report.applied);
  const again = await wardrobe(first.client!.id);
  assert.deepEqual(again.learnt, there.learnt);
});

test('the records cut off in the middle of many results: what was acknowledged is there, nothing is half there, and sent again all are there once', async () => {
  const first = await wardrobe();
  const many = Array.from({ length: 24 }, (_, i) => tying(first, first.ties[0]!.id, { note: `cut off ${i}` }));
  const sent = many.map(async (each) => ({
    id: each.id,
    status: (await send('/api/tyings', 'POST', each).catch(() => undefined))?.status,
  }));
  app.gate.shut();
  const answers = await Promise.all(sent);
  app.gate.open();
  const thereNow = async () => (await app.sql<{ id: string }[]>`select id from tyings where note like 'cut off %'`).map(({ id }) => id);
  const there = new Set(await thereNow());
  for (const { id, status } of answers) if (status === 201) assert.ok(there.has(id), 'acknowledged, and lost');
  for (const each of many) {
    const again = async (): Promise<number> => (await send('/api/tyings', 'POST', each)).status;
    let status = await again();
    for (let tries = 0; status === 503 && tries < 40; tries++) {
      await new Promise((resolve) => setTimeout(resolve, 100));
      status = await again();
    }
    assert.equal(status, 201);
  }
  const after_ = await thereNow();
  assert.equal(after_.length, many.length);
  assert.equal(new Set(after_).size, many.length);
});
