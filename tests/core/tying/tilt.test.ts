import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { enumerateKnots, parseKnot, takeUp } from '../../../src/core/index.ts';
import { simulatedTilts } from '../../../src/core/tying/simulatedTilts.ts';
import { tiltOf } from '../../../src/core/tying/tilt.ts';
import { anyKnot } from '../../support/arbitrary.ts';
import { tieA } from '../../support/ties.ts';

const hang = { loopMm: 420, tailMm: 350 };
const tilt = (word: string) => takeUp(parseKnot(word), tieA, hang).shape.tiltDeg;

test('every classic word to nine moves has its simulated tilt, and the core gives just that', () => {
  for (const knot of enumerateKnots(9)) {
    const word = knot.moves.map(({ region, direction }) => region + direction).join(' ');
    assert.equal(takeUp(knot, tieA, hang).shape.tiltDeg, simulatedTilts[word], word);
  }
});

test('the four-in-hand and the victoria lean, half-Windsor and Windsor are level, and of a disputed pair the one that is felt to lean more does', () => {
  const level = ['Li Ro Ci Lo Ri Co T', 'Li Co Ri Lo Ci Ro Li Co T', 'Lo Ci Ro Li Co T'].map((word) => Math.abs(tilt(word)));
  const leaning = ['Li Ro Li Co T', 'Li Ro Li Ro Li Co T', 'Lo Ri Co T'].map((word) => Math.abs(tilt(word)));
  assert.ok(Math.max(...level) < 8 && Math.min(...leaning) > 8);
  assert.ok(Math.abs(tilt('Li Co Ri Lo Ri Co T')) > Math.abs(tilt('Li Co Li Ro Li Co T')));
});

test('a longer word leans like those that end as it does; without a band the flanks tell', () => {
  fc.assert(
    fc.property(anyKnot, (knot) => {
      const degrees = tiltOf(knot);
      assert.ok(degrees !== undefined && Math.abs(degrees) < 60);
    }),
  );
  const longer = tiltOf(parseKnot('Li Ro Li Ro Li Co Ri Lo Ri Co T'));
  assert.ok(longer !== undefined && longer > 8, 'as the cavendish does');
  assert.equal(tiltOf(parseKnot('Li Ro Li Co D')), undefined);
  const { tiltDeg, leftFlankMm, rightFlankMm } = takeUp(parseKnot('Li Ro Li Co D'), tieA, hang).shape;
  assert.equal(Math.sign(tiltDeg), Math.sign(rightFlankMm - leftFlankMm));
});
