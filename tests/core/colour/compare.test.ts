import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { sharesOf } from '../../../src/core/colour/cloth.ts';
import { colourDifference, greyOf, labOf, mixOf, tieOnShirt } from '../../../src/core/colour/compare.ts';

const anyColour = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);

test('lightness runs from black to white, and greys come back', () => {
  assert.ok(Math.abs(labOf('#000000').lightness) < 1e-6);
  assert.ok(Math.abs(labOf('#ffffff').lightness - 100) < 1e-3);
  for (const lightness of [20, 50, 80]) assert.ok(Math.abs(labOf(greyOf(lightness)).lightness - lightness) < 0.5);
  assert.throws(() => labOf('reddish'), /not a colour/);
});

test('the difference is none between equals, the same both ways, and about a hundred between black and white', () => {
  fc.assert(
    fc.property(anyColour, anyColour, (one, other) => {
      const [a, b] = [labOf(one), labOf(other)];
      assert.ok(colourDifference(a, a) < 1e-9);
      assert.ok(Math.abs(colourDifference(a, b) - colourDifference(b, a)) < 1e-9);
    }),
  );
  assert.ok(Math.abs(colourDifference(labOf('#000000'), labOf('#ffffff')) - 100) < 0.01);
});

test('shares make up the whole, the ground most of it, and a mix lies between its colours', () => {
  fc.assert(
    fc.property(fc.array(anyColour, { minLength: 1, maxLength: 4 }), (colours) => {
      const shares = sharesOf({ colours });
      assert.ok(Math.abs(shares.reduce((sum, { share }) => sum + share, 0) - 1) < 1e-9);
      assert.ok(shares.every(({ share }) => share <= shares[0]!.share));
      const lightnesses = colours.map((colour) => labOf(colour).lightness);
      const { lightness } = mixOf(shares);
      assert.ok(lightness >= Math.min(...lightnesses) - 1e-9 && lightness <= Math.max(...lightnesses) + 1e-9);
    }),
  );
});

test('ties against shirts, in words', () => {
  assert.equal(tieOnShirt({ colours: ['#1f2d52'] }, '#f6f7f9').reading, 'dressy');
  assert.equal(tieOnShirt({ colours: ['#d8d2c0'] }, '#2b3550').reading, 'casual');
  assert.equal(tieOnShirt({ colours: ['#eef0f4'] }, '#f6f7f9').reading, 'too-close');
  assert.equal(tieOnShirt({ colours: ['#7d5a5a'] }, '#5a7a6a').reading, 'even');
});

test('two ties of one hue can be warm and cold against the same shirt', () => {
  assert.equal(tieOnShirt({ colours: ['#8c2a22'] }, '#f3f3f3').undertone, 'warmer');
  assert.equal(tieOnShirt({ colours: ['#2a3f7a'] }, '#f3f3f3').undertone, 'cooler');
  assert.equal(tieOnShirt({ colours: ['#555555'] }, '#f3f3f3').undertone, 'alike');
});
