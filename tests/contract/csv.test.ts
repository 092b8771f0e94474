import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { columnsOf } from '../../src/contract/exchange/columns.ts';
import { readCsv, writeCsv } from '../../src/contract/exchange/csv.ts';
import { fileText } from '../../src/contract/exchange/fileText.ts';
import { readVcards, writeVcards } from '../../src/contract/exchange/vcard.ts';
import { withLatest } from '../../src/contract/fields/taken.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import { kindCodes } from '../../src/contract/records/kindWords.ts';
import type { TakenMeasure } from '../../src/contract/records/records.ts';

/** Any text a record can hold: everything but the one sign the database cannot keep. */
const anyText = fc.string({ unit: 'grapheme', maxLength: 40 }).map((text) => text.replaceAll('\0', ''));
const nasty = fc.stringMatching(/^['=+\-@\t\r\n",;| ]{0,6}[a-z]{0,4}['"\n\r;,]{0,4}$/);

test('any text goes through a table and comes back as it was', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.oneof(anyText, nasty), fc.oneof(anyText, nasty)), { minLength: 1, maxLength: 5 }), (pairs) => {
      const records = pairs.map(([label, note]) => ({ ...kinds.squares.fresh, id: 'x', archived: false, label, note }));
      const { rows, faults } = readCsv(
        'squares',
        writeCsv('squares', records, () => undefined),
      );
      assert.deepEqual(faults, []);
      assert.deepEqual(
        rows.map(({ values }) => [values['label'], values['note']]),
        pairs,
      );
    }),
  );
});

test('no cell begins as a formula', () => {
  fc.assert(
    fc.property(nasty, (label) => {
      const csv = writeCsv('squares', [{ ...kinds.squares.fresh, id: 'x', archived: false, label }], () => undefined);
      const cell = columnsOf('squares')
        .find(({ name }) => name === 'label')!
        .write({ label }, () => undefined);
      assert.ok(!/^[=+\-@\t\r]/.test(cell));
      assert.ok(csv.length > 0);
    }),
  );
});

test('every field has its column, with its unit', () => {
  for (const kind of kindCodes) {
    const columns = columnsOf(kind);
    assert.equal(new Set(columns.map(({ name }) => name)).size, columns.length);
    for (const { name, holds } of columns.filter(({ name }) => name.endsWith('_mm'))) assert.match(holds, /mm/, `${kind} ${name}`);
  }
});

test('semicolons, tabs, byte order marks, blank lines and other orders of columns are read', () => {
  const values = (text: string) => readCsv('squares', text).rows.map(({ values: { label, fabric, shares } }) => [label, fabric, shares]);
  assert.deepEqual(values('\uFEFFfabric;label;shares_percent\r\nsatin;"a;b";60 40\r\n\r\nwool;c;\r\n'), [
    ['a;b', 'satin', [60, 40]],
    ['c', 'wool', null],
  ]);
  assert.deepEqual(values('label\tfabric\tshares_percent\nx\twool\t100'), [['x', 'wool', [100]]]);
  assert.deepEqual(readCsv('squares', 'Label,Colour of ribbon\nx,red').notes, [
    'The column “colour of ribbon” is not known and was skipped.',
  ]);
});

test('a row’s line is where it begins in the file, whatever its cells hold', () => {
  const { rows } = readCsv('squares', 'label,note\na,"one\ntwo\nthree"\nb,x\n');
  assert.deepEqual(
    rows.map(({ line }) => line),
    [2, 5],
  );
});

test('a measure that only repeats what was taken last is no new taking', () => {
  const history: TakenMeasure[] = [{ measure: 'neckMm', mm: 395, how: 'tape', takenOn: '2026-10-01' }];
  const read = (mm: number | null, takenOn = '') => ({ neckMm: { measure: 'neckMm', mm, how: '', takenOn } });
  assert.deepEqual(withLatest(history, read(395), '2026-11-25'), history);
  assert.deepEqual(withLatest(history, read(null), '2026-11-25'), history);
  assert.deepEqual(withLatest(history, read(400), '2026-11-25'), [{ ...history[0], mm: 400, takenOn: '2026-11-25' }, ...history]);
  assert.deepEqual(
    withLatest(history, read(396, '2026-10-01'), '2026-11-25'),
    [{ ...history[0], mm: 396 }],
    'a correction of the same day',
  );
});

