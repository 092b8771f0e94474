import '../support/dom.ts';
import assert from 'node:assert/strict';
import { beforeEach, mock, test } from 'node:test';
import { Outage, Refusal } from '../../src/islands/wire/http.ts';
import {
  allUnsent,
  askSurely,
  dropUnsent,
  followUnsent,
  giveUpUnsent,
  holdUnsent,
  isOwn,
  sendLeft,
  type Unsent,
} from '../../src/islands/wire/unsent.ts';

const entry = (key: string, more: Partial<Unsent> = {}): Unsent => ({
  key,
  path: `/api/ties/${key}`,
  method: 'POST',
  body: { id: key },
  what: `tie “${key}”`,
  page: '/ties/new',
  ...more,
});
const refusal = (code: string) => ({ error: { code, message: 'No.', fields: [] } });
const kept = () => allUnsent().map(({ key, refused }) => (refused === undefined ? key : `${key}: ${refused}`));

/** Answers by path; tells what was asked, in order. */
function answering(answers: Readonly<Record<string, () => Response>>): string[] {
  const asked: string[] = [];
  mock.method(globalThis, 'fetch', async (path: string) => {
    asked.push(path.split('/').at(-1) ?? '');
    const answer = answers[asked.at(-1) ?? ''];
    if (!answer) throw new TypeError('fetch failed');
    return answer();
  });
  return asked;
}
const fine = () => new Response('{"kept":true}', { status: 201 });
const refused = () => new Response(JSON.stringify(refusal('invalid')), { status: 400 });

beforeEach(() => {
  for (const { key } of allUnsent()) dropUnsent(key);
  mock.restoreAll();
});

test('what is sent is kept on the device until it is answered, one way or the other', async () => {
  const asked = answering({ a: fine, b: refused });
  const answer = askSurely(entry('a'));
  assert.deepEqual(kept(), ['a']);
  assert.deepEqual(await answer, { kept: true });
  assert.deepEqual(kept(), []);
  await assert.rejects(askSurely(entry('b')), Refusal);
  assert.deepEqual([kept(), asked], [[], ['a', 'b']]);
});

test('while the server is away it stays with whoever asked, who alone sends it again', async () => {
  answering({});
  await assert.rejects(askSurely(entry('a')), Outage);
  assert.ok(isOwn('a'));
  const asked = answering({ a: fine });
  assert.deepEqual(await sendLeft(), [], 'not by anybody else on this page');
  assert.deepEqual(asked, []);
  await askSurely(entry('a'));
  assert.deepEqual([kept(), isOwn('a')], [[], false]);
});

test('what pages that are gone have left is sent in turn, once; an outage stops it, a refusal is kept and told', async () => {
  for (const key of ['a', 'b', 'c']) holdUnsent(entry(key));
  holdUnsent(entry('a', { body: { id: 'a', later: true } }));
  assert.deepEqual(kept(), ['a', 'b', 'c'], 'entered again it keeps its turn');
  let asked = answering({ a: fine });
  assert.deepEqual(
    (await sendLeft()).map(({ key, body }) => [key, body]),
    [['a', { id: 'a', later: true }]],
  );
  assert.deepEqual(
    [asked, kept()],
    [
      ['a', 'b'],
      ['b', 'c'],
    ],
  );
  asked = answering({ b: refused, c: fine });
  assert.deepEqual(
    (await sendLeft()).map(({ key }) => key),
    ['c'],
  );
  assert.deepEqual(kept(), ['b: No.']);
  await sendLeft();
  assert.deepEqual(asked, ['b', 'c'], 'what was refused is not sent again by itself');
});

test('what leans on another waits until that is kept', async () => {
  holdUnsent(entry('seen', { after: 'fitting' }));
  holdUnsent(entry('fitting'));
  let asked = answering({ fitting: refused, seen: fine });
  await sendLeft();
  assert.deepEqual([asked, kept()], [['fitting'], ['seen', 'fitting: No.']]);
  dropUnsent('fitting');
  holdUnsent(entry('fitting'));
  asked = answering({ fitting: fine, seen: fine });
  await sendLeft();
  assert.deepEqual([asked, kept()], [['fitting', 'seen'], []]);
});

test('what goes along waits behind what it belongs to, and goes with it where that is refused', async () => {
  answering({});
  await assert.rejects(askSurely(entry('fitting'), [entry('seen')]), Outage);
  assert.deepEqual(kept(), ['fitting', 'seen']);
  let asked = answering({ seen: refused });
  await sendLeft();
  assert.deepEqual(asked, [], 'its fitting is not kept yet');
  asked = answering({ fitting: refused });
  await assert.rejects(askSurely(entry('fitting'), [entry('seen')]), Refusal);
  assert.deepEqual(kept(), []);
});

test('what is given up takes along what waits behind it, and nothing else', async () => {
  answering({});
  holdUnsent(entry('other'));
  await assert.rejects(askSurely(entry('fitting'), [entry('seen')]), Outage);
  giveUpUnsent('fitting');
  assert.deepEqual([kept(), isOwn('fitting')], [['other'], false]);
  const asked = answering({ other: fine, seen: refused });
  await sendLeft();
  assert.deepEqual(asked, ['other']);
});

test('whoever follows is told, also of another window; what can’t be read any more is as good as nothing', () => {
  let told = 0;
  const end = followUnsent(() => told++);
  holdUnsent(entry('a'));
  dropUnsent('a');
  assert.equal(told, 2);
  localStorage.setItem('ropewalk.unsent.b', '{"cut');
  localStorage.setItem('ropewalk.unsent.c', '{"key":"c","at":1}');
  window.dispatchEvent(new window.StorageEvent('storage', { key: 'ropewalk.unsent.b' }));
  assert.equal(told, 3);
  assert.deepEqual(kept(), []);
  end();
  localStorage.clear();
});
