import assert from 'node:assert/strict';
import test from 'node:test';
import type { Fitting } from '../../src/contract/fitting.ts';
import { checkPlanQuestion } from '../../src/contract/planQuestion.ts';
import { kinds } from '../../src/contract/records/kinds.ts';
import type {
  ClientRecord,
  JacketRecord,
  OutfitRecord,
  ShirtRecord,
  TakenMeasure,
  TieRecord,
  Wardrobe,
} from '../../src/contract/records/records.ts';
import { completeRequest, plan } from '../../src/core/index.ts';
import { atHandOfFitting, freshAtHand, withAim, withClient, withJacket, withShirt, withTie } from '../../src/islands/atHand/values.ts';
import { tieA, tieB } from '../support/ties.ts';

const kept = { version: 1, archived: false, note: '' };
const taken = (measure: TakenMeasure['measure'], mm: number): TakenMeasure => ({ measure, mm, how: 'tape', takenOn: '2026-10-01' });
const client: ClientRecord = {
  ...kinds.clients.fresh,
  ...kept,
  id: 'c1',
  name: 'Tobiah',
  crossingGapMm: 10,
  measures: [taken('heightMm', 1780), taken('neckMm', 395), taken('frontDropMm', 455)],
};
const other: ClientRecord = { ...client, id: 'c2', name: 'Osric', measures: [taken('heightMm', 2030), taken('neckMm', 460)] };
const shirt: ShirtRecord = {
  ...kinds.shirts.fresh,
  ...kept,
  id: 's1',
  clientId: 'c1',
  label: 'White',
  colour: '#ffffff',
  buttonsMm: [70, 160],
};
const jacket: JacketRecord = {
  ...kinds.jackets.fresh,
  ...kept,
  id: 'j1',
  clientId: 'c1',
  label: 'Navy',
  colour: '#222244',
  waistcoat: true,
};
const own: TieRecord = {
  ...kinds.ties.fresh,
  ...tieA,
  ...kept,
  ends: 'pointed',
  profile: [],
  id: 't1',
  clientId: 'c1',
  label: 'Red',
  colours: ['#8c2230'],
};
const house: TieRecord = { ...own, ...tieB, id: 't2', clientId: null, label: 'House', colours: ['#123456', '#ffffff'] };
const outfit: OutfitRecord = {
  ...kinds.outfits.fresh,
  ...kept,
  id: 'o1',
  clientId: 'c1',
  label: 'Supper',
  shirtId: 's1',
  jacketId: null,
  beltLineMm: 470,
  beltHeightMm: 50,
};
const wardrobe: Wardrobe = {
  studio: { id: 'st', name: 'Studio', units: 'cm' },
  client,
  outfits: [],
  shirts: [shirt],
  jackets: [jacket],
  ties: [house, own],
  squares: [],
};

test('an outfit puts its pieces and the belt line of its trousers on; another shirt ends it', () => {
  const bench = freshAtHand({ ...wardrobe, outfits: [outfit] });
  assert.deepEqual([bench.outfit?.label, bench.shirt.id, bench.jacket], ['Supper', 's1', null]);
  assert.deepEqual([bench.question.client.frontDropMm, bench.question.client.beltHeightMm], [470, 50]);
  assert.equal(withShirt(bench, { ...shirt, id: 's2' }).outfit, null);
});

test('a client brings his habits: his knot, his likings, his aim on his belt', () => {
  const habits = { ownKnot: 'Lo Ci Ro Li Co T', symmetry: 'relaxed', neckBand: 'tolerated', practice: 'new', aim: 'belt-middle' } as const;
  const bench = withClient(freshAtHand(wardrobe), { ...client, ...habits, beltHeightMm: 40 }, wardrobe);
  assert.equal(bench.knot, 'Lo Ci Ro Li Co T');
  const { symmetry, neckBand, practice, knots } = bench.question.taste;
  assert.deepEqual([symmetry, neckBand, practice, knots], ['relaxed', 'tolerated', 'new', 'named']);
  assert.deepEqual([bench.aim, bench.question.aim.offsetMm], ['belt-middle', 20]);
  const unnamed = withClient(bench, { ...client, ownKnot: 'Lo Ri Lo Ri Co T' }, wardrobe);
  assert.deepEqual(unnamed.question.taste.also, ['Lo Ri Lo Ri Co T'], 'a knot without a name is looked at besides those that have one');
});

