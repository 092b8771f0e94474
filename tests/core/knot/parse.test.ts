import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { enumerateKnots, formatKnot, KnotWordError, parseKnot } from '../../../src/core/index.ts';
import { anyFrame, anyKnot } from '../../support/arbitrary.ts';

test('parsing what was formatted gives the knot back, in every frame', () => {
  fc.assert(
    fc.property(anyKnot, anyFrame, (knot, frame) => {
      assert.deepEqual(parseKnot(formatKnot(knot, frame), frame), knot);
    }),
  );
});

test('left and right change places when exactly one convention is turned round', () => {
  const [, fourInHand] = enumerateKnots(4);
  assert.ok(fourInHand);
  assert.equal(formatKnot(fourInHand), 'Li Ro Li Co T');
  assert.equal(formatKnot(fourInHand, { view: 'facing', blade: 'right' }), 'Ri Lo Ri Co T');
  assert.equal(formatKnot(fourInHand, { view: 'own', blade: 'left' }), 'Ri Lo Ri Co T');
  assert.equal(formatKnot(fourInHand, { view: 'facing', blade: 'left' }), 'Li Ro Li Co T');
});

test('text is read generously', () => {
  for (const text of [
    'Li Ro Li Co T',
    'Li Ro Li Co',
    'li-ro-li-co-t',
    'LiRoLiCoT',
    'L in, R out, L in, C out, tuck',
    'left in; right out; left in; centre out; through',
    '  Left into → right outward → left inward → throat out.  ',
  ]) {
    assert.equal(formatKnot(parseKnot(text)), 'Li Ro Li Co T', text);
  }
});

const refusals: readonly [text: string, rule: string, move: number | undefined, message: RegExp][] = [
  ['', 'empty', undefined, /no move/],
  ['T', 'empty', undefined, /no move/],
  ['Li Qo Co T', 'unreadable', 2, /Move 2 cannot be read: “Qo”/],
  ['Ri Lo Ri Co T', 'first-move', 1, /first move goes to the left.*swap left and right/],
  ['Ci Ro Li Co T', 'first-move', 1, /first move goes to the left/],
  ['Li Lo Ri Co T', 'same-region', 2, /Move 2 stays at the left/],
  ['Li Ri Lo Co T', 'alternation', 2, /Move 2 goes in again/],
  ['Lo Co', 'alternation', 2, /goes out again/],
  ['Li Co', 'too-few-moves', undefined, /2 moves do not make a knot: 3 is the fewest/],
  ['Lo Ci Ro Li T', 'last-move', 4, /Move 4 must be Co/],
  ['Lo Ri Lo Ci T', 'last-move', 4, /must be Co/],
  ['Li Co Li Co T', 'front-band', 3, /Move 3 must cross the front/],
  ['Lo Ri Co T Li', 'after-finish', 4, /Nothing can follow the tuck/],
];

for (const [text, rule, move, message] of refusals) {
  test(`“${text}” is refused by the rule ${rule}`, () => {
    assert.throws(
      () => parseKnot(text),
      (error: unknown) => {
        assert.ok(error instanceof KnotWordError);
        assert.equal(error.rule, rule);
        assert.equal(error.move, move);
        assert.match(error.message, message);
        return true;
      },
    );
  });
}

test('refusals speak of the sides as they were written', () => {
  assert.throws(() => parseKnot('Ri Ro Li Co T', { view: 'facing', blade: 'right' }), /Move 2 stays at the right/);
});

test('no text makes it fail in any other way', () => {
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom('L', 'R', 'C', 'i', 'o', ' ', 'T', '-', 'x', 'é') }), (text) => {
      try {
        assert.ok(parseKnot(text).moves.length >= 3);
      } catch (error) {
        assert.ok(error instanceof KnotWordError);
      }
    }),
  );
});
