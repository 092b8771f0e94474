import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { enumerateKnots, formatKnot, type Knot, KnotWordError, knotProperties, parseKnot } from '../../../src/core/index.ts';
import { knotCode, knotOfCode, knotTitle } from '../../../src/core/knot/code.ts';
import { difficultyWord, hardshipsOf } from '../../../src/core/knot/difficulty.ts';
import { findKnot } from '../../../src/core/knot/find.ts';
import { wordPattern } from '../../../src/core/knot/format.ts';
import { type Manner, twoFingersMm } from '../../../src/core/knot/knot.ts';
import { knotsInManner, mannerCodes, mannerOf } from '../../../src/core/knot/manners.ts';
import { nearestKnots } from '../../../src/core/knot/nearest.ts';
import { regionsIn } from '../../../src/core/knot/parse.ts';
import { tyingInWords } from '../../../src/core/knot/steps.ts';
import { isUnknotted } from '../../../src/core/topology/alexander.ts';
import { anyFrame } from '../../support/arbitrary.ts';
import { bladeStrand } from '../../support/spaceCurve.ts';
import { provedUnknotted } from '../../support/straighten.ts';

const everyKnot = mannerCodes.flatMap((code) => knotsInManner(code, 9));
const anyKnotAtAll: fc.Arbitrary<Knot> = fc.oneof(
  fc.constantFrom(...everyKnot),
  fc
    .tuple(fc.constantFrom(...knotsInManner('narrow', 9)), fc.nat({ max: 8 }), fc.integer({ min: 20, max: 60 }))
    .map(([{ loose: _, ...knot }, from, diameterMm]) => ({ ...knot, loose: { from: 1 + (from % knot.moves.length), diameterMm } })),
);

test('without a tuck there are as many words, one move shorter', () => {
  const open: Manner = { active: 'blade', finish: 'open' };
  for (let moves = 2; moves <= 13; moves++) {
    const count = (manner: Manner | undefined, of: number) => enumerateKnots(of, manner).filter((knot) => knot.moves.length === of).length;
    assert.equal(count(open, moves), count(undefined, moves + 1));
  }
  assert.equal(new Set(everyKnot.map((knot) => formatKnot(knot))).size, everyKnot.length);
});

test('every knot of every family is written, read, told and coded without loss, in every frame', () => {
  fc.assert(
    fc.property(anyKnotAtAll, anyFrame, (knot, frame) => {
      const word = formatKnot(knot, frame);
      assert.match(formatKnot(knot), wordPattern);
      assert.deepEqual(parseKnot(word, frame), knot);
      assert.deepEqual(parseKnot(word.toLowerCase().replaceAll(' ', '-'), frame), knot);
      assert.deepEqual(knotOfCode(knotCode(knot)), knot);
      const told = parseKnot(tyingInWords(knot, frame).join(', '), frame);
      // In everyday words loose is two fingers: no diameter is told.
      assert.deepEqual(told, knot.loose ? { ...knot, loose: { ...knot.loose, diameterMm: twoFingersMm } } : knot);
    }),
  );
});

const refused: readonly (readonly [word: string, rule: string, says: RegExp])[] = [
  ['N Li Ro Li Co D', 'manner', /hanging in front/],
  ['Li Ro Li Co H', 'manner', /blade can’t be hidden/],
  ['Li Ro (Li Co) T', 'loose', /for the tail/],
  ['N Li (Ro Li) Co T', 'loose', /Move 4 would be drawn tight/],
  ['N Li Ro (Li Co T', 'loose', /not closed/],
  ['N Li Ro () Li Co T', 'loose', /no moves/],
  ['N (Li Ro (Li Co) T', 'loose', /one pair/],
  ['N Li Ro (Li Co)90 T', 'loose', /20 to 60 mm/],
  ['Li D', 'too-few-moves', /2 is the fewest/],
  ['Li Ro D', 'last-move', /drop over the front/],
  ['N Li Ro Lo Co H', 'alternation', /an end in front can only go behind/],
  ['N Ri Lo Ri Co H', 'first-move', /the tail starts there/],
  ['Li Co D D', 'after-finish', /panel/],
];

for (const [word, rule, says] of refused) {
  test(`“${word}” is refused by the rule ${rule}`, () => {
    assert.throws(
      () => parseKnot(word),
      (error) => error instanceof KnotWordError && error.rule === rule && says.test(error.message),
    );
  });
}

test('near a word that cannot be finished so stand those that can', () => {
  for (const word of ['N Li Ro Li Co D', 'Li Ro Li Co H', 'Li Ro Li D']) {
    const read = regionsIn(word);
    assert.ok(read);
    for (const knot of nearestKnots(read.regions, read.manner)) assert.deepEqual(parseKnot(formatKnot(knot)), knot);
  }
});

test('knots of every family are found by name, and a shared name asks in each', () => {
  const found = (text: string) => {
    const answer = findKnot(text);
    return answer.kind === 'one' ? formatKnot(answer.knot) : answer.kind;
  };
  assert.equal(found('Four-in-hand (open front)'), 'Li Ro Li Co D');
  assert.equal(found('plain panel'), 'Li Co D');
  assert.equal(found('victoria, tail ties'), 'N Li Ro Li (Ro Li Co) T');
  assert.equal(found('triple Windsor'), 'Li Ro Li Co Ri Lo Ci Ro Li Co T');
  assert.equal(found('Windsor open front'), 'several');
  assert.equal(found('narrow: Li Ro Li Co'), 'N Li Ro Li Co H');
  assert.equal(knotTitle(parseKnot('Li Co Li Co Li Co D')), `Knot ${knotCode(parseKnot('Li Co Li Co Li Co D'))}`);
  for (const code of ['o4.99', 'x4.1', '4.1-2', 'n4.1-5', 'h99.1', '']) assert.equal(knotOfCode(code), undefined, code);
});

/** As for the classic ones, both ways are proofs. */
test('whether it pulls open is proved for every family from the space curve', () => {
  for (const { loose: _, ...knot } of everyKnot.filter(({ moves }) => moves.length <= 8)) {
    const { selfReleasing, activeDrawn } = knotProperties(knot);
    const opens = activeDrawn === 'opens';
    const strand = bladeStrand(knot);
    if (opens) assert.ok(provedUnknotted(strand), `${formatKnot(knot)} was not straightened`);
    else assert.ok(!isUnknotted(strand), `${formatKnot(knot)} is not proved to be knotted`);
    assert.equal(selfReleasing, opens && knot.active === 'blade');
  }
});

test('the family follows from which end ties and how it ends, and loose turns make it harder', () => {
  assert.equal(mannerOf(parseKnot('Li Ro Li Co')), 'classic');
  assert.equal(mannerOf(parseKnot('Li Ro Li Co D')), 'open');
  assert.equal(mannerOf(parseKnot('N Li Ro Li Co T')), 'narrow');
  const cost = (word: string) => hardshipsOf(knotProperties(parseKnot(word))).reduce((sum, part) => sum + part.cost, 0);
  assert.ok(cost('N Li Ro Li Co T') > cost('Li Ro Li Co T'));
  assert.ok(cost('N Li Ro (Li Co) T') > cost('N Li Ro Li Co T'));
  assert.equal(difficultyWord(knotProperties(parseKnot('Li Co D'))), 'easy');
});
