import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import fc from 'fast-check';
import type { ProblemBody } from '../../src/contract/problem.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { CareRecord, Page, TieAtHand, Wardrobe } from '../../src/contract/records/records.ts';
import type { TieLife } from '../../src/contract/tieLife.ts';
import { type Dealing, type DealingCode, dealings } from '../../src/core/care/dealings.ts';
import { standingOf } from '../../src/core/care/standing.ts';
import { daysAfter } from '../../src/core/units/days.ts';
import { listShown } from '../../src/server/lists.ts';
import { theStudio } from '../../src/server/studios.ts';
import { type App, startApp } from '../support/app.ts';
import { careByHand } from '../support/care.ts';
import { requestsTo } from '../support/requests.ts';

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

const { get, send, bring } = requestsTo(() => app);
const tieNamed = async (find: string, query = '') => (await get<Page<TieAtHand>>(`/api/ties?find=${find}${query}`)).rows[0]!;
const note = (tieId: string, changes: Partial<CareRecord>): CareRecord => ({
  ...kinds.cares.fresh,
  id: randomUUID(),
  version: 0,
  archived: false,
  label: 'Noted',
  tieId,
  ...changes,
});

test('a tie that is lent is away on the list, in the wardrobe and in its life, until it is back', async () => {
  const tie = await tieNamed('heather');
  const client = (await get<Wardrobe>('/api/wardrobe')).client!;
  const lent = note(tie.id, { what: 'lent', clientId: client.id, fromOn: '2026-11-02', note: 'For the regatta.' });
  assert.equal((await send('/api/cares', 'POST', lent)).status, 201);
  const on = async (day: string) => standingOf(await tieNamed('heather', `&on=${day}`)).code;
  assert.deepEqual([await on('2026-11-01'), await on('2026-11-02'), await on('2026-11-20')], ['ready', 'lent', 'lent']);
  const ready = await get<Page<TieAtHand>>('/api/ties?ready=true&on=2026-11-10');
  assert.ok(ready.total > 0 && !ready.rows.some(({ id }) => id === tie.id));
  const worn = (await get<Wardrobe>('/api/wardrobe')).ties.find(({ id }) => id === tie.id)!;
  assert.deepEqual([worn.care.held?.what, worn.care.held?.clientId], ['lent', client.id]);
  const kept = (await get<TieLife>(`/api/ties/${tie.id}/life`)).notes[0]!;
  assert.equal(kept.note, 'For the regatta.');
  assert.equal((await send(`/api/cares/${kept.id}`, 'PUT', { ...kept, untilOn: '2026-11-15' })).status, 200);
  assert.deepEqual([await on('2026-11-14'), await on('2026-11-15')], ['lent', 'ready']);
});

test('a fitting is a wearing of its day; a day counts once, and what was archived not at all', async () => {
  const tie = await tieNamed('guild');
  const first = tie.care;
  assert.ok(first.wearings > 1 && first.wornOn !== null);
  const again = note(tie.id, { what: 'worn', fromOn: first.wornOn });
  await send('/api/cares', 'POST', again);
  assert.equal((await tieNamed('guild')).care.wearings, first.wearings, 'worn twice on one day');
  const later = note(tie.id, { what: 'worn', fromOn: '2026-11-12' });
  await send('/api/cares', 'POST', later);
  const now = (await tieNamed('guild')).care;
  assert.deepEqual([now.wearings, now.wornOn], [first.wearings + 1, '2026-11-12']);
  assert.equal(standingOf(await tieNamed('guild', '&on=2026-11-13')).code, 'resting');
  await send(`/api/cares/${later.id}`, 'PUT', { ...later, version: 1, archived: true });
  assert.deepEqual((await tieNamed('guild')).care, first);
});

test('what can’t be is refused in words, all at once', async () => {
  const tie = await tieNamed('heather');
  const refused = async (changes: object) => {
    const answer = await send('/api/cares', 'POST', { ...note(tie.id, { fromOn: '2026-11-02' }), ...changes });
    assert.equal(answer.status, 400);
    return ((await answer.json()) as ProblemBody).error.fields.map(({ path, message }) => `${path}: ${message}`);
  };
  assert.deepEqual(await refused({ what: 'lent', untilOn: '2026-11-01' }), ['untilOn: Back, or undone: not before the day it began.']);
  assert.deepEqual(await refused({ fromOn: '2026-02-31', what: 'eaten' }), [
    'what: What happened must be one of: worn, lent, repair, looped, aside.',
    'fromOn: From: enter a day, as year-month-day.',
  ]);
  assert.deepEqual(await refused({ tieId: randomUUID() }), ['tieId: Tie: this tie is no longer in the studio’s records.']);
  assert.equal((await fetch(`${app.address}/api/ties?on=2026-02-31`)).status, 400);
  assert.equal((await fetch(`${app.address}/api/ties/${randomUUID()}/life`)).status, 404);
});

