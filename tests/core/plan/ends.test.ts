import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { parseKnot, plan } from '../../../src/core/index.ts';
import { endsOf, type TiedEnds } from '../../../src/core/plan/tail.ts';
import { startFor } from '../../../src/core/tying/start.ts';
import { windingOf } from '../../../src/core/tying/winding.ts';
import { anyTie } from '../../support/arbitrary.ts';
import { question, tieA } from '../../support/ties.ts';

const tipSdMm = 25;
const tied = (word: string, changes: Partial<TiedEnds> = {}): TiedEnds => {
  const knot = parseKnot(word);
  return {
    active: knot.active,
    start: startFor(windingOf(knot), tieA, { loopMm: 420, dropMm: 450 }),
    loopMm: 420,
    tipDropMm: 450,
    tipSdMm,
    keeperMm: 230,
    knotHeightMm: 50,
    jacket: null,
    ...changes,
  };
};
const resting = (restMm: number) => endsOf(tied('N Li Ro Li Co H', { start: { ...tied('N Li Ro Li Co H').start, restMm } }));
const waistcoat = { lapelMm: 80, waistcoat: true, worn: 'open', lapelKind: 'notch', cut: 'single', buttoningMm: null } as const;

test('what is left of a tail that ties is too short, hidden, or too long, by as much as it is told', () => {
  assert.deepEqual(resting(40).refusal, { code: 'tail-too-short', byMm: 20 });
  assert.equal(resting(200).refusal, null);
  assert.ok(resting(200).tail.hidden);
  assert.deepEqual(resting(400).refusal, { code: 'tail-too-long-to-hide', byMm: 85 });
  assert.ok(!resting(400).tail.hidden);
  assert.equal(resting(200).shorterByMm, 140);
  assert.equal(resting(40).shorterByMm, -20);
});

test('under the collar no keeper is reached, and no waistcoat hides an end that is too long', () => {
  const of = endsOf(tied('N Li Ro Li Co H', { jacket: waistcoat, start: { ...tied('N Li Ro Li Co H').start, restMm: 400 } }));
  assert.equal(of.refusal?.code, 'tail-too-long-to-hide');
  assert.ok(!of.tail.reachesKeeper);
  assert.equal(of.tail.dropMm, 0);
});

const hanging = (tailMm: number, changes: Partial<TiedEnds> = {}) =>
  endsOf(tied('Li Ro Li Co T', { start: { ...tied('Li Ro Li Co T').start, tailMm }, ...changes }));

test('a hanging tail: too short to hold, through the keeper, level with the blade, below it', () => {
  assert.deepEqual(hanging(90).refusal, { code: 'tail-too-short', byMm: 20 });
  assert.equal(hanging(300).refusal, null);
  assert.ok(hanging(300).tail.reachesKeeper && hanging(300).tail.works > 0.99);
  // Ends that are level are what some aim for.
  assert.ok(hanging(450).tail.hidden && hanging(450).refusal === null);
  assert.deepEqual(hanging(480).refusal, { code: 'tail-below-blade', byMm: 30 });
  assert.equal(hanging(480, { jacket: waistcoat }).refusal, null);
  assert.equal(hanging(495, { jacket: waistcoat }).refusal?.code, 'tail-below-blade');
});

test('nothing hangs on a knife edge: the chance that a tail works falls evenly through level', () => {
  const works = [420, 440, 450, 460, 470].map((tailMm) => hanging(tailMm).tail.works);
  for (const [i, each] of works.entries()) if (i > 0) assert.ok(each < works[i - 1]! && works[i - 1]! - each < 0.35);
  assert.ok(Math.abs(works[2]! - 0.5) < 0.01);
});

test('landmarks are told for the end that is set, nearest first: the tail, or the blade where the tail ties', () => {
  for (const { start, properties } of plan({ ...question, taste: { manner: 'any', knots: 'named' } }).knots) {
    const set = start.set.dropMm;
    assert.equal(start.set.end, properties.active === 'blade' ? 'tail' : 'blade');
    assert.equal(set, start.set.end === 'tail' ? start.tailDropMm : start.bladeDropMm);
    const offsets = start.landmarks.map(({ offsetMm }) => Math.abs(offsetMm));
    assert.deepEqual(
      offsets,
      offsets.toSorted((a, b) => a - b),
    );
    const at = start.landmarks.map(({ offsetMm }) => set - offsetMm);
    assert.ok(at.every((mm) => mm > 0 && mm < 700));
  }
});

test('what is wrong with a tail that ties is said of the tail, and never that the blade could hide it', () => {
  const { knots, advice } = plan({ ...question, tie: { ...question.tie, lengthMm: 1900 }, taste: { manner: 'narrow', knots: 'named' } });
  const long = knots.filter(({ refusal }) => refusal?.code === 'tail-too-long-to-hide');
  assert.ok(long.length > 0);
  for (const { refusal, reasons } of long) {
    assert.match(refusal?.text ?? '', /goes under the collar/);
    assert.doesNotMatch(reasons.map(({ text }) => text).join(' '), /below the blade/);
  }
  assert.ok(knots.every(({ feasible }) => !feasible));
  assert.match(advice.map(({ text }) => text).join(' '), /left to hide/);
});

test('who wants a knot that pulls open is told that one the tail ties has to be untied', () => {
  const { knots } = plan({ ...question, taste: { manner: 'any', knots: 'named', release: 'wanted' } });
  for (const { properties, reasons } of knots) {
    const said = reasons.find(({ code }) => code === 'release');
    assert.equal(said?.verdict, properties.selfReleasing ? 'good' : 'poor');
    if (properties.active === 'narrow') assert.match(said?.text ?? '', /untied move by move/);
    if (properties.manner === 'open') assert.equal(said?.verdict, 'good');
  }
});

test('the chance of landing does not depend on the knot where the blade is set first', () => {
  fc.assert(
    fc.property(anyTie, (tie) => {
      const { knots } = plan({ ...question, tie, taste: { manner: 'narrow', knots: 'named' } });
      assert.equal(new Set(knots.map(({ tip }) => tip.inBandProbability)).size, 1);
    }),
    { numRuns: 20 },
  );
});
