import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { parseKnot, plan } from '../../../src/core/index.ts';
import { endToSet } from '../../../src/core/plan/setting.ts';
import { endsOf, type TiedEnds } from '../../../src/core/plan/tail.ts';
import { startFor } from '../../../src/core/tying/start.ts';
import { windingOf } from '../../../src/core/tying/winding.ts';
import { anyTie } from '../../support/arbitrary.ts';
import { question, tieA } from '../../support/ties.ts';

const tied = (word: string, changes: Partial<TiedEnds> = {}): TiedEnds => {
  const knot = parseKnot(word);
  return {
    active: knot.active,
    start: startFor(windingOf(knot), tieA, { loopMm: 420, crossingGapMm: 0, dropMm: 450 }),
    loopMm: 420,
    crossingGapMm: 0,
    tipDropMm: 450,
    keeperMm: 230,
    knotHeightMm: 50,
    jacket: null,
    ...changes,
  };
};
const resting = (restMm: number) => endsOf(tied('N Li Ro Li Co H', { start: { ...tied('N Li Ro Li Co H').start, restMm } }));

test('what is left of a narrow end is too short, hidden, or too long, by as much as it is told', () => {
  assert.deepEqual(resting(40).fault, { kind: 'too-short', byMm: 20 });
  assert.deepEqual(resting(200).fault, { kind: 'none' });
  assert.ok(resting(200).tail.hidden);
  assert.deepEqual(resting(400).fault, { kind: 'peeps-out', byMm: 85 });
  assert.ok(!resting(400).tail.hidden);
  assert.equal(resting(200).shorterByMm, 140);
  assert.equal(resting(40).shorterByMm, -20);
});

test('under the collar no keeper is reached, and no waistcoat hides an end that is too long', () => {
  const waistcoat = { lapelMm: 80, waistcoat: true, worn: 'open', lapelKind: 'notch', cut: 'single', buttoningMm: null } as const;
  const of = endsOf(tied('N Li Ro Li Co H', { jacket: waistcoat, start: { ...tied('N Li Ro Li Co H').start, restMm: 400 } }));
  assert.equal(of.fault.kind, 'peeps-out');
  assert.ok(!of.tail.reachesKeeper);
  assert.equal(of.tail.dropMm, 0);
});

test('a hanging tail is judged as before: hidden behind the blade, or seen unless a waistcoat is over it', () => {
  const start = tied('Li Ro Li Co T').start;
  const hanging = (tailMm: number, changes: Partial<TiedEnds> = {}) =>
    endsOf(tied('Li Ro Li Co T', { start: { ...start, tailMm }, ...changes }));
  assert.deepEqual(hanging(100).fault, { kind: 'too-short', byMm: 10 });
  assert.equal(hanging(300).fault.kind, 'none');
  assert.ok(hanging(300).tail.reachesKeeper);
  assert.deepEqual(hanging(460).fault, { kind: 'peeps-out', byMm: 20 });
  assert.equal(
    hanging(460, { jacket: { lapelMm: 80, waistcoat: true, worn: 'open', lapelKind: 'notch', cut: 'single', buttoningMm: null } }).fault
      .kind,
    'none',
  );
});

test('the end to set is the narrow tip, the blade where the narrow end ties, and the narrow tip in what was kept before', () => {
  assert.deepEqual(endToSet({ sets: 'tail', tailDropMm: 350, bladeDropMm: 700 }), { name: 'narrow tip', dropMm: 350 });
  assert.deepEqual(endToSet({ sets: 'blade', tailDropMm: 600, bladeDropMm: 450 }), { name: 'blade', dropMm: 450 });
  assert.deepEqual(endToSet({ tailDropMm: 350, bladeDropMm: 700 }), { name: 'narrow tip', dropMm: 350 });
});

test('landmarks are told for the end that is set, nearest first', () => {
  for (const { start } of plan({ ...question, taste: { manner: 'any', knots: 'named' } }).knots) {
    const set = endToSet(start).dropMm;
    const offsets = start.landmarks.map(({ offsetMm }) => Math.abs(offsetMm));
    assert.deepEqual(
      offsets,
      offsets.toSorted((a, b) => a - b),
    );
    const at = start.landmarks.map(({ offsetMm }) => set - offsetMm);
    assert.ok(at.every((mm) => mm > 0 && mm < 700));
  }
});

test('what is wrong with a narrow end is said of the narrow end, and never that the blade could hide it', () => {
  const { knots, advice } = plan({ ...question, tie: { ...question.tie, lengthMm: 1900 }, taste: { manner: 'narrow', knots: 'named' } });
  const long = knots.filter(({ tailFault }) => tailFault.kind === 'peeps-out');
  assert.ok(long.length > 0);
  for (const { reasons } of long) {
    assert.match(reasons[0]?.text ?? '', /goes under the collar/);
    assert.doesNotMatch(reasons.map(({ text }) => text).join(' '), /below the blade/);
  }
  if (knots.every(({ feasible }) => !feasible)) assert.match(advice.map(({ text }) => text).join(' '), /under the collar/);
});

test('who wants a knot that falls open is told that one of the narrow end has to be undone', () => {
  const { knots } = plan({ ...question, taste: { manner: 'any', knots: 'named', release: 'wanted' } });
  for (const { properties, reasons } of knots) {
    const said = reasons.find(({ code }) => code === 'release');
    assert.equal(said?.verdict, properties.selfReleasing ? 'good' : 'poor');
    if (properties.active === 'narrow') assert.match(said?.text ?? '', /undone move by move/);
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
