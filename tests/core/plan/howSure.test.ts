import assert from 'node:assert/strict';
import test from 'node:test';
import type { PlanQuestion } from '../../../src/core/index.ts';
import { normalFrom, randomFrom } from '../../../src/core/numeric/random.ts';
import { howSure } from '../../../src/core/plan/howSure.ts';
import { question } from '../../support/ties.ts';

function answered(asked: PlanQuestion, seed = 1, samples = 300) {
  const told: number[] = [];
  const trying = howSure(asked, samples, seed, 100);
  for (let step = trying.next(); ; step = trying.next()) {
    if (step.done) return { told, answer: step.value };
    told.push(step.value);
  }
}

test('every sample has its first knot, progress is told, and the same seed says the same', () => {
  const { told, answer } = answered(question);
  assert.deepEqual(told, [100, 200, 300]);
  assert.ok(Math.abs(answer.firsts.reduce((sum, { share }) => sum + share, 0) - 1) < 1e-9);
  assert.deepEqual(
    answer.firsts.map(({ share }) => share),
    answer.firsts.map(({ share }) => share).toSorted((a, b) => b - a),
  );
  assert.deepEqual(answered(question).answer, answer);
  assert.notDeepEqual(answered(question, 2).answer.firsts, answer.firsts);
});

test('what was taken with a tape is surer than what was estimated, and the estimate is what to take', () => {
  const known = answered(question).answer;
  const { frontDropMm: _, ...client } = question.client;
  const estimated = answered({ ...question, client }, 1, 600).answer;
  assert.ok((estimated.firsts[0]?.share ?? 1) < (known.firsts[0]?.share ?? 0));
  assert.equal(estimated.settledBy?.code, 'frontDropMm');
  assert.notEqual(known.settledBy?.code, 'frontDropMm');
});

test('random numbers are spread evenly, normal ones around nothing with a spread of one', () => {
  const random = randomFrom(7);
  const even = Array.from({ length: 20_000 }, random);
  assert.ok(even.every((x) => x >= 0 && x < 1));
  assert.ok(Math.abs(even.reduce((sum, x) => sum + x, 0) / even.length - 0.5) < 0.01);
  const normal = normalFrom(randomFrom(8));
  const drawn = Array.from({ length: 20_000 }, normal);
  const mean = drawn.reduce((sum, x) => sum + x, 0) / drawn.length;
  const spread = Math.sqrt(drawn.reduce((sum, x) => sum + (x - mean) ** 2, 0) / drawn.length);
  assert.ok(Math.abs(mean) < 0.03 && Math.abs(spread - 1) < 0.03, `${mean} ${spread}`);
});
