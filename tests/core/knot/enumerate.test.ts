import assert from 'node:assert/strict';
import test from 'node:test';
import { enumerateKnots, formatKnot, parseKnot } from '../../../src/core/index.ts';
import { knotsInManner, mannerCodes } from '../../../src/core/knot/manners.ts';
import { namedWords } from '../../../src/core/knot/names.ts';

const choose = (n: number, k: number): number => (k < 0 || k > n ? 0 : k === 0 ? 1 : (choose(n - 1, k - 1) * n) / k);

test('there are 85 classic knots to nine moves: 1, 1, 3, 5, 11, 21, 43', () => {
  const counts = new Map<number, number>();
  for (const { moves } of enumerateKnots(9)) counts.set(moves.length, (counts.get(moves.length) ?? 0) + 1);
  assert.deepEqual([...counts.values()], [1, 1, 3, 5, 11, 21, 43]);
});

test('counts by number of centre moves follow the closed form to 14 moves', () => {
  const counted = new Map<string, number>();
  for (const { moves } of enumerateKnots(14)) {
    const key = `${moves.length}/${moves.filter(({ region }) => region === 'C').length}`;
    counted.set(key, (counted.get(key) ?? 0) + 1);
  }
  for (let h = 3; h <= 14; h++) {
    for (let centres = 1; centres < h; centres++) {
      const expected = 2 ** (centres - 1) * choose(h - centres - 2, centres - 1);
      assert.equal(counted.get(`${h}/${centres}`) ?? 0, expected, `${h} moves, ${centres} of them centre`);
    }
  }
});

test('fewest moves come first, no word twice, and every word is legal', () => {
  const knots = enumerateKnots(10);
  const words = knots.map((knot) => formatKnot(knot));
  assert.equal(new Set(words).size, words.length);
  const lengths = knots.map(({ moves }) => moves.length);
  assert.deepEqual(
    lengths,
    lengths.toSorted((a, b) => a - b),
  );
  for (const word of words) assert.equal(formatKnot(parseKnot(word)), word);
});

test('every named word is one of them, under a name of its own', () => {
  const words = new Set(mannerCodes.flatMap((code) => knotsInManner(code, 10)).map((knot) => formatKnot(knot)));
  for (const { word } of namedWords) assert.ok(words.has(word), word);
  assert.equal(new Set(namedWords.map(({ names }) => names[0])).size, namedWords.length);
});
