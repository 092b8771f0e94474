import assert from 'node:assert/strict';
import test from 'node:test';
import type { Fitting } from '../../src/contract/fitting.ts';
import { answerVersion } from '../../src/contract/keptAnswer.ts';
import { checkPlanQuestion } from '../../src/contract/planQuestion.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type {
  ClientRecord,
  JacketRecord,
  OutfitRecord,
  ShirtRecord,
  TakenMeasure,
  TieAtHand,
  Wardrobe,
} from '../../src/contract/records/records.ts';
import { unworn } from '../../src/core/care/standing.ts';
import { uncalibrated } from '../../src/core/fitbook/calibration.ts';
import { nothingLearnt } from '../../src/core/fitbook/here.ts';
import { completeRequest, plan } from '../../src/core/index.ts';
import { soundQuestion } from '../../src/islands/atHand/question.ts';
import {
  atHandOfFitting,
  freshAtHand,
  withAim,
  withClient,
  withJacket,
  withOutfit,
  withRegulation,
  withShirt,
  withTie,
} from '../../src/islands/atHand/values.ts';
import { tieA, tieB } from '../support/ties.ts';
import { studio } from '../support/wardrobe.ts';

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
const own: TieAtHand = {
  ...kinds.ties.fresh,
  ...tieA,
  ...kept,
  ends: 'pointed',
  profile: [],
  id: 't1',
  clientId: 'c1',
  label: 'Red',
  colours: ['#8c2230'],
  care: unworn('2026-10-01'),
};
const house: TieAtHand = { ...own, ...tieB, id: 't2', clientId: null, label: 'House', colours: ['#123456', '#ffffff'] };
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
  studio,
  client,
  outfits: [],
  shirts: [shirt],
  jackets: [jacket],
  ties: [house, own],
  squares: [],
  regulations: [],
  unchecked: null,
  learnt: nothingLearnt,
};

test('an outfit puts its pieces and the belt line of its trousers on; another shirt ends it', () => {
  const atHand = freshAtHand({ ...wardrobe, outfits: [outfit] });
  assert.deepEqual([atHand.outfit?.label, atHand.shirt.id, atHand.jacket], ['Supper', 's1', null]);
  assert.deepEqual([atHand.question.client.frontDropMm, atHand.question.client.beltHeightMm], [470, 50]);
  assert.equal(withShirt(atHand, { ...shirt, id: 's2' }).outfit, null);
});

test('an outfit that holds its tie and its knot puts them on', () => {
  const atHand = freshAtHand({ ...wardrobe, outfits: [{ ...outfit, tieId: 't2', knot: 'Li Ro Ci Lo Ri Co T' }] });
  assert.deepEqual([atHand.tie.id, atHand.knot, atHand.question.search.also], ['t2', 'Li Ro Ci Lo Ri Co T', ['Li Ro Ci Lo Ri Co T']]);
});

test('a regulation brings its knot, aim, dimple, patterns and rules; it stays while single pieces are exchanged, and what it brought goes with it', () => {
  const regulation = {
    ...kinds.regulations.fresh,
    ...kept,
    id: 'r1',
    label: 'Stewards',
    asOf: '2026-03-01',
    knot: 'Li Ro Li Co T',
    dimple: 'none',
    aim: 'buckle',
    lapelRule: 'match',
    patterns: 'striped',
    jacketWorn: 'closed',
  } as const;
  const ruled = { ...outfit, id: 'o2', regulationId: 'r1' };
  const all = { ...wardrobe, regulations: [regulation], outfits: [ruled, outfit] };
  const atHand = freshAtHand(all);
  const { liking, rules, search } = atHand.question;
  assert.deepEqual([atHand.knot, atHand.aim, liking.dimple, rules.lapelRule], ['Li Ro Li Co T', 'buckle', 'none', 'match']);
  assert.ok(search.also.includes('Li Ro Li Co T'), 'its knot is looked at whatever is asked for');
  assert.equal(atHand.question.occasion.patterns, 'striped');
  const inAnotherShirt = withShirt(atHand, { ...shirt, id: 's2' });
  assert.deepEqual(
    [inAnotherShirt.outfit, inAnotherShirt.regulation?.label, inAnotherShirt.question.rules.lapelRule],
    [null, 'Stewards', 'match'],
    'the occasion is the same in another shirt',
  );
  const buttoned = { ...jacket, worn: 'closed' } as const;
  const inJacket = withRegulation(withJacket(atHand, buttoned), regulation, client);
  assert.equal(
    withJacket(inJacket, { ...jacket, id: 'j9', worn: 'open' }).question.jacket?.worn,
    'closed',
    'another jacket is worn as prescribed',
  );
  const off = withRegulation(inAnotherShirt, null, client);
  assert.deepEqual([off.regulation, off.question.occasion.patterns, off.question.rules.lapelRule], [null, null, 'within-inch']);
  const free = withOutfit(atHand, outfit, client, all);
  assert.deepEqual(
    [free.aim, free.question.liking.dimple, free.question.rules.lapelRule, free.regulation],
    [client.aim, client.dimple, 'within-inch', null],
    'what it prescribed goes back to the client’s own ways',
  );
  const another = withClient(atHand, { ...client, id: 'c9' }, { ...wardrobe, outfits: [] });
  assert.equal(another.question.rules.lapelRule, 'within-inch', 'nor does another client come under it');
  const own = withOutfit({ ...free, aim: 'belt-middle' }, outfit, client, all);
  assert.equal(own.aim, 'belt-middle', 'what was set by hand stays where nothing is prescribed');
});

