import assert from 'node:assert/strict';
import test from 'node:test';
import { plan } from '../../../src/core/index.ts';
import { tiesForKnot, tiesWithTheirKnots } from '../../../src/core/wardrobe/tiesWithKnots.ts';
import { question, tieA, tieB } from '../../support/ties.ts';

const { tie: _, ...outfit } = question;
const short = { ...tieA, id: 'short', lengthMm: 900, neckAtMm: 515 };
const ties = [short, { ...tieA, id: 'a' }, { ...tieB, id: 'b' }];

test('a wardrobe on a card: each tie with one to three knots that work, each name once, best first', () => {
  const card = tiesWithTheirKnots(outfit, ties);
  assert.deepEqual(new Set(card.map(({ id }) => id)), new Set(['short', 'a', 'b']));
  assert.equal(card.at(-1)?.id, 'short', 'the one that nothing works with comes last');
  for (const { id, knots } of card) {
    assert.ok(knots.length >= 1 && knots.length <= 3);
    if (id === 'short') continue;
    assert.ok(knots.every(({ feasible }) => feasible));
    assert.equal(new Set(knots.map(({ properties, moves }) => properties.family ?? moves)).size, knots.length);
    const of = ties.find((tie) => tie.id === id)!;
    assert.equal(knots[0]?.moves, plan({ ...outfit, tie: of }).knots[0]?.moves);
  }
});

test('a knot that must be worn: every tie stands with it, the ties it does not work with last', () => {
  const listed = tiesForKnot(outfit, ties, 'Li Co Ri Lo Ci Ro Li Co T');
  assert.ok(listed.every(({ knots }) => knots.length === 1 && knots[0]?.title === 'Windsor'));
  const works = listed.map(({ knots }) => knots[0]!.feasible);
  assert.deepEqual(
    works,
    works.toSorted((a, b) => Number(b) - Number(a)),
  );
});
