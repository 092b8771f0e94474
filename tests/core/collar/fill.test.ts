import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { classOf } from '../../../src/core/collar/collar.ts';
import { collarFill } from '../../../src/core/collar/fill.ts';
import { parseKnot, type Tie } from '../../../src/core/index.ts';
import { shapeOf } from '../../../src/core/tying/shape.ts';
import { stanceOf } from '../../../src/core/tying/stance.ts';
import { startFor } from '../../../src/core/tying/start.ts';
import { windingOf } from '../../../src/core/tying/winding.ts';
import { near } from '../../support/near.ts';
import { tieA, tieB } from '../../support/ties.ts';

const collars = [
  ['point', 70, 5],
  ['semi-spread', 110, 8],
  ['wide spread', 135, 10],
  ['cutaway', 150, 12],
] as const;

const shapeFor = (word: string, tie: Tie) => {
  const knot = parseKnot(word);
  return shapeOf(startFor(windingOf(knot), tie, { loopMm: 420, dropMm: 450 }).bundle, stanceOf(knot));
};
const collarOf = (collarSpreadMm: number, tieSpaceMm: number) => ({ collarPointMm: 75, collarSpreadMm, tieSpaceMm });

test('reference fills of the Four-in-hand, the Half-Windsor and the Windsor', () => {
  const wanted = {
    'Li Ro Li Co T': [0.465, 0.303, 0.244, 0.214],
    'Li Ro Ci Lo Ri Co T': [0.528, 0.358, 0.295, 0.263],
    'Li Co Ri Lo Ci Ro Li Co T': [0.567, 0.393, 0.329, 0.297],
  };
  for (const [word, fills] of Object.entries(wanted)) {
    const shape = shapeFor(word, tieA);
    for (const [i, [label, spread, space]] of collars.entries()) {
      near(collarFill(collarOf(spread, space), shape).fill, fills[i]!, 0.004, `${word}, ${label}`);
    }
  }
  near(collarFill(collarOf(70, 5), shapeFor('Li Ro Li Co T', tieB)).fill, 0.336, 0.004, 'slim tie, point collar');
});

test('collars are classed by their opening', () => {
  for (const [label, spread, space] of collars) assert.equal(classOf(collarOf(spread, space)).label, label);
});

test('opening the collar wider never raises the share that is covered', () => {
  const shape = shapeFor('Li Ro Ci Lo Ri Co T', tieA);
  fc.assert(
    fc.property(fc.integer({ min: 50, max: 140 }), fc.integer({ min: 1, max: 10 }), (spread, more) => {
      assert.ok(collarFill(collarOf(spread + more, 8), shape).fill <= collarFill(collarOf(spread, 8), shape).fill);
    }),
  );
});

test('the fill grows with the size of the knot, however far it runs down the edge', () => {
  fc.assert(
    fc.property(fc.integer({ min: 50, max: 140 }), fc.double({ min: 1.02, max: 1.4, noNaN: true }), (spread, by) => {
      const shape = shapeFor('Li Co Ri Lo Ci Ro Li Co T', tieA);
      const larger = { ...shape, topMm: shape.topMm * by, bottomMm: shape.bottomMm * by };
      assert.ok(collarFill(collarOf(spread, 8), larger).fill > collarFill(collarOf(spread, 8), shape).fill);
    }),
  );
});