test('an outfit brings its dress code and the colour of its trousers', () => {
  const atHand = freshAtHand({ ...wardrobe, outfits: [{ ...outfit, dressRule: 'formal', trousersColour: '#303848' }] });
  assert.deepEqual([atHand.question.occasion.dressCode, atHand.colours.trousers], ['formal', '#303848']);
});

test('a client brings a knot of their own, their preferences, and their aim on their belt', () => {
  const habits = { ownKnot: 'Lo Ci Ro Li Co T', symmetry: 'relaxed', neckBand: 'tolerated', practice: 'new', aim: 'belt-middle' } as const;
  const atHand = withClient(freshAtHand(wardrobe), { ...client, ...habits, beltHeightMm: 40 }, wardrobe);
  assert.equal(atHand.knot, 'Lo Ci Ro Li Co T');
  const { symmetry, neckBand, practice } = atHand.question.liking;
  assert.deepEqual([symmetry, neckBand, practice, atHand.question.search.knots], ['relaxed', 'tolerated', 'new', 'named']);
  assert.deepEqual([atHand.aim, atHand.question.aim.offsetMm], ['belt-middle', 20]);
  const unnamed = withClient(atHand, { ...client, ownKnot: 'Lo Ri Lo Ri Co T' }, wardrobe);
  assert.deepEqual(unnamed.question.search.also, ['Lo Ri Lo Ri Co T'], 'a knot without a name is looked at besides those that have one');
});

test('a client who was never measured has empty fields, and can be planned for all the same', () => {
  const atHand = withClient(freshAtHand(wardrobe), { ...client, measures: [] }, wardrobe);
  assert.deepEqual(
    [atHand.question.client.heightMm, atHand.question.client.neckMm, atHand.question.client.frontDropMm],
    [null, null, null],
  );
  const sound = soundQuestion(atHand.question, 'cm');
  assert.ok(sound && checkPlanQuestion(sound).value);
});

test('what is fresh at hand dresses the first client in what is their own', () => {
  const atHand = freshAtHand(wardrobe);
  assert.deepEqual([atHand.client.id, atHand.shirt.id, atHand.jacket?.id, atHand.tie.id], ['c1', 's1', 'j1', 't1']);
  assert.deepEqual(atHand.colours, { tie: ['#8c2230'], shirt: '#ffffff', jacket: '#222244', trousers: null });
  assert.equal(atHand.question.jacket?.waistcoat, true);
  assert.ok(checkPlanQuestion(atHand.question).value);
});

test('a studio that keeps nothing has usual measures at hand', () => {
  const atHand = freshAtHand({ ...wardrobe, client: null, shirts: [], jackets: [], ties: [] });
  assert.deepEqual([atHand.client.id, atHand.client.label, atHand.jacket], [null, 'Walk-in', null]);
  assert.deepEqual([atHand.shirt.draft, atHand.tie.draft], [true, true]);
  assert.ok(soundQuestion(atHand.question, 'cm'));
});

test('nobody is dressed in what is another client’s own: a draft, the studio’s, and what was exchanged is told', () => {
  const theirs = { ...wardrobe, client: other, shirts: [], jackets: [], ties: [house] };
  const atHand = withClient(freshAtHand(wardrobe), other, theirs);
  assert.deepEqual([atHand.client.id, atHand.shirt.id, atHand.shirt.draft, atHand.jacket, atHand.tie.id], ['c2', null, true, null, 't2']);
  assert.equal(atHand.told, 'Red belongs to another client: House instead.');
  assert.equal(atHand.question.client.frontDropMm, null);
  assert.deepEqual([atHand.question.shirt.buttonsMm.length, atHand.colours.jacket], [4, null]);
});

