import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { ClientRecord, Wardrobe } from '../../src/contract/records/records.ts';
import { unworn } from '../../src/core/care/standing.ts';
import { nothingLearnt } from '../../src/core/fitbook/here.ts';
import { plan } from '../../src/core/index.ts';
import { addressOf, clientAsked, readAddress } from '../../src/islands/atHand/address.ts';
import { besideOf } from '../../src/islands/atHand/beside.ts';
import {
  type AtHand,
  freshAtHand,
  ownWaysOf,
  withAim,
  withJacket,
  withRegulation,
  withShirt,
  withTie,
} from '../../src/islands/atHand/values.ts';
import { withValueAt } from '../../src/islands/ui/paths.ts';
import { question } from '../support/ties.ts';
import { emptyWardrobe, studio } from '../support/wardrobe.ts';

const kept = { version: 1, archived: false, note: '' };
const client: ClientRecord = {
  ...kinds.clients.fresh,
  ...kept,
  id: '11111111-1111-4111-8111-111111111111',
  name: 'Tobiah',
  measures: [{ measure: 'heightMm', mm: 1780, how: 'tape', takenOn: '2026-10-01' }],
};
const shirt = { ...kinds.shirts.fresh, ...kept, id: '22222222-2222-4222-8222-222222222222', clientId: client.id, label: 'White' };
const jacket = { ...kinds.jackets.fresh, ...kept, id: '33333333-3333-4333-8333-333333333333', clientId: client.id, label: 'Navy' };
const tie = {
  ...kinds.ties.fresh,
  ...kept,
  id: '44444444-4444-4444-8444-444444444444',
  label: 'Red',
  colours: ['#8c2230'],
  care: unworn('2026-10-01'),
};
const slim = { ...tie, id: '55555555-5555-4555-8555-555555555555', label: 'Slim', bladeMm: 60, neckMm: 26, tailMm: 35 };
const wardrobe: Wardrobe = {
  studio,
  client,
  outfits: [],
  shirts: [shirt],
  jackets: [jacket],
  ties: [tie, slim],
  squares: [],
  regulations: [],
  unchecked: null,
  learnt: nothingLearnt,
};

const opened = (values: AtHand, seen = wardrobe) => readAddress(new URLSearchParams(addressOf(values, seen).toString()), seen);
/** All but what was said in passing. */
const same = (a: AtHand, b: AtHand) => assert.deepEqual({ ...a, told: null }, { ...b, told: null });

test('a colleague who opens the address sees the same: pieces, aim, knot, note, and every measure that was changed', () => {
  const fresh = freshAtHand(wardrobe);
  const changed: AtHand = {
    ...withAim(withTie(withJacket(fresh, null), slim), 'belt-middle'),
    knot: 'Li Ro Li Co T',
    given: 'knot',
    note: 'for the lamp-lighting & supper',
  };
  same(opened(changed), changed);
  const measured = { ...changed, question: withValueAt(changed.question, 'client.frontDropMm', 463) };
  const typed = { ...measured, question: withValueAt(measured.question, 'tie.lengthMm', 'about 147') };
  const buttoned = { ...typed, question: withValueAt(typed.question, 'shirt.buttonsMm', [65, 150]) };
  for (const each of [measured, typed, buttoned]) same(opened(each), each);
});

test('a dress regulation that outlives its outfit is in the address, and so is one that was taken off', () => {
  const regulation = {
    ...kinds.regulations.fresh,
    version: 1,
    archived: false,
    id: 'r1',
    label: 'Stewards',
    asOf: '2026-03-01',
    patterns: 'solid',
  } as const;
  const outfit = {
    ...kinds.outfits.fresh,
    version: 1,
    archived: false,
    id: 'o1',
    clientId: client.id,
    label: 'Supper',
    shirtId: shirt.id,
    regulationId: 'r1',
  };
  const ruled = { ...wardrobe, regulations: [regulation], outfits: [outfit] };
  const dressed = freshAtHand(ruled);
  assert.equal(dressed.regulation?.id, 'r1');
  assert.ok(!addressOf(dressed, ruled).has('regulation'), 'its outfit says it');
  const inAnotherShirt = withShirt(dressed, { ...shirt, id: 's9', label: 'Another' });
  const seen = { ...ruled, shirts: [...ruled.shirts, { ...shirt, id: 's9', label: 'Another' }] };
  assert.equal(addressOf(inAnotherShirt, seen).get('regulation'), 'r1');
  same(opened(inAnotherShirt, seen), inAnotherShirt);
  const off = withRegulation(dressed, null, ownWaysOf(ruled.client));
  assert.equal(addressOf(off, ruled).get('regulation'), 'none');
  same(opened(off, ruled), off);
});

