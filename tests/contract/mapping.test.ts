import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { columnsOf } from '../../src/contract/exchange/columns.ts';
import { readCsv, writeCsv } from '../../src/contract/exchange/csv.ts';
import { asOurs, guessUses, isOurs } from '../../src/contract/exchange/mapping.ts';
import { readTable } from '../../src/contract/exchange/table.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import { kindCodes } from '../../src/contract/records/kindWords.ts';

const names = columnsOf('ties').map(({ name }) => name);
const tableOf = (text: string) => readTable(text, names);
const through = (text: string) => {
  const table = tableOf(text);
  return readCsv('ties', asOurs('ties', table.rows, guessUses('ties', table)).text).rows.map(({ values }) => values);
};

test('columns are matched by name, by label and by what others call them', () => {
  const table = tableOf('Name,Length (cm),Blade [in],Thickness,Material,Remarks,Shelf\nNavy,147,3 1/4,3.2,Woven silk,ours,B2\n');
  assert.deepEqual(
    guessUses('ties', table).map(({ column }) => column),
    ['label', 'length_mm', 'blade_mm', 'thickness_mm', 'fabric', 'note', null],
  );
  const [row] = through('Name,Length (cm),Blade [in],Thickness,Material,Remarks,Shelf\nNavy,147,3 1/4,3.2,Woven silk,ours,B2\n');
  assert.deepEqual(
    [row?.['label'], row?.['lengthMm'], row?.['bladeMm'], row?.['thicknessMm'], row?.['fabric'], row?.['note']],
    ['Navy', 1470, 82.55, 3.2, 'woven-silk', 'ours'],
  );
});

test('the unit of a column that does not say it is the one its figures make sense in', () => {
  const units = (text: string) => guessUses('ties', tableOf(text)).map(({ unit }) => unit);
  assert.deepEqual(units('Length,Blade\n147,8.5\n150,9\n'), ['cm', 'cm']);
  assert.deepEqual(units('Length,Blade\n58,3.25\n59,3 1/2\n'), ['in', 'in']);
  assert.deepEqual(units('Length,Blade\n1470,85\n1500,90\n'), ['mm', 'mm']);
});

test('feet and inches, and units in the cells themselves, are read whatever the column’s unit', () => {
  const clients = columnsOf('clients').map(({ name }) => name);
  const table = readTable('Client,Height,Collar size\nRowan,5\'10",16 in\nPell,183 cm,41\n', clients);
  const { rows } = readCsv('clients', asOurs('clients', table.rows, guessUses('clients', table)).text);
  const taken = rows.map(({ values }) => values['latest'] as Record<string, { mm: number }>);
  assert.deepEqual(
    taken.map((each) => [each['heightMm']?.mm, each['neckMm']?.mm]),
    [
      [1778, 406.4],
      [1830, 410],
    ],
  );
});

test('a broken quotation mark spoils its line and no other', () => {
  const lines = Array.from({ length: 30 }, (_, i) => `Tie ${i},147,8.5`);
  for (const at of [0, 7, 29]) {
    const spoilt = lines.map((line, i) => (i === at ? `"Tie ${i},147,8.5` : line));
    for (const others of [spoilt, spoilt.map((line, i) => (i === at + 3 ? '"Tie, quoted",147,8.5' : line))]) {
      const { rows, broken } = tableOf(`label,length_mm,blade_mm\n${others.join('\n')}\n`);
      assert.deepEqual(
        broken.map(({ line, text }) => [line, text]),
        [[at + 2, `"Tie ${at},147,8.5`]],
        `${at}`,
      );
      assert.equal(rows.length, 29);
      assert.deepEqual(
        rows.map(({ line }) => line),
        lines.map((_, i) => i + 2).filter((line) => line !== at + 2),
      );
    }
  }
});

test('a file of ours needs no matching, and comes through it unchanged', () => {
  for (const kind of kindCodes) {
    const record = { ...kinds[kind].fresh, id: 'x', archived: false, label: 'A "b", c', name: 'A\nb', note: 'two\nlines' };
    const csv = writeCsv(kind, [record], () => undefined);
    const table = readTable(
      csv,
      columnsOf(kind).map(({ name }) => name),
    );
    assert.ok(isOurs(kind, table), kind);
    const { text } = asOurs(kind, table.rows, guessUses(kind, table));
    assert.deepEqual(
      readCsv(kind, text).rows.map(({ values }) => values),
      readCsv(kind, csv).rows.map(({ values }) => values),
      kind,
    );
  }
  assert.ok(!isOurs('ties', tableOf('Name,Blade\nx,8\n')));
});

test('lengths of ours come back to the last figure, and inches exactly', () => {
  const bladeMm = 81.2345678901;
  const csv = writeCsv('ties', [{ ...kinds.ties.fresh, id: 'x', archived: false, label: 'x', bladeMm }], () => undefined);
  assert.equal(through(csv)[0]?.['bladeMm'], bladeMm);
  assert.equal(through('Name,Length (in)\nx,57 3/8\n')[0]?.['lengthMm'], 1457.325);
});

test('every line of ours tells which line of the file it came from', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom('plain', 'two\nlines', 'three\n\nlines', 'a "quote"'), { minLength: 1, maxLength: 8 }),
      (notes) => {
        const file = `Name,Remarks\n${notes.map((note, i) => `T${i},"${note.replaceAll('"', '""')}"`).join('\n')}\n`;
        const table = tableOf(file);
        const { text, lineOf } = asOurs('ties', table.rows, guessUses('ties', table));
        const read = readCsv('ties', text).rows;
        assert.deepEqual(
          read.map(({ line }) => lineOf(line)),
          table.rows.map(({ line }) => line),
        );
        assert.deepEqual(
          read.map(({ values }) => values['note']),
          notes,
        );
      },
    ),
  );
});
