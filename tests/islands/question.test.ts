import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { checkPlanQuestion } from '../../src/contract/planQuestion.ts';
import { nothingLearnt } from '../../src/core/fitbook/here.ts';
import { completeRequest } from '../../src/core/index.ts';
import { measures } from '../../src/core/measures/measures.ts';
import { isSound } from '../../src/core/measures/sound.ts';
import { outfitAtHand, soundQuestion } from '../../src/islands/atHand/question.ts';
import { freshAtHand } from '../../src/islands/atHand/values.ts';
import { valueAt, withValueAt } from '../../src/islands/ui/paths.ts';
import { question } from '../support/ties.ts';
import { emptyWardrobe } from '../support/wardrobe.ts';

const values = freshAtHand(emptyWardrobe);

test('what is fresh at hand can be asked', () => {
  assert.ok(soundQuestion(values.question, 'cm'));
  assert.ok(outfitAtHand(values, 'cm', nothingLearnt));
});

/** Every length of a question, and what a hand may enter there. */
const complete = completeRequest({ ...question, jacket: { lapelMm: 85 } });
const lengths = (['client', 'shirt', 'jacket', 'tie', 'aim'] as const).flatMap((part) =>
  Object.keys(measures[part]).flatMap((key) => (key in (complete[part] ?? {}) ? [{ part, key }] : [])),
);
const entered = fc.oneof(
  fc.double({ min: -50, max: 2500, noNaN: true }),
  fc.constantFrom(null, '', 'wide', Number.NaN, Number.POSITIVE_INFINITY),
);

test('the quick look and the checks that word faults agree on every question', () => {
  let refused = 0;
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.constantFrom(...lengths), entered), { maxLength: 3 }), (changes) => {
      const asked = changes.reduce((now, [{ part, key }, mm]) => withValueAt(now, `${part}.${key}`, mm), complete);
      // An empty field is a missing one to the checks, and estimated where it may be; at a fitting it is a fault.
      fc.pre(changes.every(([{ part, key }]) => valueAt(asked, `${part}.${key}`) !== ''));
      const { faults } = checkPlanQuestion(asked);
      assert.equal(isSound(asked), faults === undefined, JSON.stringify([changes, faults]));
      if (faults) refused += 1;
    }),
    { numRuns: 600 },
  );
  assert.ok(refused > 50);
});

test('text, what is missing, what is out of range and what contradicts another cannot be asked', () => {
  const broken = [
    ['client.neckMm', ''],
    ['tie.bladeMm', 'wide'],
    ['tie.lengthMm', 5],
    ['shirt.buttonsMm', 'ten, twenty'],
    ['shirt.buttonsMm', [300, 100]],
    ['shirt.collarSpreadMm', 170],
  ] as const;
  for (const [path, value] of broken) assert.equal(soundQuestion(withValueAt(values.question, path, value), 'cm'), undefined, path);
  for (const path of ['client.frontDropMm', 'client.heightMm', 'client.neckMm'])
    assert.ok(soundQuestion(withValueAt(values.question, path, null), 'cm'), 'what may be estimated may be unknown');
});
