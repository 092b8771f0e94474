import assert from 'node:assert/strict';
import { test } from 'node:test';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { type BackupsTold, isOld } from '../../src/contract/backups.ts';
import { Told } from '../../src/islands/studio/Backups.tsx';

const now = new Date('2026-11-28T12:00:00Z');
const good = (madeAt: string) => ({ madeAt, file: '/backups/ropewalk-2026-11-28-031000.dump', bytes: 3_500_000 });
const says = (told: BackupsTold) =>
  renderToStaticMarkup(createElement(Told, { told, now }))
    .replace(/<[^>]+>/g, '')
    .replace(/\s+/g, ' ');

test('a backup is old once a night and most of a day went by without one', () => {
  assert.equal(isOld({ good: null, failed: null }, now), true);
  assert.equal(isOld({ good: good('2026-11-28T03:10:00Z'), failed: null }, now), false);
  assert.equal(isOld({ good: good('2026-11-27T03:10:00Z'), failed: null }, now), false);
  assert.equal(isOld({ good: good('2026-11-26T23:10:00Z'), failed: null }, now), true);
});

test('its age and size are told, that there is none, and what went wrong since', () => {
  assert.match(says({ good: good('2026-11-28T03:10:00Z'), failed: null }), /Last good backup: 9 hours ago.*3\.3 MB/);
  assert.match(says({ good: good('2026-11-28T11:59:30Z'), failed: null }), /Last good backup: just now/);
  assert.match(says({ good: null, failed: null }), /No backup has been made yet\./);
  const failed = { madeAt: '2026-11-28T11:00:00Z', why: 'the disk is full.' };
  assert.match(
    says({ good: good('2026-11-28T03:10:00Z'), failed }),
    /The last attempt, 1 hour ago, failed: the disk is full\. The records themselves are safe\./,
  );
});
