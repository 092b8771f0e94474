import assert from 'node:assert/strict';
import test from 'node:test';
import { formatKnot, KnotWordError, parseKnot } from '../../../src/core/index.ts';
import { findKnot } from '../../../src/core/knot/find.ts';
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

/** Told as manoeuvres, in the wearer’s mirror with the blade on the right. */
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

test('plain everyday words are read too', () => {
  for (const text of [
    'over, under, over, up, through',
    'across the front, behind, across the front, up through the neck loop, down through the front loop',
    'over the front, round the back, over the front, up through the neck-loop and tuck it down',
    'across then behind then across then up and down',
  ])
    assert.equal(formatKnot(parseKnot(text)), 'Li Ro Li Co T', text);
});

test('a name is found by its figures, and by a near miss', () => {
  const found = findKnot('4-in-hand');
  assert.ok(found.kind === 'one' && formatKnot(found.knot) === 'Li Ro Li Co T');
  for (const [slip, name] of [
    ['windser', 'Windsor'],
    ['four in hnad', 'Four-in-hand'],
    ['platsburg', 'Plattsburgh'],
    ['cavendisch', 'Cavendish'],
  ] as const) {
    const near = findKnot(slip);
    assert.ok(near.kind === 'names' && near.entries[0]?.names[0] === name, slip);
  }
  assert.equal(findKnot('sheepshank').kind, 'nothing');
});

test('what is told loose and then tight is refused at the move that would draw it tight', () => {
  assert.throws(
    () => parseKnot('with the narrow end across the front, loosely behind, across the front, up through the throat'),
    (error) => error instanceof KnotWordError && error.rule === 'loose' && error.move === 3,
  );
});

test('names hang together: one word each, families of several, the same in every manner', () => {
  assert.equal(familyOf('Windsor').length, 4);
  assert.equal(familyOf('Half-Windsor').length, 2);
  assert.equal(familyOf('Windsor (open front)').length, 4);
  assert.equal(familyOf('nobody').length, 0);
  for (const { word } of familyOf('Windsor (tail ties)')) assert.ok(word.startsWith('N '));
  assert.deepEqual(namesOf(parseKnot('Li Co Ri Lo Ci Ro Li Co D')), [
    'Windsor (open front)',
    'Full Windsor (open front)',
    'Double Windsor (open front)',
    'Plain Windsor (open front)',
  ]);
  assert.equal(namedWord('N Li Ro Li Co T')?.names[0], 'Four-in-hand (tail ties)');
  assert.deepEqual(namesOf(parseKnot('N Li Ro (Li Co) T')), [], 'held as it usually is not');
});