test('a client who was never measured has empty fields, not wrong ones', () => {
  const bench = withClient(freshAtHand(wardrobe), { ...client, measures: [] }, wardrobe);
  assert.deepEqual([bench.question.client.heightMm, bench.question.client.neckMm, bench.question.client.frontDropMm], ['', '', null]);
  assert.deepEqual(
    checkPlanQuestion(bench.question).faults?.map(({ path }) => path),
    ['client.heightMm', 'client.neckMm'],
  );
});

test('a fresh bench dresses the first client in what is his own', () => {
  const bench = freshAtHand(wardrobe);
  assert.deepEqual([bench.client.id, bench.shirt.id, bench.jacket?.id, bench.tie.id], ['c1', 's1', 'j1', 't1']);
  assert.deepEqual(bench.cloth, { tie: ['#8c2230'], shirt: '#ffffff', jacket: '#222244' });
  assert.equal(bench.question.jacket?.waistcoat, true);
  assert.ok(checkPlanQuestion(bench.question).value);
});

test('a studio that keeps nothing has a bench with usual measures', () => {
  const bench = freshAtHand({ ...wardrobe, client: null, shirts: [], jackets: [], ties: [] });
  assert.deepEqual([bench.client.id, bench.client.label, bench.jacket], [null, 'Walk-in', null]);
  assert.ok(checkPlanQuestion(bench.question).value);
});

test('another client keeps the shirt and tie at hand where he has none, but takes the jacket off', () => {
  const bench = withClient(freshAtHand(wardrobe), other, wardrobe);
  assert.deepEqual([bench.client.id, bench.shirt.id, bench.jacket, bench.tie.id], ['c2', 's1', null, 't1']);
  assert.equal(bench.question.client.frontDropMm, null);
  assert.equal(bench.cloth.jacket, null);
});

test('a new client starts without the knot and the note of the one before', () => {
  const bench = withClient({ ...freshAtHand(wardrobe), knot: 'Li Ro Li Co T', note: 'his' }, other, wardrobe);
  assert.deepEqual([bench.knot, bench.note], [null, '']);
});

test('each piece is exchanged by itself', () => {
  const bench = freshAtHand(wardrobe);
  const tied = withTie(bench, house);
  assert.deepEqual([tied.tie.label, tied.question.tie.bladeMm, tied.cloth.tie], ['House', 60, ['#123456', '#ffffff']]);
  assert.equal(tied.question.shirt, bench.question.shirt);
  const shirted = withShirt(bench, { ...shirt, id: 's9', collarSpreadMm: 140, colour: '#eeeeee' });
  assert.deepEqual([shirted.question.shirt.collarSpreadMm, shirted.cloth.shirt, shirted.cloth.tie], [140, '#eeeeee', bench.cloth.tie]);
  assert.equal(withJacket(bench, null).question.jacket, null);
  const aimed = withAim(bench, 'belt-middle');
  assert.deepEqual([aimed.aim, aimed.question.aim.offsetMm], ['belt-middle', 18]);
});

test('only the measures go into the question, not the record around them', () => {
  const { question } = freshAtHand(wardrobe);
  assert.deepEqual(Object.keys(question.client).sort(), [
    'beltHeightMm',
    'blade',
    'crossingGapMm',
    'front',
    'frontDropHow',
    'frontDropMm',
    'heightMm',
    'neckMm',
  ]);
  assert.ok(!('label' in question.tie) && !('colours' in question.tie));
});

test('a saved fitting lays the bench out as it was, with its aim by name where it has one', () => {
  const before = withAim(freshAtHand(wardrobe), 'finger-above');
  const { value } = checkPlanQuestion(before.question);
  assert.ok(value);
  const fitting: Fitting = {
    id: 'f',
    clientId: 'c1',
    shirtId: 's1',
    jacketId: 'j1',
    tieId: 't1',
    clientName: 'Tobiah',
    shirtLabel: 'White',
    jacketLabel: 'Navy',
    tieLabel: 'Red',
    cloth: before.cloth,
    request: completeRequest(value),
    knot: 'Li Ro Li Co T',
    answer: plan(value).knots[0]!,
    note: 'a note',
    createdAt: '2026-10-30T17:20:00Z',
  };
  const opened = atHandOfFitting(fitting);
  assert.deepEqual(opened, { ...before, knot: 'Li Ro Li Co T', note: 'a note' });
  const odd = atHandOfFitting({ ...fitting, request: { ...fitting.request, aim: { offsetMm: 3, aboveMm: 4, belowMm: 5 } } });
  assert.equal(odd.aim, 'own');
});
