import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { sayStanding } from '../../../src/contract/sayStanding.ts';
import type { Dealing } from '../../../src/core/care/dealings.ts';
import { isThere } from '../../../src/core/care/dealings.ts';
import { fabricCare } from '../../../src/core/care/fabricCare.ts';
import { standingOf, unworn } from '../../../src/core/care/standing.ts';
import { fabricCodes } from '../../../src/core/tie/fabrics.ts';
import { daysAfter, daysBetween } from '../../../src/core/units/days.ts';
import { careByHand } from '../../support/care.ts';

const satin = (on: string, happened: readonly Dealing[], fittedOn: readonly string[] = []) =>
  ({ fabric: 'satin', care: careByHand(on, happened, fittedOn) }) as const;
const dealing = (what: Dealing['what'], fromOn: string, untilOn: string | null = null): Dealing => ({
  what,
  fromOn,
  untilOn,
  clientId: null,
});

test('a satin worn on a Friday rests two whole days and is ready on Monday', () => {
  const codes = ['2026-11-26', '2026-11-27', '2026-11-28', '2026-11-29', '2026-11-30'].map(
    (on) => standingOf(satin(on, [], ['2026-11-27'])).code,
  );
  assert.deepEqual(codes, ['ready', 'worn', 'resting', 'resting', 'ready']);
  assert.equal(standingOf(satin('2026-11-28', [], ['2026-11-27'])).until, '2026-11-30');
});

test('every fabric rests a day at least, delicate cloth longer than woven silk', () => {
  for (const fabric of fabricCodes) assert.ok(fabricCare[fabric].restDays >= 1, fabric);
  for (const fabric of ['satin', 'knit', 'grenadine', 'printed-silk'] as const) {
    assert.ok(fabricCare[fabric].restDays > fabricCare['woven-silk'].restDays, fabric);
  }
});

test('a loop kept tied rests nothing: the rest begins on the day it is undone', () => {
  const kept = [dealing('looped', '2026-11-01', '2026-11-20')];
  assert.equal(standingOf(satin('2026-11-19', kept, ['2026-11-01'])).code, 'looped');
  assert.deepEqual(
    ['2026-11-20', '2026-11-22', '2026-11-23'].map((on) => standingOf(satin(on, kept, ['2026-11-01'])).code),
    ['resting', 'resting', 'ready'],
  );
});

test('what is lent, in repair or laid aside is away until the day it is back; what rests or is looped is there', () => {
  for (const what of ['lent', 'repair', 'aside'] as const) {
    const away = [dealing(what, '2026-11-10', '2026-11-20')];
    assert.equal(isThere(satin('2026-11-09', away)), true);
    assert.equal(isThere(satin('2026-11-10', away)), false);
    assert.equal(isThere(satin('2026-11-19', away)), false);
    assert.equal(isThere(satin('2026-11-20', away)), true);
    const standing = standingOf(satin('2026-11-12', away));
    assert.deepEqual([standing.code, standing.since, standing.until], [what, '2026-11-10', '2026-11-20']);
  }
  assert.equal(isThere(satin('2026-11-12', [dealing('looped', '2026-11-10')])), true);
  assert.equal(isThere(satin('2026-11-12', [], ['2026-11-12'])), true);
});

test('where it is goes before how it is kept', () => {
  const both = [dealing('looped', '2026-11-01'), dealing('lent', '2026-11-05'), dealing('repair', '2026-11-08')];
  assert.equal(standingOf(satin('2026-11-03', both)).code, 'looped');
  assert.equal(standingOf(satin('2026-11-06', both)).code, 'lent');
  assert.equal(standingOf(satin('2026-11-08', both)).code, 'repair');
});

test('a tie nothing was noted of is ready, whatever the day', () => {
  assert.deepEqual(standingOf({ fabric: 'knit', care: unworn('2026-02-28') }), { code: 'ready', since: null, until: null, clientId: null });
});

test('a tie that rests is ready on the day it was said to be, and not a day before', () => {
  const day = fc.integer({ min: 0, max: 800 }).map((days) => daysAfter('2025-01-01', days));
  fc.assert(
    fc.property(fc.constantFrom(...fabricCodes), day, fc.array(day, { maxLength: 6 }), (fabric, on, worn) => {
      const at = (when: string) =>
        standingOf({
          fabric,
          care: careByHand(
            when,
            [],
            worn.filter((each) => each <= on),
          ),
        });
      const standing = at(on);
      if (standing.until === null) return standing.code === 'ready';
      return (
        daysBetween(on, standing.until) > 0 && at(standing.until).code === 'ready' && at(daysAfter(standing.until, -1)).code !== 'ready'
      );
    }),
  );
});

test('days are counted over months, leap years and the nights when clocks change', () => {
  assert.equal(daysAfter('2028-02-28', 2), '2028-03-01');
  assert.equal(daysAfter('2026-12-31', 1), '2027-01-01');
  assert.equal(daysAfter('2026-03-28', 2), '2026-03-30');
  assert.equal(daysAfter('2026-03-01', -1), '2026-02-28');
  assert.equal(daysBetween('2026-10-24', '2026-10-26'), 2);
  assert.equal(daysBetween('2026-10-26', '2026-10-24'), -2);
});

test('where a tie stands is said with its days', () => {
  const said = (code: 'resting' | 'lent' | 'looped' | 'repair' | 'ready', until: string | null = null) =>
    sayStanding({ code, since: '2026-11-03', until, clientId: null });
  assert.equal(said('ready'), 'ready');
  assert.equal(said('resting', '2026-11-06'), 'resting, ready on 6 November 2026');
  assert.equal(said('lent'), 'lent since 3 November 2026');
  assert.equal(said('repair', '2026-11-20'), 'in repair since 3 November 2026, back on 20 November 2026');
  assert.equal(said('looped'), 'kept looped since 3 November 2026');
});
