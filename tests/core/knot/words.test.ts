import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { enumerateKnots, formatKnot, frames, knotProperties, parseKnot } from '../../../src/core/index.ts';
import { knotCode, knotOfCode, knotTitle } from '../../../src/core/knot/code.ts';
import { difficultyWord, hardshipsOf } from '../../../src/core/knot/difficulty.ts';
import { findKnot, framesThatRead } from '../../../src/core/knot/find.ts';
import { namedWords } from '../../../src/core/knot/names.ts';
import { nearestKnots } from '../../../src/core/knot/nearest.ts';
import { regionsIn } from '../../../src/core/knot/parse.ts';
import { tyingInWords } from '../../../src/core/knot/steps.ts';
import { anyFrame, anyKnot } from '../../support/arbitrary.ts';

const word = (text: string) => formatKnot(parseKnot(text));

test('told as manoeuvres and read again, every knot is itself, in every frame', () => {
  for (const knot of enumerateKnots(9)) {
    for (const frame of frames) {
      for (const between of [', ', '; then ', ' → ']) {
        assert.equal(formatKnot(parseKnot(tyingInWords(knot, frame).join(between), frame)), formatKnot(knot));
      }
    }
  }
});

test('manoeuvres are read as people say them; a side that is not told is the other one', () => {
  for (const text of [
    'across the front, behind, across the front, up and out through the throat, down through the front',
    'Across the front then behind then across the front then up through the throat, then down through the loop',
    'over the front to the left, around the back, across front, up and out through neck',
  ]) {
    assert.equal(word(text), 'Li Ro Li Co T', text);
  }
  assert.equal(
    word('behind, over and down through the throat, behind to the right, across the front, up and out through the throat'),
    'Lo Ci Ro Li Co T',
  );
  assert.throws(() => parseKnot('across the front, behind, across the front, behind, down through the front'), /must be Co/);
});

test('a code is the knot’s own, and leads back to it', () => {
  fc.assert(fc.property(anyKnot, (knot) => assert.equal(formatKnot(knotOfCode(knotCode(knot))!), formatKnot(knot))));
  const all = enumerateKnots(10).map(knotCode);
  assert.equal(new Set(all).size, all.length);
  assert.equal(knotCode(parseKnot('Lo Ri Co')), '3.1');
  for (const none of ['', '2.1', '7.999', '40.1', 'x']) assert.equal(knotOfCode(none), undefined, none);
  assert.equal(knotTitle(parseKnot('Li Ro Li Co')), 'Four-in-hand');
  assert.equal(knotTitle(parseKnot('Lo Ri Lo Ri Co')), 'Kelvin');
  assert.match(knotTitle(parseKnot('Lo Ri Lo Ri Lo Ri Co')), /^Knot 7\.\d+$/);
});

test('a knot is found by every name it has, however it is written, and a family’s name asks which', () => {
  for (const { names, word: own, family } of namedWords) {
    for (const name of names) {
      for (const text of [name, name.toUpperCase(), `  ${name} knot `]) {
        const found = findKnot(text);
        if (family === name) assert.equal(found.kind, 'several');
        else assert.equal(found.kind === 'one' ? formatKnot(found.knot) : found.kind, own, text);
      }
    }
  }
  const windsors = findKnot('windsor');
  assert.ok(windsors.kind === 'several' && windsors.knots.length === 4);
  const begun = findKnot('half');
  assert.ok(begun.kind === 'names' && begun.entries.length === 2);
});

test('found by its word in any frame, and by its code', () => {
  fc.assert(
    fc.property(anyKnot, anyFrame, (knot, frame) => {
      const found = findKnot(formatKnot(knot, frame), frame);
      assert.ok(found.kind === 'one' && formatKnot(found.knot) === formatKnot(knot));
      const coded = findKnot(`knot ${knotCode(knot)}`);
      assert.ok(coded.kind === 'one' && formatKnot(coded.knot) === formatKnot(knot));
    }),
  );
  assert.equal(findKnot('').kind, 'nothing');
  assert.equal(findKnot('sheepshank').kind, 'nothing');
  const illegal = findKnot('Li Lo Ri Co');
  assert.ok(illegal.kind === 'illegal' && illegal.error.rule === 'same-region');
  assert.equal(framesThatRead('Ri Lo Ri Co T').length, 2);
  assert.deepEqual(framesThatRead('Li Li'), []);
});

test('for a word that is no knot, the nearest that are: one change away where there is one', () => {
  assert.deepEqual(nearestKnots(regionsIn('Li Ro Li Ro')!.regions).map((knot) => formatKnot(knot))[0], 'Li Ro Li Co T');
  assert.ok(nearestKnots(regionsIn('Li Ro Ci Lo Co T')!.regions).some((knot) => formatKnot(knot) === 'Li Ro Ci Lo Ri Co T'));
  fc.assert(
    fc.property(anyKnot, (knot) => {
      const regions = knot.moves.map(({ region }) => region);
      assert.equal(formatKnot(nearestKnots(regions)[0]!), formatKnot(knot), 'a legal word is its own nearest');
    }),
  );
  assert.equal(regionsIn('nonsense'), undefined);
});

test('difficulty is told part by part, and grows with each of them', () => {
  const of = (text: string) => knotProperties(parseKnot(text));
  const total = (text: string) => hardshipsOf(of(text)).reduce((sum, { cost }) => sum + cost, 0);
  assert.ok(total('Li Ro Li Co') < total('Li Ro Li Ro Li Co'));
  assert.ok(total('Li Ro Ci Lo Ri Co') < total('Li Co Ri Lo Ci Ro Li Co'));
  assert.equal(difficultyWord(of('Li Ro Li Co')), 'easy');
  assert.equal(difficultyWord(of('Li Co Ri Lo Ci Ro Li Co')), 'some practice');
  assert.equal(difficultyWord(of('Li Ro Li Co Ri Lo Ci Ro Li Co')), 'demanding');
  assert.ok(hardshipsOf(of('Lo Ri Co')).some(({ text }) => text === 'starts inside out'));
  for (const knot of enumerateKnots(9))
    assert.ok(hardshipsOf(knotProperties(knot)).every(({ cost, text }) => cost >= 0 && !text.includes('undefined')));
});
