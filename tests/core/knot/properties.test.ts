import assert from 'node:assert/strict';
import test from 'node:test';
import { knotProperties, parseKnot } from '../../../src/core/index.ts';

/** Symmetry and balance as printed with the published enumeration. */
const published: readonly [word: string, centres: number, symmetry: number, balance: number, seam: 'in' | 'out', releases: boolean][] = [
  ['Lo Ri Co T', 1, 0, 0, 'out', false],
  ['Li Ro Li Co T', 1, 1, 1, 'in', true],
  ['Lo Ci Ro Li Co T', 2, 1, 0, 'out', true],
  ['Lo Ci Lo Ri Co T', 2, 1, 1, 'out', false],
  ['Li Ro Ci Lo Ri Co T', 2, 0, 0, 'in', false],
  ['Li Ro Ci Ro Li Co T', 2, 0, 1, 'in', true],
  ['Li Co Ri Lo Ci Ro Li Co T', 3, 1, 0, 'in', true],
];

for (const [word, centres, symmetry, balance, startSeam, selfReleasing] of published) {
  test(`properties of ${word}`, () => {
    const { names, everyday, described, family: _, ...rest } = knotProperties(parseKnot(word));
    const classic = { manner: 'classic', active: 'blade', finish: 'tuck', activeDrawn: selfReleasing ? 'opens' : 'jams' };
    assert.deepEqual(rest, { moves: word.split(' ').length - 1, centres, symmetry, balance, startSeam, selfReleasing, ...classic });
    assert.ok(names.length > 0);
    assert.equal(described, false);
    assert.equal(everyday, ['Four-in-hand', 'Half-Windsor', 'Windsor'].includes(names[0] ?? ''));
  });
}

test('the parity of the moves decides how the tie is laid', () => {
  assert.equal(knotProperties(parseKnot('Lo Ri Lo Ri Co T')).startSeam, 'out');
  assert.equal(knotProperties(parseKnot('Li Ro Li Ro Li Co T')).startSeam, 'in');
});
