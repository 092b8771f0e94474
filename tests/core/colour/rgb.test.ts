import assert from 'node:assert/strict';
import test from 'node:test';
import { laidOver, rgbOf } from '../../../src/core/colour/rgb.ts';

test('a colour laid over another shows by its share; what is no plain colour stays as it is', () => {
  assert.equal(laidOver('#204060', '#ffffff', 0), '#204060');
  assert.equal(laidOver('#204060', '#ffffff', 1), '#ffffff');
  assert.deepEqual(rgbOf(laidOver('#000000', '#ffffff', 0.2)), [51, 51, 51]);
  assert.deepEqual(rgbOf(laidOver('#c80032', '#000000', 0.5)), [100, 0, 25]);
  assert.equal(laidOver('var(--color-shirt)', '#000000', 0.5), 'var(--color-shirt)');
});