/** What a card has a line for: what is empty is left open. */
function stated<T extends { readonly name: string }>(contact: T): Partial<T> {
  return Object.fromEntries(Object.entries(contact).filter(([key, value]) => key === 'name' || value !== '')) as Partial<T>;
}

test('a backslash before a separator is no escape of it', () => {
  for (const text of ['\\', 'by the door \\', '\\;', '\\\\', '\\n', 'a\\,b', `${'x'.repeat(66)}\\\\`]) {
    const contact = { name: text, nickname: text, note: text, email: '', phone: '', address: text };
    const [card] = readVcards(writeVcards([{ id: '7b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11', ...contact }]));
    assert.deepEqual(card?.contact, stated(contact), text);
  }
});

test('any text goes through a contact card and comes back as it was', () => {
  // Card files end their lines with CR LF and know one kind of line break inside a value.
  const cardText = fc.oneof(anyText, nasty).map((text) => text.replaceAll('\r', ''));
  fc.assert(
    fc.property(cardText, cardText, cardText, (name, note, address) => {
      const id = '7b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11';
      const contact = { name, nickname: note, note, email: 'a@b.example', phone: '+1', address };
      const [card] = readVcards(writeVcards([{ id, ...contact }]));
      assert.deepEqual(card, { line: 1, id, contact: stated(contact) });
    }),
  );
});

test('a table of which every line has an open quotation mark is gone through once, each line told by itself', () => {
  const lines = Array.from({ length: 3000 }, (_, i) => `"Tie ${i},1470`);
  const { rows, broken } = readCsv('ties', `label,length_mm\n${lines.join('\n')}\nWhole,1480\n`);
  assert.deepEqual(rows, [{ line: 3002, values: { label: 'Whole', lengthMm: 1480 } }]);
  assert.deepEqual([broken.length, broken[0], broken.at(-1)?.line], [3000, { line: 2, text: '"Tie 0,1470' }, 3001]);
});

test('rows across the edges of what is read in one go come out whole, with their lines', () => {
  const notes = Array.from({ length: 400 }, (_, i) => `${'x'.repeat(i % 97)}\n${'y, "z" '.repeat(i % 13)}`);
  const records = notes.map((note, i) => ({ ...kinds.squares.fresh, label: `Square ${i}`, note }));
  const { rows, broken, faults } = readCsv(
    'squares',
    writeCsv('squares', records as never, () => undefined),
  );
  assert.deepEqual([broken, faults], [[], []]);
  assert.deepEqual(
    rows.map(({ values }) => values['note']),
    notes,
  );
  assert.deepEqual(
    rows.map(({ line }) => line),
    notes.map((_, i) => 2 + 2 * i),
  );
});

test('a short row says nothing of what it has no cell for; a long one is told', () => {
  assert.deepEqual(readCsv('squares', 'label,note,fabric\nA\n').rows, [{ line: 2, values: { label: 'A' } }]);
  assert.match(readCsv('squares', 'label,note\nA,b,c\n').faults.join(), /Line 2 has more cells/);
  assert.deepEqual(readCsv('squares', 'label,note\nA,b,,\n').faults, []);
});

test('a card file that uses every character is refused, and not searched for ever', () => {
  const every = Array.from({ length: 0xfffe }, (_, i) => String.fromCharCode(i + 1)).join('');
  assert.throws(() => readVcards(`BEGIN:VCARD\r\nFN:${every}\r\nEND:VCARD`), /every character/);
});

test('a file is read as UTF-8 strictly, and else as what older programs wrote', () => {
  assert.deepEqual(fileText(new TextEncoder().encode('Süd')), { text: 'Süd', encoding: 'UTF-8' });
  assert.deepEqual(fileText(new Uint8Array([0x53, 0xfc, 0x64])), { text: 'Süd', encoding: 'Windows-1252' });
});
