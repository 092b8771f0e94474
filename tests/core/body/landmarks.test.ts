import assert from 'node:assert/strict';
import test from 'node:test';
import { frontDropOf } from '../../../src/core/body/frontDrop.ts';
import { buttonName, fingertipOf, landmarksOf } from '../../../src/core/body/landmarks.ts';

test('a measured front drop is taken as it is, an estimate follows height and is wider', () => {
  assert.deepEqual(frontDropOf({ heightMm: 1800, frontDropMm: 450 }), { meanMm: 450, sdMm: 5, measured: true });
  const guess = frontDropOf({ heightMm: 1800, frontDropMm: null });
  assert.ok(Math.abs(guess.meanMm - 459) < 1e-9);
  assert.deepEqual([guess.sdMm, guess.measured], [20, false]);
});

test('landmarks run from the top down, buttons among points of the body', () => {
  const landmarks = landmarksOf({ heightMm: 1800, frontDropMm: 450 }, [70, 160, 250, 340]);
  const depths = landmarks.map(({ meanMm }) => meanMm);
  assert.deepEqual(
    depths,
    depths.toSorted((a, b) => a - b),
  );
  assert.deepEqual(
    landmarks.map(({ name }) => name),
    [
      '1st button below the collar',
      '2nd button below the collar',
      'breastbone',
      '3rd button below the collar',
      '4th button below the collar',
      'bottom of the ribs',
      'navel',
      'belt top',
    ],
  );
  for (const { kind, sdMm } of landmarks) assert.ok(kind === 'button' ? sdMm < 5 : sdMm >= 5);
});

test('buttons are counted from the first below the collar', () => {
  assert.deepEqual(
    [0, 1, 2, 3, 10].map((i) => buttonName(i).split(' ')[0]),
    ['1st', '2nd', '3rd', '4th', '11th'],
  );
});

test('the hanging arm’s fingertip lies below the belt', () => {
  assert.ok(fingertipOf(1800).meanMm > frontDropOf({ heightMm: 1800, frontDropMm: null }).meanMm);
});
