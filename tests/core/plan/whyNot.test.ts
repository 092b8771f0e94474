import assert from 'node:assert/strict';
import test from 'node:test';
import { completeRequest } from '../../../src/core/index.ts';
import { plan, planKnot } from '../../../src/core/plan/plan.ts';
import { whyNot } from '../../../src/core/plan/whyNot.ts';
import { question, tieA } from '../../support/ties.ts';

const windsor = 'Li Co Ri Lo Ci Ro Li Co T';

test('one knot planned alone is the same as among the others', () => {
  for (const { rank: _, ...knot } of plan(question).knots) {
    const { rank: __, ...alone } = planKnot(question, knot.moves);
    assert.deepEqual(alone, knot);
  }
});

test('a Windsor that swamps a semi-spread collar: what is against it, and that a wider collar, a thinner or slimmer tie cure it', () => {
  const { against, remedies } = whyNot(question, windsor);
  assert.deepEqual(
    against.map(({ code }) => code),
    ['collar-fill'],
  );
  assert.deepEqual(new Set(remedies.map(({ code }) => code)), new Set(['collar', 'thickness', 'blade']));
  assert.deepEqual(
    remedies.map(({ felt }) => felt),
    remedies.map(({ felt }) => felt).toSorted((a, b) => a - b),
    'the smallest first',
  );
});

test('each remedy alone leaves nothing against the knot, and a step less does not', () => {
  const { remedies } = whyNot(question, windsor);
  const spread = remedies.find(({ code }) => code === 'collar')!;
  const at = (byMm: number) => {
    const request = completeRequest(question);
    const { reasons, feasible } = planKnot(
      { ...request, shirt: { ...request.shirt, collarSpreadMm: request.shirt.collarSpreadMm + byMm } },
      windsor,
    );
    return feasible && reasons.every(({ verdict }) => verdict !== 'poor');
  };
  assert.equal(at(spread.byMm), true);
  assert.equal(at(spread.byMm - 3), false);
  assert.match(spread.text, /^A collar \d.*wider from point to point, as on a (wide spread|cutaway) collar\.$/);
});

test('a tie too short for a knot that swamps the collar besides: what lets it work, told in the reader’s unit', () => {
  const short = { ...question, tie: { ...tieA, lengthMm: 1180, neckAtMm: 680 }, units: 'in' as const };
  const { remedies, makes } = whyNot(short, windsor);
  assert.equal(makes, 'work');
  const longer = remedies.find(({ code }) => code === 'tie-length');
  assert.ok(longer && longer.byMm > 0);
  assert.match(longer.text, / in longer \(/);
  assert.doesNotMatch(remedies.map(({ text }) => text).join(' '), / cm/);
});

test('where nothing speaks against a knot there is nothing to change', () => {
  assert.deepEqual(whyNot(question, 'Li Ro Li Co T'), { against: [], remedies: [], makes: 'right' });
});
