import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import test from 'node:test';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { Wardrobe } from '../../src/contract/records/records.ts';
import { nothingLearnt } from '../../src/core/fitbook/here.ts';
import { usualTie } from '../../src/core/usual.ts';
import { freshAtHand } from '../../src/islands/atHand/values.ts';
import { clientsOutfits } from '../../src/islands/fitting/choose/brief/clientsOutfits.ts';
import { checkEntries, entriesOf, freshEntries } from '../../src/islands/records/form/entries.ts';
import { drawnClient, drawnRequest } from '../../src/islands/records/pictures/drawnRequest.ts';
import { drawnTie } from '../../src/islands/records/pictures/drawnTie.ts';
import { createEntryStore } from '../../src/islands/ui/entryStore.ts';
import { Outage, Refusal } from '../../src/islands/wire/http.ts';
import { createQueryClient } from '../../src/islands/wire/queries.ts';
import { studio } from '../support/wardrobe.ts';

const client = (changes: object) => ({ ...freshEntries('clients', {}), name: 'A', ...changes });
const taking = (measure: string, mm: unknown, takenOn = '2026-11-25') => ({ measure, mm, how: 'tape', takenOn });

test('a measure that was begun and not entered is not there; faults still point to the field they are about', () => {
  const entries = client({ measures: [taking('heightMm', ''), taking('neckMm', 9000), taking('frontDropMm', 450)] });
  const { faults } = checkEntries('clients', entries, 'cm');
  assert.deepEqual(
    faults.map(({ path }) => path),
    ['measures.1.mm'],
  );
  const { record } = checkEntries('clients', client({ measures: [taking('heightMm', ''), taking('frontDropMm', 450)] }), 'cm');
  assert.deepEqual(record?.measures, [taking('frontDropMm', 450)]);
});

test('spaces around a name go, inside a note they stay', () => {
  const { record } = checkEntries('clients', client({ name: '  Orla ', note: ' two\n  lines ' }), 'cm');
  assert.deepEqual([record?.name, record?.note], ['Orla', ' two\n  lines ']);
});

test('what is known beforehand stands in a new record; every new one has an id of its own', () => {
  const owner = randomUUID();
  const one = freshEntries('ties', { clientId: owner });
  assert.equal(one['clientId'], owner);
  assert.equal(one.version, 0);
  assert.notEqual(one.id, freshEntries('ties', {}).id);
});

test('entries of a record are a copy: entering changes nothing that was read', () => {
  const record = { ...kinds.ties.fresh, id: '1', version: 2, archived: false, colours: ['#000000'] };
  const store = createEntryStore(entriesOf(record));
  store.set('colours.0', '#ffffff');
  assert.deepEqual([record.colours, store.get()['colours']], [['#000000'], ['#ffffff']]);
});

test('a tie is drawn while its fields are filled in: text that is no length is passed over', () => {
  const entries = {
    ...freshEntries('ties', {}),
    lengthMm: 'long',
    bladeMm: 90,
    profile: [
      { atMm: 'x', widthMm: 50 },
      { atMm: 300, widthMm: 70 },
    ],
  };
  const tie = drawnTie(entries);
  assert.deepEqual([tie.lengthMm, tie.bladeMm, tie.profile], [usualTie.lengthMm, 90, [{ atMm: 300, widthMm: 70 }]]);
});

test('a client is drawn by what was taken last, and by what is usual for the rest', () => {
  const drawn = drawnClient(client({ front: 'womens', measures: [taking('frontDropMm', 'tall'), taking('neckMm', 360)] }), 'cm');
  assert.deepEqual([drawn.neckMm, drawn.frontDropMm, drawn.front], [360, null, 'womens']);
  assert.equal(drawn.heightMm, drawnRequest('cm').client.heightMm);
});

const owned = (clientId: string | null) => ({ version: 1, archived: false, note: '', clientId });
const wardrobe: Wardrobe = {
  studio,
  client: {
    ...kinds.clients.fresh,
    id: 'c',
    version: 1,
    archived: false,
    name: 'C',
    measures: [taking('heightMm', 1780), taking('neckMm', 395)] as never,
  },
  outfits: [],
  shirts: ['a', 'b'].map((id) => ({ ...kinds.shirts.fresh, ...owned('c'), id, label: `Shirt ${id}` })),
  jackets: ['x', 'y'].map((id) => ({ ...kinds.jackets.fresh, ...owned('c'), id, label: `Jacket ${id}` })),
  ties: [],
  squares: [],
  regulations: [],
  unchecked: null,
  learnt: nothingLearnt,
};

test('who has no outfits is judged in each of their shirts with each of their jackets; who has, in those', () => {
  const atHand = freshAtHand(wardrobe);
  assert.deepEqual(
    clientsOutfits(wardrobe, atHand, 'cm', nothingLearnt).map(({ title }) => title),
    ['Shirt a; Jacket x', 'Shirt a; Jacket y', 'Shirt b; Jacket x', 'Shirt b; Jacket y'],
  );
  const outfit = { ...kinds.outfits.fresh, ...owned('c'), clientId: 'c', id: 'o', label: 'Supper', shirtId: 'b', jacketId: null };
  const [only, ...more] = clientsOutfits({ ...wardrobe, outfits: [outfit] }, atHand, 'cm', nothingLearnt);
  assert.deepEqual([only?.title, only?.pieces, more.length], ['Supper', 'Shirt b; no jacket', 0]);
  const walkIn = { ...atHand, client: { id: null, label: 'Walk-in' } };
  assert.equal(clientsOutfits(wardrobe, walkIn, 'cm', nothingLearnt).length, 1, 'what stands at hand');
});

test('outages are waited out however long, refusals are not asked again', () => {
  const { queries, mutations } = createQueryClient().getDefaultOptions();
  for (const { retry } of [queries!, mutations!]) {
    assert.ok(typeof retry === 'function');
    assert.equal(retry(50, new Outage('away')), true);
    assert.equal(retry(0, new Refusal(409, { error: { code: 'x', message: 'no', fields: [] } })), false);
  }
});
