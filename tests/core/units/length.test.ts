import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { formatFigure, formatLength, parseLength } from '../../../src/core/units/length.ts';

test('lengths are read as people write them', () => {
  const read = [
    ['41.5', 'cm', 415],
    ['41,5 cm', 'cm', 415],
    ['415 mm', 'in', 415],
    ['1.47 m', 'cm', 1470],
    ['16 3/8', 'in', 415.925],
    ['16⅜"', 'cm', 415.925],
    ['3/8', 'in', 9.525],
    ['5\' 10"', 'cm', 1778],
    ['5 ft 10', 'cm', 1778],
    ['-12', 'cm', -120],
    [' 7 ', 'in', 177.8],
  ] as const;
  for (const [text, unit, mm] of read) assert.ok(Math.abs((parseLength(text, unit) ?? Number.NaN) - mm) < 1e-9, text);
  assert.equal(parseLength('3.2', 'cm', 'fine'), 3.2);
  assert.ok(Math.abs((parseLength('0.126', 'in', 'fine') ?? 0) - 3.2004) < 1e-9);
});

test('what is no length is not guessed at', () => {
  for (const text of ['', 'broad', '4..2', '12 apples', '1/0', '3 3', 'cm', '1e3', 'NaN', '--4'])
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

test('what is written reads back to within half of the finest step', () => {
  fc.assert(
    fc.property(fc.integer({ min: -300, max: 2000 }), fc.constantFrom('cm' as const, 'in' as const), (mm, unit) => {
      const back = parseLength(formatLength(mm, unit), unit);
      assert.ok(back !== undefined && Math.abs(back - mm) <= (unit === 'cm' ? 1e-9 : 25.4 / 16 + 1e-9));
    }),
  );
});
