import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { formatFigure, formatLength, formatSpan, parseLength, roughly } from '../../../src/core/units/length.ts';

test('lengths are read as people write them', () => {
  const read = [
    ['41.5', 'cm', 415],
    ['41,5 cm', 'cm', 415],
    ['415 mm', 'in', 415],
    ['1.47 m', 'cm', 1470],
    ['16 3/8', 'in', 415.925],
    ['16-3/8', 'in', 415.925],
    ['16⅜"', 'cm', 415.925],
    ['3/8', 'in', 9.525],
    ['11/16', 'in', (11 / 16) * 25.4],
    ['13/8', 'in', (13 / 8) * 25.4],
    ['⅞', 'in', 22.225],
    ['5\' 10"', 'cm', 1778],
    ["5'10''", 'cm', 1778],
    ['5′ 10″', 'in', 1778],
    ['5\'-10"', 'in', 1778],
    ['5 ft 10', 'cm', 1778],
    ["6'", 'cm', 1828.8],
    ['-12', 'cm', -120],
    [' 7 ', 'in', 177.8],
  ] as const;
  for (const [text, unit, mm] of read) assert.ok(Math.abs((parseLength(text, unit) ?? Number.NaN) - mm) < 1e-9, text);
  assert.equal(parseLength('3.2', 'cm', 'fine'), 3.2);
  assert.equal(parseLength('3.2', 'in', 'thickness'), 3.2);
  assert.ok(Math.abs((parseLength('5/16', 'in', 'fine') ?? 0) - 7.9375) < 1e-9);
  assert.equal(parseLength('70', 'in', 'stature'), 1778);
});

test('what is no length is not guessed at', () => {
  for (const text of ['', 'broad', '4..2', '12 apples', '1/0', '3 3', 'cm', '1e3', 'NaN', '--4', '16 /8', '16/ 8', '163/', "5' 14"])
    assert.equal(parseLength(text, 'cm'), undefined, text);
});

test('lengths are written in the reader’s unit', () => {
  assert.equal(formatLength(412.9, 'cm'), '41.3 cm');
  assert.equal(formatLength(410, 'cm'), '41 cm');
  assert.equal(formatLength(412.9, 'in'), '16 1/4 in');
  assert.equal(formatFigure(-12, 'cm'), '−1.2');
  assert.equal(formatFigure(-12.7, 'in'), '−1/2');
  assert.equal(formatLength(3.2, 'cm', 'fine'), '3.2 mm');
  assert.equal(formatFigure(-0.2, 'cm'), '0');
});

test('inches are inches: no decimals but for a thickness, and a stature in feet', () => {
  assert.equal(formatLength(8, 'in', 'fine'), '3/8 in');
  assert.equal(formatLength(3.2, 'in', 'thickness'), '3.2 mm');
  assert.equal(formatLength(1778, 'in', 'stature'), '5′ 10″');
  assert.equal(formatLength(1778, 'cm', 'stature'), '177.8 cm');
});

test('a span says its unit once, and what is centimetres off is told no finer than that', () => {
  assert.equal(formatSpan(400, 460, 'cm'), '40–46 cm');
  assert.equal(formatSpan(400, 460, 'in'), '15 3/4 – 18 1/8 in');
  assert.deepEqual(
    [412.9, 417.6].map((mm) => formatFigure(roughly(mm, 'cm'), 'cm')),
    ['41.5', '42'],
  );
  assert.equal(formatFigure(roughly(412.9, 'in'), 'in'), '16 1/2');
});

test('what is written reads back to within half of the finest step', () => {
  const units = fc.constantFrom('cm' as const, 'in' as const);
  fc.assert(
    fc.property(fc.integer({ min: -300, max: 2000 }), units, (mm, unit) => {
      const back = parseLength(formatLength(mm, unit), unit);
      assert.ok(back !== undefined && Math.abs(back - mm) <= (unit === 'cm' ? 1e-9 : 25.4 / 16 + 1e-9));
    }),
  );
  fc.assert(
    fc.property(fc.integer({ min: 900, max: 2300 }), units, (mm, unit) => {
      const back = parseLength(formatFigure(mm, unit, 'stature'), unit, 'stature');
      assert.ok(back !== undefined && Math.abs(back - mm) <= (unit === 'cm' ? 1e-9 : 25.4 / 16 + 1e-9));
    }),
  );
});
