import assert from 'node:assert/strict';
import test from 'node:test';
import { standalone } from '../../src/islands/seen/drawingFile.ts';

const page = { '--color-set': ' #2440c4', '--color-ink': '#16202a' } as Readonly<Record<string, string>>;
const file = standalone(
  '<svg class="w-full" viewBox="-20 -5.5 300 80.25" role="group" aria-label="The tie"><path stroke="var(--color-set)" class="a"/><text fill="var(--color-ink)">5</text></svg>',
  (name) => page[name] ?? '',
);

test('a drawing becomes a file of its own: in millimetres, with the page’s colours written in and nothing of its layout', () => {
  assert.match(file, /^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg" width="300mm" height="80\.25mm" /);
  assert.match(file, /viewBox="-20 -5\.5 300 80\.25" aria-label="The tie"/);
  assert.match(file, /stroke="#2440c4"/);
  assert.match(file, /fill="#16202a"/);
  assert.doesNotMatch(file, /var\(|w-full/);
});