test('the tie at hand stays with another client who can wear it, and so does a studio shirt', () => {
  const studios = { ...shirt, id: 's2', clientId: null, label: 'House white' };
  const before = withShirt(withTie(freshAtHand(wardrobe), house), studios);
  const theirs = { ...wardrobe, client: other, shirts: [studios], ties: [house, own] };
  const atHand = withClient(before, other, theirs);
  assert.deepEqual([atHand.tie.id, atHand.shirt.id, atHand.told], ['t2', 's2', null]);
});

test('a new client starts without the knot and the note of the one before, but a knot that is held stays', () => {
  const before = { ...freshAtHand(wardrobe), knot: 'Li Ro Li Co T', note: 'his' };
  const atHand = withClient(before, other, wardrobe);
  assert.deepEqual([atHand.knot, atHand.note], [null, '']);
  const held = withClient({ ...before, given: 'knot' }, other, wardrobe);
  assert.deepEqual([held.knot, held.question.search.also], ['Li Ro Li Co T', ['Li Ro Li Co T']]);
});

test('each piece is exchanged by itself', () => {
  const atHand = freshAtHand(wardrobe);
  const tied = withTie(atHand, house);
  assert.deepEqual([tied.tie.label, tied.question.tie.bladeMm, tied.colours.tie], ['House', 60, ['#123456', '#ffffff']]);
  assert.equal(tied.question.shirt, atHand.question.shirt);
  const shirted = withShirt(atHand, { ...shirt, id: 's9', collarSpreadMm: 140, colour: '#eeeeee' });
  assert.deepEqual(
    [shirted.question.shirt.collarSpreadMm, shirted.colours.shirt, shirted.colours.tie],
    [140, '#eeeeee', atHand.colours.tie],
  );
  assert.equal(withJacket(atHand, null).question.jacket, null);
  const aimed = withAim(atHand, 'belt-middle');
  assert.deepEqual([aimed.aim, aimed.question.aim.offsetMm], ['belt-middle', 18]);
});

test('only the measures go into the question, not the record around them', () => {
  const { question } = freshAtHand(wardrobe);
  assert.deepEqual(Object.keys(question.client).sort(), [
    'beltHeightMm',
    'blade',
    'crossedLoopMm',
    'crossingGapMm',
    'front',
    'frontDropHow',
    'frontDropMm',
    'heightMm',
    'neckMm',
    'openLoopMm',
  ]);
  assert.ok(!('label' in question.tie) && !('colours' in question.tie));
});

test('a saved fitting stands at hand as it was, with its aim by name where it has one', () => {
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
    cloth: before.colours,
    request: completeRequest(value),
    knot: 'Li Ro Li Co T',
    answer: plan(value).knots[0]!,
    note: 'a note',
    attempts: [],
    createdAt: '2026-10-30T17:20:00Z',
    personId: null,
    personName: null,
    answerVersion,
  };
  const opened = atHandOfFitting(fitting);
  assert.deepEqual(opened, {
    ...before,
    knot: 'Li Ro Li Co T',
    note: 'a note',
    question: { ...before.question, calibration: uncalibrated },
  });
  const odd = atHandOfFitting({ ...fitting, request: { ...fitting.request, aim: { offsetMm: 3, aboveMm: 4, belowMm: 5 } } });
  assert.equal(odd.aim, 'own');
});

test('where the stylist ties, the habits of whoever is dressing count; where the client ties, the client’s own', () => {
  const person = { ...kinds.people.fresh, ...kept, id: 'p', name: 'Margit', blade: 'left', gapMm: 30 } as const;
  const dressed = { ...wardrobe, studio: { ...studio, person } };
  const tiedBy = (who: ClientRecord['tiedBy']) => freshAtHand({ ...dressed, client: { ...client, tiedBy: who } }).question.client;
  assert.deepEqual([tiedBy('stylist').blade, tiedBy('stylist').crossingGapMm], ['left', 30]);
  assert.deepEqual([tiedBy('client').blade, tiedBy('client').crossingGapMm], ['right', 10]);
  assert.equal(freshAtHand({ ...dressed, client: null }).question.client.blade, 'left', 'a walk-in is tied by the stylist');
});
