import assert from 'node:assert/strict';
import test from 'node:test';
import { formatKnot, KnotWordError, parseKnot } from '../../../src/core/index.ts';
import { familyOf, namedWord, namesOf } from '../../../src/core/knot/names.ts';

/** One knot each, in ways people write it down. */
const writings: readonly (readonly [word: string, ...written: string[]])[] = [
  ['Li Ro Li Co D', 'li ro li co drop', 'L in, R out, L in, centre out, drops', 'Li-Ro-Li-Co-D', 'Li Ro Li Co open'],
  ['N Li Ro Li Co H', 'N Li Ro Li Co', 'narrow: Li Ro Li Co hide', 'narrow end Li Ro Li Co collar', 'n li ro li co h'],
  ['N Li Ro Li Co T', 'N: Li Ro Li Co tuck', 'with the narrow end, Li Ro Li Co through'],
  ['N Li Ro (Li Co) T', 'n li ro (li co) t', 'N Li Ro ( Li , Co ) T', 'N Li Ro (Li Co)36 T', 'N Li Ro (Li Co) 36 mm T'],
  ['N Li Ro (Li Co)28 H', 'N li ro (li co) 28 h', 'narrow end: Li Ro (Li Co)28mm hide'],
];

for (const [word, ...written] of writings) {
  for (const text of written) {
    test(`“${text}” is ${word}`, () => {
      assert.equal(formatKnot(parseKnot(text)), word);
    });
  }
}

/** Told as manoeuvres, in his own view with the blade on the right. */
const told: readonly (readonly [word: string, text: string])[] = [
  ['Li Co D', 'across the front, up and out through the throat, let it drop over the front'],
  ['N Li Ro Li Co H', 'with the narrow end across the front, behind, across the front, up through the throat, under the collar'],
  [
    'N Li Ro (Li Co) T',
    'with the narrow end: across the front, behind, loosely across the front, loosely up and out through the throat, down through the band',
  ],
];

for (const [word, text] of told) {
  test(`told, ${word} is read`, () => {
    assert.equal(formatKnot(parseKnot(text)), word);
  });
}

test('what is told loose and then tight is refused at the move that would draw it tight', () => {
  assert.throws(
    () => parseKnot('with the narrow end across the front, loosely behind, across the front, up through the throat'),
    (error) => error instanceof KnotWordError && error.rule === 'loose' && error.move === 3,
  );
});

test('names hang together: one word each, families of several, the same in every manner', () => {
  assert.equal(familyOf('Windsor').length, 4);
  assert.equal(familyOf('half-Windsor').length, 2);
  assert.equal(familyOf('open Windsor').length, 4);
  assert.equal(familyOf('nobody').length, 0);
  for (const { word } of familyOf('narrow-end Windsor')) assert.ok(word.startsWith('N '));
  assert.deepEqual(namesOf(parseKnot('Li Co Ri Lo Ci Ro Li Co D')), [
    'open Windsor',
    'open full Windsor',
    'open double Windsor',
    'open plain Windsor',
  ]);
  assert.equal(namedWord('N Li Ro Li Co T')?.names[0], 'narrow-end four-in-hand');
  assert.deepEqual(namesOf(parseKnot('N Li Ro (Li Co) T')), [], 'held as it usually is not');
});
