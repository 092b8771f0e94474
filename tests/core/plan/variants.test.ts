import assert from 'node:assert/strict';
import test from 'node:test';
import { planKnot } from '../../../src/core/plan/plan.ts';
import type { PlanQuestion } from '../../../src/core/plan/request.ts';
import { type Variant, variantDifferences } from '../../../src/core/plan/variants.ts';
import { question, tieA, tieB } from '../../support/ties.ts';

const fourInHand = 'Li Ro Li Co T';
const windsor = 'Li Co Ri Lo Ci Ro Li Co T';
const variant = (moves: string, changes: Partial<PlanQuestion> = {}): Variant => ({
  plan: planKnot({ ...question, ...changes }, moves),
  tie: { ...tieA, ...changes.tie },
});

test('what is alike is not told', () => {
  assert.deepEqual(variantDifferences(variant(fourInHand), variant(fourInHand), 'cm'), []);
});

test('two ties in one knot: blade, thickness, the knot they make, and every verdict that changes', () => {
  const says = variantDifferences(variant(fourInHand, { tie: tieB }), variant(fourInHand), 'cm');
  assert.deepEqual(says.slice(0, 2), ['blade 2.5 cm narrower', '0.8 mm thinner']);
  assert.ok(says.some((text) => /narrower at the top$/.test(text)));
  assert.ok(says.some((text) => /^covers \d+% of the collar edge instead of 30%$/.test(text)));
  assert.ok(
    says.some((text) => /^Too small for the semi-spread collar|^A little small/.test(text)),
    'its verdict on the collar is another',
  );
});

test('two shirts: what the one shows that the other hides, both ways', () => {
  const cutaway = { shirt: { ...question.shirt, collarSpreadMm: 150, tieSpaceMm: 12 } };
  const there = variantDifferences(variant('Lo Ri Co T', cutaway), variant('Lo Ri Co T'), 'cm');
  assert.ok(there.some((text) => text.startsWith('The tie band shows')));
  const back = variantDifferences(variant('Lo Ri Co T'), variant('Lo Ri Co T', cutaway), 'cm');
  assert.ok(back.some((text) => text.startsWith('No longer: The tie band shows')));
});

test('two knots are told in inches to who reads inches', () => {
  const says = variantDifferences(variant(windsor), variant(fourInHand), 'in').join(' ');
  assert.match(says, /1\/2 in wider at the top/);
  assert.doesNotMatch(says, /cm/);
});
