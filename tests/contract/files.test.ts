import assert from 'node:assert/strict';
import test from 'node:test';
import { columnsOf } from '../../src/contract/exchange/columns.ts';
import { readCsv, writeCsv } from '../../src/contract/exchange/csv.ts';
import { isExchangeFile } from '../../src/contract/exchange/report.ts';
import { readVcards, writeVcards } from '../../src/contract/exchange/vcard.ts';
import { labelOf } from '../../src/contract/fields/field.ts';
import { isNamed } from '../../src/contract/fields/reference.ts';
import { sayTaken } from '../../src/contract/fields/taken.ts';
import { sayIn } from '../../src/contract/lengths.ts';
import { fieldsOf, kinds } from '../../src/contract/records/kinds/index.ts';
import { kindCodes } from '../../src/contract/records/kindWords.ts';
import { sayValue } from '../../src/contract/records/sayValue.ts';

const say = sayIn('cm');
const field = (kind: keyof typeof kinds, key: string) => new Map(fieldsOf(kind)).get(key)!;

test('what stands in a field is said in words and in the reader’s unit', () => {
  assert.equal(sayValue(field('ties', 'lengthMm'), 1470, say), '147 cm');
  assert.equal(sayValue(field('ties', 'lengthMm'), 1470, sayIn('in')), '57 7/8 in');
  assert.equal(sayValue(field('ties', 'thicknessMm'), 3.2, say), '3.2 mm');
  assert.equal(sayValue(field('ties', 'thicknessMm'), 3.2, sayIn('in')), '3.2 mm', 'callipers read millimetres in either unit');
  assert.equal(sayValue(field('clients', 'ownKnot'), 'Lo Ri Lo Ri Lo Ri Co T', say), 'Knot 7.9', 'no second spelling of its moves');
  assert.equal(sayValue(field('ties', 'fabric'), 'knit', say), 'knit');
  assert.equal(sayValue(field('ties', 'clientId'), null, say), 'the studio');
  assert.equal(
    sayValue(field('ties', 'clientId'), 'x', say, () => 'Tobiah'),
    'Tobiah',
  );
  assert.equal(sayValue(field('ties', 'profile'), [{ atMm: 300, widthMm: 70 }], say), '7 cm at 30 cm');
  assert.equal(sayValue(field('ties', 'shares'), [70, 30], say), '70%, 30%');
  assert.equal(sayValue(field('shirts', 'buttonsMm'), [70, 160], say), '7 cm · 16 cm');
  assert.equal(sayValue(field('jackets', 'waistcoat'), true, say), 'yes');
  assert.equal(sayValue(field('clients', 'ownKnot'), 'Li Ro Li Co T', say), 'Four-in-hand');
  assert.equal(sayValue(field('clients', 'cautions'), ['machinery'], say), 'works near machinery');
  assert.equal(sayValue(field('clients', 'units'), null, say), 'as the studio does');
  assert.equal(sayValue(field('clients', 'note'), '', say), '—');
  assert.equal(
    sayTaken({ measure: 'neckMm', mm: 395, how: 'estimate', takenOn: '2026-10-01' }, say),
    'Collar size 39.5 cm estimated, 1 October 2026',
  );
});

test('every field has a label, none twice in its kind', () => {
  for (const kind of kindCodes) {
    const labels = fieldsOf(kind).map(([, each]) => labelOf(each));
    assert.ok(labels.every((label) => label.length > 1));
    assert.equal(new Set(labels).size, labels.length, kind);
  }
});

test('a reference is read by its identifier, and by its name only where that is missing', () => {
  const read = (text: string) => readCsv('squares', text).rows[0]!.values['tieId'];
  const id = '7b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11';
  assert.equal(read(`label,tie_id,tie_name\nA,${id.toUpperCase()},Other\n`), id);
  assert.deepEqual(read('label,tie_name,tie_id\nA,"Guild stripe",\n'), { named: 'Guild stripe' });
  assert.ok(isNamed(read('label,tie_name\nA,=odd name\n')));
  assert.equal(read('label,tie_id,tie_name\nA,,\n'), null);
});

test('cells that cannot be read stay as they are, so that they can be told', () => {
  const { values } = readCsv('jackets', 'label,lapel_mm,waistcoat,archived\nA,wide,perhaps,\n').rows[0]!;
  assert.deepEqual([values['lapelMm'], values['waistcoat'], values['archived']], ['wide', 'perhaps', false]);
  const numbers = (cell: string) => readCsv('jackets', `label;lapel_mm\nA;${cell}\n`).rows[0]!.values['lapelMm'];
  assert.deepEqual(['85', '85,5', '85.5', ' 85 ', '1e2', '', '8 5'].map(numbers), [85, 85.5, 85.5, 85, 100, null, '8 5']);
});

test('the columns of a table are its heading, in the same order for writing and reading', () => {
  const record = { ...kinds.shirts.fresh, id: 'x', archived: true, label: 'A' };
  const csv = writeCsv('shirts', [record], (kind, id) => `${kind} ${id}`);
  const [heading = '', line = ''] = csv.split('\r\n');
  assert.deepEqual(
    heading.split(','),
    columnsOf('shirts').map(({ name }) => name),
  );
  assert.match(line, /^x,yes,A,/);
});

test('files are known by their names, and by nothing else', () => {
  assert.ok(isExchangeFile('ties.csv') && isExchangeFile('studio.json') && isExchangeFile('clients.vcf'));
  for (const name of ['', 'toString', 'ties.xlsx', undefined]) assert.ok(!isExchangeFile(name));
});

test('cards say no more than they hold, and a client without an address has none', () => {
  const bare = { id: '7b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11', name: 'A', nickname: '', note: '', email: '', phone: '', address: '' };
  const card = writeVcards([bare]);
  assert.doesNotMatch(card, /^(NOTE|TEL|EMAIL|ADR|NICKNAME)/m);
  assert.match(card, /^BEGIN:VCARD\r\nVERSION:4\.0\r\n/);
  assert.equal(writeVcards([]), '');
  const two = readVcards(writeVcards([bare, { ...bare, id: '8b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11', name: 'B' }]));
  assert.deepEqual(
    two.map(({ line, contact }) => [line, contact.name]),
    [
      [1, 'A'],
      [2, 'B'],
    ],
  );
});

test('cards of other makers are read as far as they go', () => {
  const [card] = readVcards('BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Old Card\r\nN:Card;Old;;;\r\nORG:Guild\r\nEND:VCARD\r\n');
  assert.deepEqual(
    [card?.id, card?.contact.name, card?.contact.phone],
    [undefined, 'Old Card', undefined],
    'what it has no line for it leaves open',
  );
});
