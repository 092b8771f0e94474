import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import type { Practice } from '../../src/contract/practice.ts';
import type { ProblemBody } from '../../src/contract/problem.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { RehearsalRecord } from '../../src/contract/records/records.ts';
import { progressOf } from '../../src/core/practice/progress.ts';
import { type App, startApp } from '../support/app.ts';
import { requestsTo } from '../support/requests.ts';

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

const practice = async (): Promise<Practice> => (await fetch(`${app.address}/api/practice`)).json();
const { send, bring } = requestsTo(() => app);

const run = (learnerId: string, changes: object = {}) => ({
  ...kinds.rehearsals.fresh,
  id: randomUUID(),
  label: 'Four-in-hand, timed',
  learnerId,
  knot: 'Li Ro Li Co T',
  doneOn: '2026-11-20',
  seconds: [4.5, 5, 4.2, 6.1],
  clean: true,
  ...changes,
});

test('a run is kept for its learner and told in the roster, oldest first; sent twice it is one run', async () => {
  const { learners } = await practice();
  const odo = learners.find(({ label }) => /Odo/.test(label))!;
  const kept = run(odo.id);
  for (const _ of [1, 2]) assert.equal((await send('/api/rehearsals', 'POST', kept)).status, 201);
  const { rehearsals } = await practice();
  const own = rehearsals.filter(({ learnerId }) => learnerId === odo.id);
  assert.equal(own.filter(({ id }) => id === kept.id).length, 1);
  assert.deepEqual(own.at(-1)?.seconds, kept.seconds);
  assert.deepEqual(
    own.map(({ doneOn }) => doneOn),
    own.map(({ doneOn }) => doneOn).toSorted(),
  );
  assert.equal(progressOf('Li Ro Li Co T', own).part, 'length', 'he has finished it three times without a slip');
});

test('a run without a learner, with times that are none or of another studio’s learner is refused in words, all at once', async () => {
  const refused = await send('/api/rehearsals', 'POST', run('', { knot: 'Li Lo T', doneOn: 'yesterday', seconds: [9999] }));
  assert.equal(refused.status, 400);
  const { error } = (await refused.json()) as ProblemBody;
  assert.deepEqual(error.fields.map(({ path }) => path).toSorted(), ['doneOn', 'knot', 'learnerId', 'seconds.0']);
  const gone = await send('/api/rehearsals', 'POST', run(randomUUID()));
  assert.equal(gone.status, 400);
});

test('a remark is added later; an archived learner leaves the roster with their runs', async () => {
  const { learners, rehearsals } = await practice();
  const wren = learners.find(({ label }) => /Wren/.test(label))!;
  const one = rehearsals.find(({ learnerId }) => learnerId === wren.id)!;
  const changed = await send(`/api/rehearsals/${one.id}`, 'PUT', { ...one, note: 'Hold the tail, not the knot.' });
  assert.equal(((await changed.json()) as RehearsalRecord).note, 'Hold the tail, not the knot.');
  assert.equal((await send(`/api/learners/${wren.id}`, 'PUT', { ...wren, archived: true })).status, 200);
  const now = await practice();
  assert.ok(!now.learners.some(({ id }) => id === wren.id));
  assert.ok(!now.rehearsals.some(({ learnerId }) => learnerId === wren.id));
});

test('what was rehearsed goes out as a table and comes back as it was', async () => {
  const text = await (await fetch(`${app.address}/api/export/rehearsals.csv`)).text();
  assert.match(text.split('\n')[0]!, /seconds/);
  const same = await bring('rehearsals.csv', text);
  assert.ok(same.lines.length > 5 && same.lines.every(({ action }) => action === 'same'), JSON.stringify(same.lines[0]));
  const faster = await bring('rehearsals.csv', text.replace('4 4.2 4.3 5.1', '3 3.2 3.3 4.1'));
  assert.deepEqual(
    faster.lines.filter(({ action }) => action !== 'same').map(({ action, details }) => [action, details]),
    [['change', ['Seconds for each step']]],
  );
});
