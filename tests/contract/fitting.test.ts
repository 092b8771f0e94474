import assert from 'node:assert/strict';
import test from 'node:test';
import { checkFittingDraft } from '../../src/contract/fitting.ts';
import { checkTie } from '../../src/contract/planQuestion.ts';
import { question, tieA } from '../support/ties.ts';

const draft = {
  id: '4d6f2c1e-9a57-4c59-8a0f-2c9d1b7a6e55',
  clientName: 'Walk-in',
  shirtLabel: 'White',
  tieLabel: 'Red',
  cloth: { tie: ['#8c2230', '#ffffff'], shirt: '#ffffff' },
  question,
  knot: 'Li Ro Li Co T',
};
const faults = (input: unknown) => checkFittingDraft(input).faults ?? [];
const paths = (input: unknown) =>
  faults(input)
    .map(({ path }) => path)
    .sort();

test('what is not said has its default', () => {
  const { value } = checkFittingDraft(draft);
  assert.deepEqual(
    [value?.clientId, value?.shirtId, value?.jacketId, value?.tieId, value?.jacketLabel, value?.note, value?.cloth.jacket],
    [null, null, null, null, null, '', null],
  );
  assert.deepEqual(value?.question, question);
});

test('everything missing is named, in words', () => {
  assert.deepEqual(paths({}), ['clientName', 'cloth', 'id', 'knot', 'question', 'shirtLabel', 'tieLabel']);
  const messages = faults({}).map(({ message }) => message);
  assert.ok(messages.includes('The client’s name is missing.'));
  assert.ok(messages.includes('Choose a knot before saving.'));
});

test('what is in the measures is told with its place in the fitting', () => {
  assert.deepEqual(paths({ ...draft, question: { ...question, tie: { ...tieA, bladeMm: 3 } } }), ['question.tie.bladeMm']);
  assert.deepEqual(paths({ ...draft, question: 7 }), ['question']);
});

test('identifiers, names, colours and notes are held to their form', () => {
  assert.deepEqual(paths({ ...draft, id: 'me', clientId: 'you' }), ['clientId', 'id']);
  assert.deepEqual(paths({ ...draft, clientName: ' x '.repeat(60) }), ['clientName']);
  assert.deepEqual(paths({ ...draft, cloth: { tie: ['#8C2230'], shirt: 'white' } }), ['cloth.shirt', 'cloth.tie.0']);
  assert.deepEqual(paths({ ...draft, cloth: { tie: Array(5).fill('#000000'), shirt: '#ffffff' } }), ['cloth.tie']);
  assert.deepEqual(paths({ ...draft, note: 'x'.repeat(2001) }), ['note']);
  assert.deepEqual(paths('text'), ['']);
});

test('unknown fields are passed over', () => {
  assert.equal('mood' in (checkFittingDraft({ ...draft, mood: 'fine' }).value ?? {}), false);
});

test('a tie by itself: ranges, and what contradicts', () => {
  assert.deepEqual(checkTie({ lengthMm: 1470, bladeMm: 80, thicknessMm: 3 }, 'cm').value, { lengthMm: 1470, bladeMm: 80, thicknessMm: 3 });
  assert.deepEqual(
    checkTie({ lengthMm: 1470, bladeMm: 80, neckMm: 79 }, 'cm').faults?.map(({ path }) => path),
    ['thicknessMm'],
  );
  const odd = checkTie({ lengthMm: 1470, bladeMm: 60, thicknessMm: 3, neckMm: 70, tailMm: 65 }, 'in').faults ?? [];
  assert.deepEqual(odd.map(({ path }) => path).sort(), ['neckMm', 'tailMm']);
  assert.match(odd[0]?.message ?? '', / in\b/);
});

test('an empty field of a tie is one that was not measured', () => {
  assert.deepEqual(checkTie({ lengthMm: 1470, bladeMm: 80, thicknessMm: 3, neckMm: '' }, 'cm').value, {
    lengthMm: 1470,
    bladeMm: 80,
    thicknessMm: 3,
  });
  assert.match(checkTie({ lengthMm: '', bladeMm: 80, thicknessMm: 3 }, 'cm').faults?.[0]?.message ?? '', /^Length is missing/);
});
