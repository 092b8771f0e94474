import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { parseKnot, requestDefaults, takeUp } from '../../../src/core/index.ts';
import { normalCdf } from '../../../src/core/numeric/normal.ts';
import { piecewise } from '../../../src/core/numeric/piecewise.ts';
import { aimCodes, aimOn, aims } from '../../../src/core/plan/aims.ts';
import { fabrics, fabricTraits, traitWord } from '../../../src/core/tie/fabrics.ts';
import { supposeTie } from '../../../src/core/tie/tie.ts';
import { compressedThickness, hasSquareEnds, widthAt } from '../../../src/core/tie/width.ts';
import { anyTie } from '../../support/arbitrary.ts';
import { tieA } from '../../support/ties.ts';

test('a tie’s width at its named places', () => {
  const places: readonly [xMm: number, widthMm: number][] = [
    [0, 0],
    [42.5 / 2, 42.5],
    [42.5, 85],
    [840, 34],
    [1470 - 24, 48],
    [1470 - 12, 24],
    [1470, 0],
  ];
  for (const [x, width] of places) assert.ok(Math.abs(widthAt(tieA, x) - width) < 1e-9, `at ${x}`);
  // Half-way between the blade's corner and the neck it is half-way in width.
  assert.ok(Math.abs(widthAt(tieA, (42.5 + 840) / 2) - (85 + 34) / 2) < 1e-9);
});

test('off the tie there is no width', () => {
  for (const x of [-1, 1471, Number.NEGATIVE_INFINITY]) assert.equal(widthAt(tieA, x), 0);
});

test('square-ended fabrics keep their width to both ends', () => {
  const knit = { ...tieA, fabric: 'knit' } as const;
  assert.equal(fabrics.knit.squareEnds, true);
  assert.equal(widthAt(knit, 0), 85);
  assert.equal(widthAt(knit, 1470), 48);
});

test('width is nowhere more than the blade, never jumps, and is least at the neck', () => {
  fc.assert(
    fc.property(anyTie, fc.double({ min: 0, max: 1, noNaN: true }), (tie, share) => {
      const x = share * tie.lengthMm;
      const width = widthAt(tie, x);
      assert.ok(width >= 0 && width <= tie.bladeMm + 1e-9);
      // No steeper than the ends, which run to a point over half their width.
      assert.ok(Math.abs(widthAt(tie, Math.min(tie.lengthMm, x + 1)) - width) <= 2 + 1e-9);
      if (x > tie.bladeMm / 2 && x < tie.lengthMm - tie.tailMm / 2) assert.ok(width >= tie.neckMm - 1e-9);
    }),
  );
});

test('in a drawn-up knot the cloth is 0.62 of its thickness', () => {
  assert.ok(Math.abs(compressedThickness(tieA) - 0.62 * 3.2) < 1e-12);
});

test('what is not known of a tie is supposed from it, what is known is kept', () => {
  const supposed = supposeTie({ lengthMm: 1470, bladeMm: 85, thicknessMm: 3.2 });
  assert.deepEqual([supposed.neckMm, supposed.neckAtMm, supposed.tailMm, supposed.keeperMm], [37, 841, 49, 230]);
  assert.equal(supposeTie({ lengthMm: 1470, bladeMm: 85, thicknessMm: 3.2, neckMm: 30 }).neckMm, 30);
  assert.deepEqual(supposeTie(tieA), { kind: 'long-tie', ...tieA });
  fc.assert(fc.property(anyTie, (tie) => assert.ok(tie.neckMm <= tie.tailMm && tie.tailMm <= tie.bladeMm)));
});

test('aims: the tip never below the belt’s lower edge where it shows, and the finger above is the middle of the default', () => {
  for (const code of aimCodes) {
    const { offsetMm, belowMm } = aimOn(code, 35);
    assert.ok(offsetMm + belowMm <= 35, code);
  }
  assert.deepEqual(requestDefaults.aim, aimOn('finger-above', 35));
  const { 'belt-top': top, 'finger-above': finger } = aims;
  assert.equal(finger.offsetMm - finger.aboveMm, top.offsetMm - top.aboveMm);
  assert.equal(finger.offsetMm + finger.belowMm, top.offsetMm + top.belowMm);
});

test('the normal distribution, at values from tables', () => {
  for (const [z, p] of [
    [0, 0.5],
    [1, 0.8413447],
    [-1.96, 0.0249979],
    [3, 0.9986501],
  ] as const) {
    assert.ok(Math.abs(normalCdf(z) - p) < 2e-7, `at ${z}`);
  }
});

test('a curve through points is straight between them and level beyond', () => {
  const curve = piecewise([
    [0, 1],
    [10, 2],
    [20, 0],
  ]);
  assert.deepEqual([-5, 0, 5, 10, 15, 20, 99].map(curve), [1, 1, 1.5, 2, 1, 0, 0]);
});

test('a measured profile is run through, and only it: the rest of the taper stays as it was', () => {
  const profile = [
    { atMm: 300, widthMm: 70 },
    { atMm: 500, widthMm: 50 },
  ];
  const tie = { ...tieA, profile };
  assert.equal(widthAt(tie, 300), 70);
  assert.equal(widthAt(tie, 500), 50);
  assert.equal(widthAt(tie, 400), 60);
  for (const at of [0, 20, 42.5, tieA.neckAtMm, 1000, 1446, 1470])
    assert.ok(Math.abs(widthAt(tie, at) - widthAt(tieA, at)) < 1e-9, `${at}`);
  assert.equal(widthAt({ ...tieA, profile: [] }, 400), widthAt(tieA, 400));
});

test('a profile measured on the straight taper changes nothing; a slimmer one makes smaller knots', () => {
  const onTaper = [200, 450, 700, 1100].map((atMm) => ({ atMm, widthMm: widthAt(tieA, atMm) }));
  const knot = parseKnot('Li Ro Li Co T');
  const hang = { loopMm: 420, tailMm: 412.9 };
  const straight = takeUp(knot, tieA, hang);
  assert.ok(Math.abs(takeUp(knot, { ...tieA, profile: onTaper }, hang).takeUpMm - straight.takeUpMm) < 1e-9);
  const slim = takeUp(knot, { ...tieA, profile: [{ atMm: 550, widthMm: 40 }] }, hang);
  assert.ok(slim.takeUpMm < straight.takeUpMm && slim.shape.topMm < straight.shape.topMm);
});

test('ends are as the tie says, or as its fabric usually has them', () => {
  assert.equal(hasSquareEnds({ ...tieA, fabric: 'knit' }), true);
  assert.equal(hasSquareEnds({ ...tieA, fabric: 'knit', ends: 'pointed' }), false);
  assert.equal(widthAt({ ...tieA, ends: 'square' }, 0), tieA.bladeMm);
});

test('every fabric’s figures are shares, told in words', () => {
  for (const fabric of Object.values(fabrics)) {
    for (const figure of [fabric.grip, fabric.dimple, fabric.stiffness, fabric.compression]) assert.ok(figure > 0 && figure <= 1);
    for (const trait of fabricTraits) assert.ok(trait.words.includes(traitWord(trait, fabric)));
    assert.ok(fabric.sheen >= 0 && fabric.sheen <= 1);
  }
  assert.equal(fabrics['woven-silk'].compression, 0.62, 'the model’s own, on which the reference answers stand');
});
