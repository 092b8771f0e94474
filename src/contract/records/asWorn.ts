import { collarStyles } from '../../core/collar/styles.ts';
import type { PlanRequest } from '../../core/index.ts';
import type { ClientRecord, OutfitRecord, ShirtRecord, TakenMeasure } from './records.ts';

/** The latest taking of each measure; `undefined` where it was never taken. */
export function latest(measures: readonly TakenMeasure[], measure: TakenMeasure['measure']): TakenMeasure | undefined {
  return measures
    .filter((each) => each.measure === measure)
    .reduce<TakenMeasure | undefined>((best, each) => (best && best.takenOn >= each.takenOn ? best : each), undefined);
}

/** A client's part of a plan's question, as he is known today; height and neck may not have been taken yet. */
export interface KnownClient extends Omit<PlanRequest['client'], 'heightMm' | 'neckMm'> {
  readonly heightMm: number | null;
  readonly neckMm: number | null;
}

/** What a plan asks of a client. In an outfit of his, its trousers decide the belt line. */
export function planClient(client: ClientRecord, outfit?: Pick<OutfitRecord, 'beltLineMm' | 'beltHeightMm'>): KnownClient {
  const { measures, front, blade, crossingGapMm, beltHeightMm } = client;
  const drop = latest(measures, 'frontDropMm');
  return {
    heightMm: latest(measures, 'heightMm')?.mm ?? null,
    neckMm: latest(measures, 'neckMm')?.mm ?? null,
    frontDropMm: outfit?.beltLineMm ?? drop?.mm ?? null,
    frontDropHow: outfit?.beltLineMm == null ? (drop?.how ?? 'tape') : 'tape',
    front,
    beltHeightMm: outfit?.beltHeightMm ?? beltHeightMm,
    blade,
    crossingGapMm,
  };
}

/** What a plan asks of a shirt. */
export function planShirt(shirt: ShirtRecord): PlanRequest['shirt'] {
  const { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, buttonsMm, collarStyle } = shirt;
  const { pointsHeld } = collarStyles[collarStyle];
  return { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, buttonsMm, pointsHeld };
}
