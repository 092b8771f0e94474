import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { throwAt } from '../../scripts/faults/hostile.ts';
import { type App, startApp } from '../support/app.ts';

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

test('whatever is thrown at it is refused in words of its own, and it goes on', async () => {
  const { sent, answered, wrong } = await throwAt({ address: app.address, count: 1200, seed: 11 });
  assert.deepEqual(wrong, []);
  assert.equal(sent, 1200);
  // Some of it hit what is checked, some went through, some was no request at all.
  for (const status of [200, 400, 404, 405]) assert.ok((answered[status] ?? 0) > 10, `${answered[status]} × ${status}`);
  assert.equal((await fetch(`${app.address}/api/health`)).status, 200);
  for (const path of ['/clients?on=null', '/wardrobe?on=yesterday', '/people?on=0000-00-00'])
    assert.equal((await fetch(app.address + path)).status, 200, path);
  const twice = await fetch(`${app.address}/api/ties/%2561`);
  assert.deepEqual([twice.status, ((await twice.json()) as { error: { code: string } }).error.code], [400, 'bad-address']);
});
