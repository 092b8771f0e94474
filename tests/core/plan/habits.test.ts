import assert from 'node:assert/strict';
import test from 'node:test';
import { collarStyles } from '../../../src/core/collar/styles.ts';
import { type PlanQuestion, type PlanRequest, plan } from '../../../src/core/index.ts';
import { aimOn } from '../../../src/core/plan/aims.ts';
import { question } from '../../support/ties.ts';

const withTaste = (taste: NonNullable<PlanQuestion['taste']>, shirt = question.shirt) =>
  plan({ ...question, ...(shirt && { shirt }), taste }).knots;
const scoreOf = (taste: NonNullable<PlanQuestion['taste']>, moves: string, shirt = question.shirt) =>
  withTaste(taste, shirt).find((knot) => knot.moves === moves)!.score;
const fourInHand = 'Li Ro Li Co T';
const windsor = 'Li Co Ri Lo Ci Ro Li Co T';
const halfWindsor = 'Li Ro Ci Lo Ri Co T';

test('who likes a lean gets the leaning knot liked better, who likes it level the level one', () => {
  const lead = (symmetry: PlanRequest['liking']['symmetry']) => scoreOf({ symmetry }, fourInHand) - scoreOf({ symmetry }, windsor);
  assert.ok(lead('relaxed') > lead('either') && lead('either') > lead('level'));
});

test('a knot that does not pull open loses where that is wanted, and says why', () => {
  const wanted = withTaste({ release: 'wanted' });
  const half = wanted.find(({ moves }) => moves === halfWindsor)!;
  assert.match(half.reasons.find(({ code }) => code === 'release')!.text, /Leaves a knot/);
  assert.ok(scoreOf({}, halfWindsor) > half.score);
  assert.ok(!withTaste({})[0]!.reasons.some(({ code }) => code === 'release'), 'nothing is said where it does not matter');
});

test('a new hand is led to few moves, a fluent one is free', () => {
  const lead = (practice: PlanRequest['liking']['practice']) => scoreOf({ practice }, fourInHand) - scoreOf({ practice }, windsor);
  assert.ok(lead('new') > lead('some') && lead('some') > lead('fluent'));
});

test('a small knot in a wide collar is forgiven where the band may show, or the points are held', () => {
  const wide = collarStyles.cutaway;
  const fill = (taste: NonNullable<PlanQuestion['taste']>, held: boolean) =>
    withTaste(taste, { ...wide, pointsHeld: held })
      .find(({ names }) => names[0] === 'Simple')!
      .reasons.find(({ code }) => code === 'collar-fill')!;
  assert.equal(fill({}, false).verdict, 'poor');
  assert.match(fill({ neckBand: 'tolerated' }, false).text, /the client accepts a tie band that shows/);
  assert.match(fill({}, true).text, /fastened points keep the tie band covered/);
});

test('aims in the belt follow its width, and anywhere on the buckle counts', () => {
  for (const beltMm of [28, 35, 50]) {
    const { offsetMm, aboveMm, belowMm } = aimOn('buckle', beltMm);
    assert.ok(offsetMm - aboveMm <= 0 && offsetMm - aboveMm >= -1, 'up to the upper edge');
    assert.equal(offsetMm + belowMm, beltMm, 'down to the lower edge and no further');
  }
  assert.equal(aimOn('belt-middle', 35).offsetMm, 18);
  assert.equal(aimOn('belt-middle', 50).offsetMm, 25);
  assert.equal(aimOn('belt-top', 50).offsetMm, 0);
});
