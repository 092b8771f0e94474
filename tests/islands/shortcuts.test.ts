import assert from 'node:assert/strict';
import test from 'node:test';
import { keyLabel, shortcuts } from '../../src/islands/device/shortcuts.ts';

const all = Object.values(shortcuts);

test('no key does two things', () => {
  const keys = all.flatMap((shortcut) => [...shortcut.keys]);
  assert.equal(new Set(keys).size, keys.length);
});

test('every key without Ctrl can be switched off, and none with it', () => {
  for (const { keys, plain, does } of all) {
    for (const key of keys) assert.equal(plain, !key.startsWith('$mod+'), does);
  }
});

test('keys are written as they are on the keyboard', () => {
  assert.equal(keyLabel('$mod+Shift+z'), 'Ctrl + Shift + Z');
  assert.equal(keyLabel('n'), 'N');
  assert.equal(keyLabel('?'), '?');
  assert.equal(keyLabel('+'), '+');
  assert.deepEqual(['ArrowLeft', 'PageDown', 'Space'].map(keyLabel), ['←', 'Page Down', 'Space']);
});
