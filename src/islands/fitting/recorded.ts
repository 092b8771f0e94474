import type { Kind } from '../../contract/records/records.ts';
import type { PieceCode } from '../atHand/pieces.ts';

/** The kind of record each piece of a fitting is kept as. */
export const kindOf = { client: 'clients', shirt: 'shirts', jacket: 'jackets', tie: 'ties' } as const satisfies Partial<
  Record<PieceCode, Kind>
>;
export type RecordedPiece = keyof typeof kindOf;

export function isRecorded(piece: PieceCode): piece is RecordedPiece {
  return piece in kindOf;
}
