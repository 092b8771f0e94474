import assert from 'node:assert/strict';
import test from 'node:test';
import { findAlike, likenessInWords, readLikeness } from '../../../src/core/knotMap/likeness.ts';
import { mappedKnots, signedLean } from '../../../src/core/knotMap/mappedKnots.ts';
import { leanWord } from '../../../src/core/plan/criteria/symmetry.ts';
import { question } from '../../support/ties.ts';

const all = mappedKnots(question);
const from = all.find(({ plan }) => plan.moves === 'Li Ro Li Co T')!;
const wished = (text: string) => findAlike(from, all, readLikeness(text)!);

test('what is wished for is read in everyday words, and told again', () => {
  const told = (text: string) => {
    const likeness = readLikeness(text);
    return likeness && likenessInWords(likeness);
  };
  assert.equal(told('a bit larger than this, level, pulls open'), 'a bit larger, level, pulls open');
  assert.equal(told('Much bigger'), 'much larger');
  assert.equal(told('doesn’t pull open and is easier'), 'does not pull open, easier');
  assert.equal(told('takes up less, fewer moves'), 'takes up less, fewer moves');
  for (const other of ['', 'Windsor', 'Li Ro Li Co T', 'something else']) assert.equal(told(other), undefined, other);
});

test('every knot found has all that was wished for, the most like it first', () => {
  const found = wished('a bit larger than this, level, pulls open');
  assert.ok(found.length > 0);
  for (const knot of found) {
    const wider = knot.plan.shape.topMm - from.plan.shape.topMm;
    assert.ok(wider > 0.5 && wider <= 6, `${wider} mm`);
    assert.equal(leanWord(signedLean(knot)), 'level');
    assert.ok(knot.plan.properties.selfReleasing);
  }
  const much = wished('much larger');
  assert.ok(much.length > 0 && much.every(({ plan }) => plan.shape.topMm > from.plan.shape.topMm + 6));
  const flatter = wished('a bit flatter');
  const lost = flatter.map(({ plan }) => from.plan.shape.heightMm - plan.shape.heightMm);
  assert.ok(lost.length > 0 && lost.every((mm) => mm > 0.5 && mm <= 6));
  assert.ok(
    flatter.some(({ plan }) => Math.abs(plan.shape.topMm - from.plan.shape.topMm) > 6),
    'held to the size that was asked for, not to another',
  );
  assert.ok(wished('fewer moves').every(({ plan }) => plan.properties.moves < 4));
  assert.ok(
    wished('smaller').every(({ plan }) => plan.moves !== from.plan.moves),
    'it is not like itself',
  );
});

test('what works with the tie comes before what doesn’t', () => {
  const works = wished('larger').map(({ plan }) => plan.feasible);
  assert.equal(works.lastIndexOf(true) < works.indexOf(false) || !works.includes(false), true);
  assert.ok(works.includes(true));
});
