import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import test from 'node:test';
import { sayIn } from '../../../src/contract/lengths.ts';
import { latest, planClient, planShirt } from '../../../src/contract/records/asWorn.ts';
import { checkRecord } from '../../../src/contract/records/checkRecord.ts';
import { fieldsOf, kinds } from '../../../src/contract/records/kinds/index.ts';
import { kindCodes } from '../../../src/contract/records/kindWords.ts';
import type { Kind, TakenMeasure } from '../../../src/contract/records/records.ts';
import { sayValue } from '../../../src/contract/records/sayValue.ts';
import { layouts } from '../../../src/islands/records/form/layout.ts';

const paths = (kind: Kind, changes: object) =>
  (checkRecord(kind, { ...kinds[kind].fresh, label: 'X', name: 'X', id: randomUUID(), ...changes }, 'cm').faults ?? []).map(
    ({ path }) => path,
  );

test('a new one of each kind is right as soon as it has a name and what it leans on', () => {
  const leaning: Partial<Record<Kind, object>> = {
    outfits: { clientId: randomUUID(), shirtId: randomUUID() },
    namings: { word: 'Li Ro Li Co T' },
    regulations: { asOf: '2026-03-01' },
    rehearsals: { learnerId: randomUUID(), knot: 'Li Ro Li Co T', doneOn: '2026-11-02' },
    tyings: { knot: 'Li Ro Li Co T', doneOn: '2026-11-02' },
    cares: { tieId: randomUUID(), fromOn: '2026-11-02' },
  };
  for (const kind of kindCodes) {
    assert.deepEqual(paths(kind, leaning[kind] ?? {}), [], kind);
  }
  assert.deepEqual(paths('outfits', {}), ['clientId', 'shirtId']);
  assert.deepEqual(paths('namings', {}), ['word']);
  assert.deepEqual(paths('rehearsals', {}), ['learnerId', 'knot', 'doneOn']);
  assert.deepEqual(paths('cares', { ...leaning.cares, untilOn: '2026-11-01' }), ['untilOn'], 'not back before it went');
  assert.deepEqual(paths('cares', { ...leaning.cares, fromOn: '2026-02-31' }), ['fromOn'], 'a day there is');
  assert.deepEqual(paths('rehearsals', { ...leaning.rehearsals, seconds: [4, -1] }), ['seconds.1'], 'no step takes less than no time');
  assert.deepEqual([paths('regulations', {}), paths('regulations', { asOf: '1 March' })], [['asOf'], ['asOf']], 'a rule is dated');
});

test('every field of a kind is on its form, once, and is told in words', () => {
  for (const kind of kindCodes) {
    const shown = layouts[kind].flatMap(({ keys }) => keys);
    assert.equal(new Set(shown).size, shown.length);
    const hidden = fieldsOf(kind)
      .filter(([key, field]) => !shown.includes(key) && field.kind !== 'shares')
      .map(([key]) => key);
    assert.deepEqual(hidden, kind === 'outfits' ? ['clientId'] : [], kind);
    const fresh = kinds[kind].fresh as unknown as Record<string, unknown>;
    for (const [key, field] of fieldsOf(kind)) {
      const words = sayValue(field, fresh[key], sayIn('cm'));
      assert.ok(words.length > 0 && !/undefined|object/.test(words), `${kind}.${key}: ${words}`);
    }
  }
});

test('measures that contradict one another are told beside those out of range', () => {
  assert.deepEqual(paths('shirts', { collarSpreadMm: 170, collarPointMm: 75 }), ['collarSpreadMm']);
  assert.deepEqual(paths('shirts', { buttonsMm: [200, 100] }), ['buttonsMm']);
  assert.deepEqual(paths('jackets', { lapelMm: 5, buttoningMm: 690 }), ['lapelMm', 'buttoningMm']);
  assert.deepEqual(paths('ties', { profile: [{ atMm: 300, widthMm: 110 }] }), ['profile']);
  assert.deepEqual(
    paths('ties', {
      profile: [
        { atMm: 300, widthMm: 60 },
        { atMm: 300, widthMm: 61 },
      ],
    }),
    ['profile.1'],
  );
});

test('shares say what they make up, and what each of them may be', () => {
  const said = (shares: unknown, colours = ['#000000', '#ffffff']) =>
    (checkRecord('squares', { ...kinds.squares.fresh, label: 'X', id: randomUUID(), colours, shares }, 'cm').faults ?? []).map(
      ({ message }) => message,
    );
  assert.deepEqual(said([50, 15]), ['The shares must add up to 100%, not 65%.']);
  assert.ok(said([0, 100]).includes('Each share is a whole number from 1 to 100.'));
  assert.ok(said([33.3, 66.7]).includes('Each share is a whole number from 1 to 100.'));
  assert.deepEqual(said([100]), ['Each colour has one share.']);
  assert.deepEqual(said(null), []);
  assert.deepEqual(said([60, 40]), []);
});

test('a knot may be entered as it is written; what is no knot says which move is wrong', () => {
  const check = (ownKnot: string) => checkRecord('clients', { ...kinds.clients.fresh, name: 'X', id: randomUUID(), ownKnot }, 'cm');
  assert.equal(check('lo ri co').value?.ownKnot, 'Lo Ri Co T');
  assert.match(check('Li Li Co T').faults?.[0]?.message ?? '', /“Li Li Co T” is not a knot: /);
});

test('the latest taking counts; an outfit’s trousers set the belt line', () => {
  const taken = (mm: number, how: TakenMeasure['how'], takenOn: string): TakenMeasure => ({ measure: 'frontDropMm', mm, how, takenOn });
  const measures = [taken(450, 'estimate', '2026-01-01'), taken(455, 'tape', '2026-09-01'), taken(440, 'tape', '2025-03-01')];
  assert.equal(latest(measures, 'frontDropMm')?.mm, 455);
  assert.equal(latest(measures, 'neckMm'), undefined);
  const client = { ...kinds.clients.fresh, id: '1', version: 1, archived: false, measures: measures.slice(0, 1) };
  assert.deepEqual([planClient(client).frontDropMm, planClient(client).frontDropHow], [450, 'estimate']);
  const dressed = planClient(client, { beltLineMm: 470, beltHeightMm: null });
  assert.deepEqual([dressed.frontDropMm, dressed.frontDropHow, dressed.beltHeightMm], [470, 'tape', 35]);
});

test('a button-down’s points are held', () => {
  const shirt = { ...kinds.shirts.fresh, id: '1', version: 1, archived: false };
  assert.equal(planShirt(shirt).pointsHeld, false);
  assert.equal(planShirt({ ...shirt, collarStyle: 'button-down' }).pointsHeld, true);
});