test('the records count wearings, rest and what holds a tie as one would by hand, on any day', async () => {
  const { sql } = app;
  const studio = await theStudio(sql);
  const ties = (await listShown({ sql, studio }, 'ties', { most: 1000 })).rows;
  const fitted = await sql<{ tieId: string; day: string }[]>`
    select tie_id, to_char(created_at at time zone ${studio.timeZone}, 'YYYY-MM-DD') as day from fittings where tie_id is not null`;
  const day = fc.integer({ min: 0, max: 60 }).map((days) => daysAfter('2026-09-20', days));
  const happening = fc.record({
    at: fc.nat({ max: ties.length - 1 }),
    what: fc.constantFrom(...(Object.keys(dealings) as DealingCode[])),
    fromOn: day,
    lasts: fc.option(fc.nat({ max: 20 })),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(happening, { maxLength: 40 }), day, async (happenings, on) => {
      await sql`delete from cares`;
      const noted = happenings.map(({ at, what, fromOn, lasts }) => ({
        ...{ id: randomUUID(), studioId: studio.id, label: 'Noted', tieId: ties[at]!.id, what, clientId: null, fromOn },
        untilOn: what === 'worn' || lasts === null ? null : daysAfter(fromOn, lasts),
      }));
      if (noted.length > 0) await sql`insert into cares ${sql(noted)}`;
      const expected = ties.map(({ id, fabric }) => {
        const own = noted
          .filter(({ tieId }) => tieId === id)
          .map(({ what, clientId, fromOn, untilOn }): Dealing => ({ what, clientId, fromOn, untilOn }));
        const care = careByHand(
          on,
          own,
          fitted.filter(({ tieId }) => tieId === id).map((each) => each.day),
        );
        return { id, care, ready: standingOf({ fabric, care }).code === 'ready' };
      });
      const { rows } = await listShown({ sql, studio }, 'ties', { on, most: 1000 });
      assert.deepEqual(
        rows.map(({ id, care }) => ({ id, care })),
        expected.map(({ id, care }) => ({ id, care })),
      );
      const ready = await listShown({ sql, studio }, 'ties', { on, ready: true, most: 1000 });
      assert.deepEqual(
        ready.rows.map(({ id }) => id),
        expected.filter((each) => each.ready).map(({ id }) => id),
      );
      const often = await listShown({ sql, studio }, 'ties', { on, by: 'wearings', down: true, most: 1000 });
      const counts = often.rows.map(({ care }) => care.wearings);
      assert.deepEqual(
        counts,
        counts.toSorted((a, b) => b - a),
      );
    }),
    { numRuns: 40 },
  );
});

test('a studio saved when the status still stood in the tie is imported with its notes; care goes out and comes back as a table', async () => {
  const { sql } = app;
  await sql`delete from cares`;
  const whole = await get<Record<string, unknown>>('/api/export/studio.json');
  const { cares: _, ...older } = whole;
  const ties = (older['ties'] as Record<string, unknown>[]).map((tie, i) => ({
    ...tie,
    state: i === 0 ? 'repair' : 'rack',
    outWith: null,
  }));
  const report = await bring('studio.json', JSON.stringify({ ...older, ties }));
  assert.equal(report.applied, true, JSON.stringify(report.lines.filter(({ action }) => action === 'fault')));
  assert.deepEqual(
    report.lines.filter(({ action }) => action === 'add').map(({ what }) => what),
    ['care note'],
  );
  const twice = await bring('studio.json', JSON.stringify({ ...older, ties }));
  assert.ok(twice.lines.every(({ action }) => action === 'same'));
  const table = await (await fetch(`${app.address}/api/export/cares.csv`)).text();
  assert.match(table, /repair/);
  await sql`delete from cares`;
  assert.equal((await bring('cares.csv', table)).applied, true);
  assert.equal(await (await fetch(`${app.address}/api/export/cares.csv`)).text(), table);
});
