import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { classOf } from '../../../src/core/collar/collar.ts';
import { collarFill } from '../../../src/core/collar/fill.ts';
import { parseKnot, type Tie } from '../../../src/core/index.ts';
import { shapeOf } from '../../../src/core/tying/shape.ts';
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

const shapeFor = (word: string, tie: Tie) =>
  shapeOf(startFor(windingOf(parseKnot(word)), tie, { loopMm: 420, crossingGapMm: 0, dropMm: 450 }).bundle);
const collarOf = (collarSpreadMm: number, tieSpaceMm: number) => ({ collarPointMm: 75, collarSpreadMm, tieSpaceMm });

test('reference fills of the four-in-hand and the Windsor', () => {
  const wanted = { 'Li Ro Li Co T': [0.438, 0.293, 0.239, 0.211], 'Li Co Ri Lo Ci Ro Li Co T': [0.475, 0.352, 0.305, 0.282] };
  for (const [word, fills] of Object.entries(wanted)) {
    const shape = shapeFor(word, tieA);
    for (const [i, [label, spread, space]] of collars.entries()) {
      near(collarFill(collarOf(spread, space), shape).fill, fills[i]!, 0.004, `${word}, ${label}`);
    }
  }
  near(collarFill(collarOf(70, 5), shapeFor('Li Ro Li Co T', tieB)).fill, 0.317, 0.004, 'slim tie, point collar');
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
