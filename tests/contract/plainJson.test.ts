import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { plainJson } from '../../src/contract/plainJson.ts';
import { checkRecord } from '../../src/contract/records/checkRecord.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';

test('what is written as JSON comes back the same', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const text = JSON.stringify(value);
      fc.pre(!Object.getOwnPropertyNames(Object.prototype).some((name) => text.includes(name)));
      assert.deepEqual(plainJson(text), JSON.parse(text));
    }),
  );
  assert.deepEqual(plainJson('{"note":"caf\\u00e9 toString","deep":[{"a":null}]}'), { note: 'café toString', deep: [{ a: null }] });
  assert.throws(() => plainJson('{"a":'), SyntaxError);
});

test('fields in the place of what every object has are left out, however they are written', () => {
  for (const text of [
    '{"a":1,"toString":true}',
    '{"a":1,"deep":{"valueOf":0,"__proto__":{"b":2},"hasOwnProperty":null}}',
    '{"a":1,"\\u0074oString":true}',
    '{"a":1,"to\\u0053tring":[{"constructor":1}]}',
  ]) {
    const { deep, ...rest } = plainJson(text) as { readonly deep?: object };
    assert.deepEqual({ ...rest }, { a: 1 });
    assert.deepEqual(Object.keys(deep ?? {}), []);
    assert.equal(String(plainJson(text)), '[object Object]');
  }
});

test('a measure that is an object of its own kind is a fault told in words', () => {
  const { faults } = checkRecord(
    'ties',
    { ...kinds.ties.fresh, ...(plainJson('{"bladeMm":{"toString":true,"u":-1e308}}') as object) },
    'cm',
  );
  assert.ok(faults?.some(({ path, message }) => path === 'bladeMm' && message.length > 0));
});
