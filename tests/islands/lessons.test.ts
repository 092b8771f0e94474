import assert from 'node:assert/strict';
import test from 'node:test';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { ClientRecord, Wardrobe } from '../../src/contract/records/records.ts';
import { unworn } from '../../src/core/care/standing.ts';
import { nothingLearnt } from '../../src/core/fitbook/here.ts';
import { completeRequest } from '../../src/core/index.ts';
import { planKnot } from '../../src/core/plan/plan.ts';
import { attemptOf } from '../../src/core/start/attempts.ts';
import { questionWith } from '../../src/core/wardrobe/judgeTie.ts';
import { addressOf, readAddress } from '../../src/islands/atHand/address.ts';
import { isAtHand } from '../../src/islands/atHand/kept.ts';
import { anotherTie, tieNamed, withLessons } from '../../src/islands/atHand/lessons.ts';
import { outfitAtHand, soundQuestion } from '../../src/islands/atHand/question.ts';
import { type AtHand, freshAtHand, withClient, withOutfit } from '../../src/islands/atHand/values.ts';
import { studio } from '../support/wardrobe.ts';

const kept = { version: 1, archived: false, note: '' };
const client: ClientRecord = { ...kinds.clients.fresh, ...kept, id: 'c1', name: 'Tobiah', tiedBy: 'stylist' };
const other: ClientRecord = { ...client, id: 'c2', name: 'Edrin', tiedBy: 'client' };
const tie = { ...kinds.ties.fresh, ...kept, id: 't1', label: 'Red', colours: ['#8c2230'], care: unworn('2026-10-01') };
const shirt = { ...kinds.shirts.fresh, ...kept, id: 's1', label: 'White' };
const wardrobe: Wardrobe = {
  studio,
  client,
  outfits: [],
  shirts: [shirt],
  jackets: [],
  ties: [tie],
  squares: [],
  regulations: [],
  unchecked: null,
  learnt: nothingLearnt,
};
const moves = 'Li Ro Li Co T';
const fresh = freshAtHand(wardrobe);
const question = soundQuestion(fresh.question, 'cm');
assert.ok(question);
const request = completeRequest(question);
const tailMm = planKnot(question, moves).start.tailDropMm;
const low = attemptOf(request, { moves, tie: tieNamed(fresh), tailMm, state: 'crossed', tipOffMm: 40 });
const tried: AtHand = { ...fresh, knot: moves, attempts: [low], tiedOn: 'behind' };

test('the tyings of a fitting stand in its address and in what a window keeps, in their order', () => {
  const twice = { ...tried, attempts: [low, { ...low, tipOffMm: 5, tailEndMm: 420 }] };
  const seen = readAddress(new URLSearchParams(addressOf(twice, wardrobe).toString()), wardrobe);
  assert.deepEqual(seen.attempts, twice.attempts);
  assert.equal(seen.tiedOn, 'behind');
  assert.ok(isAtHand(JSON.parse(JSON.stringify(twice))));
  for (const broken of ['{', '[{"moves":"Li Ro Li Co T"}]', '"Li"', JSON.stringify([{ ...low, tailMm: 'low' }])]) {
    const query = new URLSearchParams({ client: 'c1', attempts: broken });
    assert.deepEqual(readAddress(query, wardrobe).attempts, [], broken);
  }
});

test('what was learnt of one client is not another’s, and who ties follows the client', () => {
  assert.equal(fresh.tiedOn, 'facing');
  const next = withClient(tried, other, { ...wardrobe, client: other });
  assert.deepEqual(next.attempts, []);
  assert.equal(next.tiedOn, 'self');
});

test('a tying moves the next start in this tie, and less in another; without one nothing changes', () => {
  const asked = { question, request };
  assert.deepEqual(withLessons(asked, [], tieNamed(fresh), nothingLearnt), asked);
  const start = (named: string) => {
    const learnt = withLessons(asked, [low], named, nothingLearnt).question;
    assert.ok(learnt);
    return planKnot(learnt, moves).start.tailDropMm;
  };
  assert.ok(start(tieNamed(fresh)) > start(anotherTie));
  assert.ok(start(anotherTie) > tailMm);
  const judged = outfitAtHand(tried, 'cm', nothingLearnt);
  assert.notDeepEqual(judged?.question.calibration, outfitAtHand(fresh, 'cm', nothingLearnt)?.question.calibration);
});

test('choosing among ties, each is judged by what is known of it, and one that nothing is known of by the hand alone', () => {
  const judged = outfitAtHand(tried, 'cm', nothingLearnt, [tie, { id: 'unseen' }]);
  assert.ok(judged);
  assert.deepEqual(Object.keys(judged.ofTies ?? {}), [tieNamed(fresh)]);
  const start = (id: string) => planKnot(questionWith(judged, { ...request.tie, id }), moves).start.tailDropMm;
  assert.equal(
    start(tieNamed(fresh)),
    planKnot(withLessons({ question, request }, [low], tieNamed(fresh), nothingLearnt).question, moves).start.tailDropMm,
  );
  assert.ok(start(tieNamed(fresh)) > start('unseen'));
  assert.equal(outfitAtHand(fresh, 'cm', nothingLearnt, [tie])?.ofTies, undefined);
});

test('an occasion’s own aim goes before the client’s', () => {
  const outfit = { ...kinds.outfits.fresh, ...kept, id: 'o1', clientId: 'c1', label: 'Supper', shirtId: 's1', aim: 'level' as const };
  const dressed = withOutfit(fresh, outfit, client, wardrobe);
  assert.equal(dressed.aim, 'level');
  assert.equal(dressed.question.aim.level, true);
  assert.equal(withOutfit(fresh, { ...outfit, aim: null }, client, wardrobe).aim, client.aim);
});
