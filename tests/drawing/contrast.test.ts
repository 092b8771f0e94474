import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { wcagContrast } from 'culori';
import { root } from '../../scripts/machine/paths.ts';
import { colourDifference, labOf } from '../../src/core/colour/compare.ts';

const css = readFileSync(join(root, 'src', 'styles', 'ropewalk.css'), 'utf8');

function token(name: string): string {
  const value = new RegExp(`--color-${name}:\\s*(#[0-9a-f]{6})`).exec(css)?.[1];
  assert.ok(value, `there is a colour ${name}`);
  return value;
}

test('words in every ink can be read on the ground and on white', () => {
  for (const ink of ['ink', 'soft', 'set', 'follows', 'outside']) {
    for (const ground of ['ground', 'white']) {
      const ratio = wcagContrast(token(ink), token(ground));
      assert.ok(ratio >= 4.5, `${ink} on ${ground}: ${ratio.toFixed(2)}`);
    }
  }
});

test('words on the washes of their own ink can be read', () => {
  for (const ink of ['set', 'follows', 'outside']) {
    const ratio = wcagContrast(token(ink), token(`${ink}-wash`));
    assert.ok(ratio >= 4.5, `${ink}: ${ratio.toFixed(2)}`);
  }
  assert.ok(wcagContrast(token('white'), token('set')) >= 4.5, 'the save button');
});

test('the three inks are worlds apart from each other', () => {
  const inks = ['set', 'follows', 'outside'].map((name) => labOf(token(name)));
  for (const [i, one] of inks.entries()) {
    for (const other of inks.slice(i + 1)) assert.ok(colourDifference(one, other) > 30);
  }
});
