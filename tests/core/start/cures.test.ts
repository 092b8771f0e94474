import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { completeRequest, type PlanQuestion, plan } from '../../../src/core/index.ts';
import { aimOn } from '../../../src/core/plan/aims.ts';
import { planKnot } from '../../../src/core/plan/plan.ts';
import { type Change, type Cure, curesFor } from '../../../src/core/start/cures.ts';
import { question, tieA } from '../../support/ties.ts';
import { anyRequest } from '../../support/tyings.ts';

const ties = [
  { ...tieA, id: 'short', label: 'Short twill', lengthMm: 1340 },
  { ...tieA, id: 'long', label: 'Long twill', lengthMm: 1620, neckAtMm: 925 },
];

/** Does what a cure says, and plans the knot anew. */
function applied(asked: PlanQuestion, moves: string, change: Change) {
  const { client, jacket } = completeRequest(asked);
  switch (change.kind) {
    case 'knot':
      return planKnot(asked, change.moves);
    case 'tie':
      return planKnot({ ...asked, tie: { ...ties.find(({ id }) => id === change.id)!, kind: 'long-tie' } }, moves);
    case 'aim':
      return planKnot({ ...asked, aim: aimOn(change.aim, client.beltHeightMm) }, moves);
    case 'jacket':
      return planKnot({ ...asked, jacket: { ...jacket!, worn: change.worn } }, moves);
    case 'waistcoat':
      return planKnot({ ...asked, jacket: { ...jacket!, waistcoat: true } }, moves);
  }
}

test('every cure’s number is true: done as it says, the knot works with the start it tells', () => {
  let cured = 0;
  fc.assert(
    fc.property(anyRequest, fc.boolean(), (request, isDressed) => {
      const asked: PlanQuestion = { ...request, jacket: isDressed ? { lapelMm: 85 } : null, search: { manner: 'classic' } };
      for (const { moves } of plan(asked)
        .knots.filter(({ feasible }) => !feasible)
        .slice(0, 3)) {
        for (const { change, plan: promised } of curesFor(asked, moves, { ties, aimIsFixed: false })) {
          const after = applied(asked, moves, change);
          assert.ok(after.feasible, `${moves} ${JSON.stringify(change)}`);
          assert.ok(Math.abs(after.start.tailDropMm - promised.start.tailDropMm) < 1e-6);
          cured += 1;
        }
      }
    }),
    { numRuns: 60 },
  );
  assert.ok(cured > 50, `${cured}`);
});

test('the smallest change comes first, and where the aim is prescribed no other is offered', () => {
  const short: PlanQuestion = { ...question, tie: { ...tieA, lengthMm: 1250, neckAtMm: 715 } };
  const windsor = 'Li Co Ri Lo Ci Ro Li Co T';
  assert.equal(planKnot(short, windsor).feasible, false);
  const kinds = (cures: readonly Cure[]) => new Set(cures.map(({ change }) => change.kind));
  const cures = curesFor(short, windsor, { ties, aimIsFixed: false });
  assert.deepEqual(
    cures.map(({ felt }) => felt),
    cures.map(({ felt }) => felt).toSorted((a, b) => a - b),
  );
  assert.ok(kinds(cures).has('knot') && kinds(cures).has('tie'));
  assert.ok(!kinds(curesFor(short, windsor, { ties, aimIsFixed: true })).has('aim'));
});
