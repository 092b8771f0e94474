import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import test from 'node:test';
import { checkRecord } from '../../../src/contract/records/checkRecord.ts';
import { draftLabels, draftPiece, type PieceKind } from '../../../src/contract/records/draftPieces.ts';
import { kinds } from '../../../src/contract/records/kinds/index.ts';
import { checkWalkIn } from '../../../src/contract/walkIn.ts';

const pieceKinds: readonly PieceKind[] = ['shirts', 'jackets', 'ties'];

test('every draft is a record that can be kept, marked as one, and called as it was asked for', () => {
  for (const kind of pieceKinds) {
    assert.ok(draftLabels(kind).length > 1);
    for (const label of draftLabels(kind)) {
      const piece = draftPiece(kind, label, null, randomUUID());
      assert.deepEqual(checkRecord(kind, piece, 'cm').faults, undefined, label);
      assert.deepEqual([piece.label, piece.draft], [label, true]);
    }
  }
  assert.throws(() => draftPiece('shirts', 'Velvet cape', null, ''));
});

const id = randomUUID();
const client = { ...kinds.clients.fresh, id, name: 'Rowan' };

test('a walk-in is held to what each record is, every fault at its place', () => {
  const shirt = draftPiece('shirts', 'White point shirt', id, randomUUID());
  assert.equal(checkWalkIn({ client, shirt, jacket: null }, 'cm').value?.shirt?.label, 'White point shirt');
  const { faults } = checkWalkIn(
    {
      client: { ...client, name: ' ', measures: [{ measure: 'heightMm', mm: 12, how: 'tape', takenOn: '2026-11-02' }] },
      shirt: { ...shirt, collarSpreadMm: 9000 },
      jacket: null,
    },
    'cm',
  );
  assert.deepEqual(faults?.map(({ path }) => path).sort(), ['client.measures.0.mm', 'client.name', 'shirt.collarSpreadMm']);
  const others = checkWalkIn({ client, shirt: { ...shirt, clientId: null }, jacket: null }, 'cm');
  assert.match(others.faults?.[0]?.message ?? '', /belong to the new client/);
  assert.ok(checkWalkIn(null, 'cm').faults);
});
