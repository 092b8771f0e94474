import assert from 'node:assert/strict';
import test from 'node:test';
import { checkPlanQuestion } from '../../src/contract/planQuestion.ts';
import { completeRequest } from '../../src/core/index.ts';
import { contradictions } from '../../src/core/measures/consistency.ts';
import { question, tieA } from '../support/ties.ts';

const paths = (input: unknown) => checkPlanQuestion(input).faults?.map(({ path }) => path) ?? [];
const message = (input: unknown, path: string) => checkPlanQuestion(input).faults?.find((fault) => fault.path === path)?.message ?? '';

test('a good question passes and is left as it was', () => {
  assert.deepEqual(checkPlanQuestion(question).value, question);
});

test('every fault is named at once, in words', () => {
  const input = {
    client: { heightMm: 'tall', neckMm: 3, frontDropMm: Number.NaN, blade: 'middle' },
    shirt: { collarPointMm: 75, buttonsMm: [70, 'x', 3000] },
    jacket: { waistcoat: 'yes' },
    tie: { lengthMm: 1470, bladeMm: 3, fabric: 'chainmail' },
    taste: { maxMoves: 2.5 },
  };
  assert.deepEqual(paths(input).sort(), [
    'client.blade',
    'client.frontDropMm',
    'client.heightMm',
    'client.neckMm',
    'jacket.lapelMm',
    'jacket.waistcoat',
    'shirt.buttonsMm.1',
    'shirt.buttonsMm.2',
    'taste.maxMoves',
    'taste.maxMoves',
    'tie.bladeMm',
    'tie.fabric',
    'tie.thicknessMm',
  ]);
  assert.equal(message(input, 'tie.bladeMm'), 'Blade can’t be 0.3 cm. Allowed: 2.5–13 cm.');
  assert.match(message({ ...input, units: 'in' }, 'tie.bladeMm'), /^Blade can’t be 1\/8 in\./);
  assert.match(message(input, 'client.heightMm'), /Height is not a length: “tall”/);
  assert.match(message(input, 'tie.thicknessMm'), /Thickness is missing\. Allowed: 0\.8–8 mm/);
});

test('what is no question at all is told so', () => {
  for (const input of [null, [], 'text', 7, undefined]) assert.ok(paths(input).length > 0);
  assert.deepEqual(paths({}), ['client', 'tie']);
});

test('measures that cannot be true together', () => {
  const wide = { ...question, shirt: { ...question.shirt, collarSpreadMm: 160 } };
  assert.deepEqual(paths(wide), ['shirt.collarSpreadMm']);
  assert.match(message(wide, 'shirt.collarSpreadMm'), /16 cm is too wide: two points of 7\.5 cm reach 15 cm at most/);

  const short = { ...question, client: { heightMm: 1780, neckMm: 600 }, tie: { ...tieA, lengthMm: 620, neckAtMm: 400 } };
  assert.match(message(short, 'tie.lengthMm'), /does not go around this neck/);

  const odd = { ...question, tie: { ...tieA, neckMm: 60, tailMm: 40, keeperMm: 500, neckAtMm: 480 } };
  assert.deepEqual(paths(odd).sort(), ['tie.keeperMm', 'tie.tailMm']);
  assert.deepEqual(paths({ ...question, shirt: { buttonsMm: [70, 60, 200] } }), ['shirt.buttonsMm']);
});

test('what contradicts is told beside what is out of range, where it can be judged at all', () => {
  const both = { ...question, shirt: { ...question.shirt, collarSpreadMm: 160 }, tie: { ...tieA, bladeMm: 3 } };
  assert.deepEqual(paths(both).sort(), ['shirt.collarSpreadMm', 'tie.bladeMm']);
  assert.deepEqual(paths({ ...both, shirt: { collarSpreadMm: 160, collarPointMm: 'long' } }).sort(), [
    'shirt.collarPointMm',
    'tie.bladeMm',
  ]);
});

test('an empty field beside a fault is not measured, and makes no fault of its own', () => {
  assert.deepEqual(paths({ ...question, tie: { ...tieA, neckAtMm: '', tailMm: '', bladeMm: 3 } }), ['tie.bladeMm']);
  assert.deepEqual(paths({ ...question, tie: { lengthMm: '', bladeMm: 85, thicknessMm: 3.2 } }), ['tie.lengthMm']);
  assert.deepEqual(paths({ ...question, tie: { lengthMm: 1470, bladeMm: '', thicknessMm: 3.2 } }), ['tie.bladeMm']);
});

test('the defaults contradict nothing', () => {
  const request = completeRequest({ client: { heightMm: 1780, neckMm: 395 }, tie: { lengthMm: 1470, bladeMm: 80, thicknessMm: 3 } });
  assert.deepEqual(contradictions(request, String), []);
});

test('what was learnt goes along with a question whole: shares with what they go along with, loops and shapes', () => {
  const along = { offsetMm: -0.4, openMm: 0.1, crossedMm: 0 };
  const shape = { top: 0.04, height: -0.02, leanDeg: 2 };
  const calibration = {
    takeUp: { share: 0.02, sd: 0.09, along, knots: { 'Li Ro Li Co T': { share: 0.05, sd: 0.04, along } } },
    hand: { meanMm: 4, sdMm: 6 },
    client: { meanMm: -3, sdMm: 8 },
    loops: {
      open: { meanMm: 5, sdMm: 18 },
      crossed: { meanMm: -2, sdMm: 15 },
      along: { openMm2: 20, crossedMm2: -9, eachOtherMm2: -40 },
    },
    shape: { ...shape, knots: { 'Li Ro Li Co T': shape } },
  };
  assert.deepEqual(checkPlanQuestion({ ...question, calibration }).value?.calibration, calibration);
});