test('what stands beside the fitting is in the address, and is the fitting with that one thing exchanged', () => {
  const fresh = freshAtHand(wardrobe);
  const beside = { piece: 'tie', id: slim.id } as const;
  same(opened({ ...fresh, beside }), { ...fresh, beside });
  const knot = { piece: 'knot', id: 'Li Ro Li Co T' } as const;
  same(opened({ ...fresh, beside: knot }), { ...fresh, beside: knot });
  assert.equal(besideOf(fresh, beside, wardrobe)?.question.tie.bladeMm, 60);
  assert.equal(besideOf(fresh, beside, wardrobe)?.shirt.id, shirt.id);
  assert.equal(besideOf(fresh, knot, wardrobe)?.knot, 'Li Ro Li Co T');
  assert.equal(besideOf(fresh, { piece: 'shirt', id: 'gone' }, wardrobe), undefined);
  for (const said of ['', 'hat~1', 'knot~Li-Li'])
    assert.equal(readAddress(new URLSearchParams({ beside: said }), wardrobe).beside?.id ?? '', '', said);
});

test('a knot that the search would not come to is looked at because the address names it', () => {
  const named = (knot: string) => readAddress(new URLSearchParams({ client: client.id, knot }), wardrobe);
  assert.deepEqual(named('N-Li-Ro-Li-Co-H').question.search.also, ['N Li Ro Li Co H'], 'of another family');
  assert.deepEqual(named('Li-Ro-Li-Co-T').question.search.also, [], 'among those looked at anyway');
  for (const knot of ['N-Li-Ro-Li-Co-H', 'Li-Ro-Li-Ro-Li-Co-T', 'Li-Co-D', 'Li-Ro-Li-Co-T']) {
    const { search } = named(knot).question;
    assert.ok(
      plan({ ...question, search }).knots.some(({ moves }) => moves === knot.replaceAll('-', ' ')),
      knot,
    );
  }
});

test('who follows the best match is not given the client’s usual knot by the address', () => {
  const theirs = { ...wardrobe, client: { ...client, ownKnot: 'Li Ro Ci Lo Ri Co T' } };
  const fresh = freshAtHand(theirs);
  assert.equal(fresh.knot, 'Li Ro Ci Lo Ri Co T');
  same(opened(fresh, theirs), fresh);
  same(opened({ ...fresh, knot: null }, theirs), { ...fresh, knot: null });
});

test('what is as it is on record is not said, so a changed record is seen by whoever opens the address later', () => {
  const address = addressOf(freshAtHand(wardrobe), wardrobe);
  assert.deepEqual([...address.keys()], ['client', 'shirt', 'jacket', 'tie', 'aim']);
  const later = { ...wardrobe, ties: [{ ...tie, bladeMm: 92 }, slim] };
  assert.equal(readAddress(address, later).question.tie.bladeMm, 92);
});

test('a walk-in in drafts has an address too', () => {
  const values = freshAtHand(emptyWardrobe);
  assert.equal(clientAsked(addressOf(values, emptyWardrobe)), null);
  same(opened(values, emptyWardrobe), values);
  const measured = { ...values, question: withValueAt(values.question, 'client.heightMm', 1830) };
  same(opened(measured, emptyWardrobe), measured);
});

test('whatever stands in an address, what stands at hand is sound in shape', () => {
  const words = fc.oneof(fc.string(), fc.constantFrom('none', 'walk-in', client.id, tie.id, 'sky', '-1', 'NaN', '1e9', 'true'));
  const keys = fc.constantFrom(
    'client',
    'shirt',
    'jacket',
    'tie',
    'aim',
    'given',
    'knot',
    'note',
    'client.heightMm',
    'client.blade',
    'shirt.buttonsMm',
    'tie.fabric',
    'jacket.worn',
    'search.also',
    'search.maxMoves',
    'liking.symmetry',
    '__proto__',
  );
  fc.assert(
    fc.property(fc.array(fc.tuple(keys, words), { maxLength: 8 }), (pairs) => {
      const values = readAddress(new URLSearchParams(pairs), wardrobe);
      assert.ok(['right', 'left'].includes(values.question.client.blade));
      assert.ok(Array.isArray(values.question.search.also));
      assert.ok(values.knot === null || /^[LRC][io]( [LRC][io])+ T$/.test(values.knot));
    }),
  );
});

test('another shirt ends an outfit, in the address as at hand', () => {
  const outfit = {
    ...kinds.outfits.fresh,
    ...kept,
    id: '66666666-6666-4666-8666-666666666666',
    clientId: client.id,
    label: 'Supper',
    shirtId: shirt.id,
  };
  const dressed = { ...wardrobe, outfits: [outfit] };
  const fresh = freshAtHand(dressed);
  assert.equal(addressOf(fresh, dressed).get('outfit'), outfit.id);
  same(opened(fresh, dressed), fresh);
  const other = withShirt(fresh, { ...shirt, id: 'x', label: 'Other' });
  assert.equal(addressOf(other, dressed).has('outfit'), false);
});
