import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { sharesOf, supposedShares } from '../../../src/core/colour/cloth.ts';
import { colourDifference, labOf } from '../../../src/core/colour/compare.ts';
import { inHundredths } from '../../../src/core/colour/hundredths.ts';
import { paletteOf } from '../../../src/core/colour/palette.ts';

/** A picture of stripes of colour, each as wide as its share of 200 pixels, with a little noise as of woven cloth. */
function picture(stripes: readonly (readonly [colour: string, share: number])[], noise = 0): Uint8ClampedArray {
  const rows = 40;
  const pixels: number[] = [];
  for (let row = 0; row < rows; row += 1) {
    for (const [colour, share] of stripes) {
      const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16)) as [number, number, number];
      for (let i = 0; i < share * 200; i += 1) {
        const shade = noise * (((row * 31 + i * 17) % 7) / 3 - 1);
        pixels.push(r + shade, g + shade, b + shade, 255);
      }
    }
  }
  return new Uint8ClampedArray(pixels);
}

const near = (one: string, other: string) => colourDifference(labOf(one), labOf(other));

test('the colours of a cloth and their shares are found, most of it first, through the noise of its weave', () => {
  const palette = paletteOf(
    picture(
      [
        ['#23406b', 0.7],
        ['#c9a557', 0.2],
        ['#f2eee2', 0.1],
      ],
      8,
    ),
  );
  assert.equal(palette.length, 3);
  for (const [i, [colour, share]] of (
    [
      ['#23406b', 0.7],
      ['#c9a557', 0.2],
      ['#f2eee2', 0.1],
    ] as const
  ).entries()) {
    assert.ok(near(palette[i]!.colour, colour) < 4, `${palette[i]!.colour} for ${colour}`);
    assert.ok(Math.abs(palette[i]!.share - share) < 0.03);
  }
});

test('a plain cloth has one colour, threads and specks none', () => {
  assert.equal(paletteOf(picture([['#8c2230', 1]], 10)).length, 1);
  assert.equal(
    paletteOf(
      picture([
        ['#8c2230', 0.985],
        ['#ffffff', 0.015],
      ]),
    ).length,
    1,
  );
});

test('at most four colours, shares that make up the whole, the same answer every time', () => {
  const colours = ['#000000', '#ffffff', '#ff0000', '#00ff00', '#0000ff', '#ffff00'];
  const pixels = picture(colours.map((colour) => [colour, 1 / 6] as const));
  const palette = paletteOf(pixels);
  assert.equal(palette.length, 4);
  assert.ok(Math.abs(palette.reduce((sum, { share }) => sum + share, 0) - 1) < 1e-9);
  assert.deepEqual(paletteOf(pixels), palette);
  assert.equal(
    inHundredths(palette).reduce((sum, part) => sum + part, 0),
    100,
  );
});

test('what is see-through does not count', () => {
  assert.deepEqual(paletteOf(new Uint8ClampedArray(400)), []);
});

test('shares in hundredths make up 100, however many colours, and are heeded where they were judged', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 4 }), (count) => {
      const parts = supposedShares(count);
      assert.equal(parts.length, count);
      assert.equal(
        parts.reduce((sum, part) => sum + part, 0),
        100,
      );
    }),
  );
  const shares = sharesOf({ colours: ['#000000', '#ffffff'], shares: [25, 75] }).map(({ share }) => share);
  assert.deepEqual(shares, [0.25, 0.75]);
});
