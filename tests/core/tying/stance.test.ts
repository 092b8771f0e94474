import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { enumerateKnots, parseKnot, takeUp } from '../../../src/core/index.ts';
import { leanDegOf } from '../../../src/core/tying/shape.ts';
import { simulatedStances } from '../../../src/core/tying/simulatedStances.ts';
import { stanceOf } from '../../../src/core/tying/stance.ts';
import { anyKnot } from '../../support/arbitrary.ts';
import { tieA } from '../../support/ties.ts';

const hang = { loopMm: 420, tailMm: 350 };

test('every classic word to nine moves has its simulated stance, and the core gives just that', () => {
  for (const knot of enumerateKnots(9)) {
    const word = knot.moves.map(({ region, direction }) => region + direction).join(' ');
    const { tiltDeg, overhangDeg } = takeUp(knot, tieA, hang).shape;
    assert.deepEqual([tiltDeg, overhangDeg], simulatedStances[word], word);
  }
});

test('the four-in-hand and the victoria lean, half-Windsor and Windsor are level, and of a disputed pair the one that is felt to lean more does', () => {
  const lean = (word: string) => Math.abs(leanDegOf(takeUp(parseKnot(word), tieA, hang).shape));
  const level = ['Li Ro Ci Lo Ri Co T', 'Li Co Ri Lo Ci Ro Li Co T', 'Lo Ci Ro Li Co T', 'Lo Ci Lo Ri Co T'].map(lean);
  const leaning = ['Li Ro Li Co T', 'Li Ro Li Ro Li Co T'].map(lean);
  assert.ok(Math.max(...level) < 10 && Math.min(...leaning) > 10, `${level} and ${leaning}`);
  assert.ok(lean('Li Co Ri Lo Ri Co T') > lean('Li Co Li Ro Li Co T'));
});

test('a longer word leans like those that end as it does; without a band the flanks tell', () => {
  fc.assert(
    fc.property(anyKnot, (knot) => {
      const stance = stanceOf(knot);
      assert.ok(stance && Math.abs(stance.tiltDeg) < 60 && Math.abs(stance.overhangDeg) < 30);
    }),
  );
  const cavendish = stanceOf(parseKnot('Li Ro Li Co Ri Lo Ri Co T'));
  assert.ok(cavendish && Math.abs(cavendish.tiltDeg) > 1);
  assert.deepEqual(stanceOf(parseKnot('Li Ro Li Ro Li Co Ri Lo Ri Co T')), cavendish);
  assert.equal(stanceOf(parseKnot('Li Ro Li Co D')), undefined);
  const { tiltDeg, leftFlankMm, rightFlankMm } = takeUp(parseKnot('Li Ro Li Co D'), tieA, hang).shape;
  assert.equal(Math.sign(tiltDeg), Math.sign(rightFlankMm - leftFlankMm));
});

test('the lean is the tilt, or the overhang where the knot stands aside more than its band tilts', () => {
  assert.equal(leanDegOf({ tiltDeg: -13, overhangDeg: 4 }), -13);
  assert.equal(leanDegOf({ tiltDeg: 4, overhangDeg: -9 }), -9);
  const overhung = Object.entries(simulatedStances).filter(
    ([, [tilt, overhang]]) => Math.abs(overhang) > Math.abs(tilt) && Math.abs(overhang) >= 3,
  );
  assert.ok(overhung.length > 0, 'there are such knots');
  for (const [word, [, overhang]] of overhung) assert.equal(leanDegOf(takeUp(parseKnot(`${word} T`), tieA, hang).shape), overhang);
});
