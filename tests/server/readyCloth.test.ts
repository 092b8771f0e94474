import assert from 'node:assert/strict';
import test from 'node:test';
import { enumerateKnots } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import { readyCloth } from '../../src/server/readyCloth.ts';

test('every classic knot to nine moves is kept ready, clean in its figures', async () => {
  for (const knot of enumerateKnots(9)) {
    const code = knotCode(knot);
    const cloth = await readyCloth(code);
    assert.ok(cloth, code);
    const { active, standing, columns } = cloth;
    assert.equal(active.position.length, 3 * columns * active.rows);
    assert.equal(standing.rest.length, standing.rows - 1);
    assert.deepEqual([active.parts[0], active.parts.at(-1)], ['arm', 'hang']);
    assert.ok(
      [...active.rest, ...standing.rest].every((mm) => mm > 0 && mm < 40),
      code,
    );
    assert.ok(active.parts.includes('band') && active.parts.includes('tuck'), code);
  }
});

test('what is not kept is not there, whatever it is called', async () => {
  for (const code of ['11.1', 'o4.99', 'n8.5-7', 'index', '']) assert.equal(await readyCloth(code), undefined, code);
});
