import assert from 'node:assert/strict';
import test from 'node:test';
import { dayIn, isTimeZone, sayDay } from '../../src/contract/days.ts';

/** The same instant, late in the evening in one studio and the next morning in another. */
const late = '2026-11-27T04:30:00Z';

test('a day is the studio’s day, wherever the machine stands that works it out', () => {
  const here = process.env['TZ'];
  try {
    for (const zone of ['UTC', 'Pacific/Kiritimati', 'America/Los_Angeles']) {
      process.env['TZ'] = zone;
      assert.equal(dayIn('America/New_York', late), '2026-11-26');
      assert.equal(dayIn('Europe/London', late), '2026-11-27');
      assert.equal(dayIn('Asia/Tokyo', new Date('2026-11-27T23:30:00Z')), '2026-11-28');
      assert.equal(sayDay(late, 'America/New_York'), '26 November 2026');
      assert.equal(sayDay(late, 'Europe/London'), '27 November 2026');
    }
  } finally {
    if (here === undefined) delete process.env['TZ'];
    else process.env['TZ'] = here;
  }
});

test('a day that was written down stays that day in every zone', () => {
  for (const zone of ['America/Los_Angeles', 'UTC', 'Pacific/Kiritimati']) assert.equal(sayDay('2026-05-04', zone), '4 May 2026');
});

test('a zone is a name that is known', () => {
  assert.deepEqual(['Europe/London', 'UTC', 'Middle-earth/Shire', ''].map(isTimeZone), [true, true, false, false]);
});
