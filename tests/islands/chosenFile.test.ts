import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { inOneGo } from '../../src/contract/exchange/table.ts';
import {
  askedOf,
  type ChosenFile,
  choosing,
  onlyLines,
  reread,
  withCell,
  withLine,
  withUses,
} from '../../src/islands/studio/chosenFile.ts';
import { inTurns } from '../../src/islands/studio/inTurns.ts';

const kept = new Map<string, string>();
beforeEach(() => {
  kept.clear();
  Object.assign(globalThis, {
    localStorage: { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value) },
  });
});

const file = 'Name,Blade,Length\nNavy,8.5,147\n"Rust,8,150\nMoss,nine,148\n';
const chooseFile = (...chosen: Parameters<typeof choosing>) => inOneGo(choosing(...chosen));
const choose = () => chooseFile('from-the-shop.csv', 'ties.csv', file);
const rowsOf = (chosen: ChosenFile, but = new Set<number>()) => String(askedOf(chosen, but).content).trim().split('\n');

test('a large table is read in turns: the page can answer a hand between them', async () => {
  const rows = Array.from({ length: 40_000 }, (_, i) => `Tie ${i},8.5,147`);
  let turns = 0;
  const other = setInterval(() => turns++, 0);
  const chosen = await inTurns(choosing('from-the-shop.csv', 'ties.csv', `Name,Blade,Length\n${rows.join('\n')}\n`));
  clearInterval(other);
  assert.equal(chosen.table?.rows.length, rows.length);
  assert.ok(turns > 1, `${turns}`);
});

test('a file of another program is sent as a table of ours, without the line that can’t be read', () => {
  const chosen = choose();
  assert.deepEqual(rowsOf(chosen), ['label,blade_mm,length_mm', 'Navy,85,1470', 'Moss,nine,1480']);
  const { lines, counts } = askedOf(chosen).told({
    counts: { add: 1, fault: 1, change: 0, same: 0 },
    lines: [
      { line: 2, what: 'tie', title: 'Navy', action: 'add', details: [] },
      { line: 3, what: 'tie', title: 'Moss', action: 'fault', details: ['Blade is not a length.'] },
    ],
    faults: [],
    notes: [],
    applied: false,
  });
  assert.deepEqual(
    lines.map(({ line, action }) => [line, action]),
    [
      [2, 'add'],
      [4, 'fault'],
      [3, 'fault'],
    ],
    'told in the file’s own lines',
  );
  assert.equal(counts.fault, 2, 'the line that can’t be read is an error too');
});

test('cells and lines are mended where they stand', () => {
  const cell = withCell(choose(), 4, 1, '9');
  assert.deepEqual(rowsOf(cell).at(-1), 'Moss,90,1480');
  const still = reread(withLine(cell, 3, '"Rust again,8,150'));
  assert.equal(still.table?.broken[0]?.text, '"Rust again,8,150', 'nothing that was typed is lost');
  const typed = withLine(still, 3, 'R');
  assert.equal(typed.table?.broken.length, 1, 'what is being typed is not taken for the line');
  const line = reread(withLine(typed, 3, 'Rust,8,150'));
  assert.deepEqual(rowsOf(line), ['label,blade_mm,length_mm', 'Navy,85,1470', 'Rust,80,1500', 'Moss,90,1480']);
  assert.deepEqual(line.table?.broken, []);
  assert.deepEqual(rowsOf(onlyLines(line, new Set([4]))), ['label,blade_mm,length_mm', 'Moss,90,1480']);
  assert.deepEqual(rowsOf(line, new Set([2, 4])), ['label,blade_mm,length_mm', 'Rust,80,1500']);
});

test('how columns were read is remembered for the next file of the same heading, and for no other', () => {
  const uses = choose().table!.uses.map((use, at) => (at === 1 ? { column: 'tail_mm', unit: 'in' as const } : use));
  withUses(choose(), uses);
  assert.deepEqual(choose().table!.uses, uses);
  assert.equal(chooseFile('x.csv', 'ties.csv', 'Name,Blade\nNavy,8.5\n').table!.uses[1]?.column, 'blade_mm');
  for (const key of kept.keys()) kept.set(key, '[{"column":1}]');
  assert.equal(choose().table!.uses[1]?.column, 'blade_mm', 'what can’t be understood is passed over');
});

test('a file that is empty, or no table, is sent as it is', () => {
  assert.equal(chooseFile('x.csv', 'ties.csv', '').table, undefined);
  assert.equal(askedOf(chooseFile('x.json', 'studio.json', '{"a":1}')).content, '{"a":1}');
});
