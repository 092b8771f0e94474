import { frontDropOf } from '../../core/body/frontDrop.ts';
import { collarStyles } from '../../core/collar/styles.ts';
import type { DropNow } from '../../core/fitbook/tying.ts';
import { type PlanRequest, requestDefaults } from '../../core/index.ts';
import { usualWearer } from '../../core/usual.ts';
import type { ClientRecord, OutfitRecord, PersonRecord, ShirtRecord, TakenMeasure } from './records.ts';

/** The latest taking of each measure; `undefined` where it was never taken. */
export function latest(measures: readonly TakenMeasure[], measure: TakenMeasure['measure']): TakenMeasure | undefined {
  return measures
    .filter((each) => each.measure === measure)
    .reduce<TakenMeasure | undefined>((best, each) => (best && best.takenOn >= each.takenOn ? best : each), undefined);
}

/** A client's part of a plan's question, as known today; height and neck may not have been taken yet. */
export interface KnownClient extends Omit<PlanRequest['client'], 'heightMm' | 'neckMm'> {
  readonly heightMm: number | null;
  readonly neckMm: number | null;
}

/** What a plan asks of a client. In an outfit, its trousers decide the belt line; where `person` ties, that person's habits count. */
export function planClient(
  client: ClientRecord,
  outfit?: Pick<OutfitRecord, 'beltLineMm' | 'beltHeightMm'>,
  person?: Pick<PersonRecord, 'blade' | 'gapMm' | 'slackMm'> | null,
): KnownClient {
  const { measures, front, beltHeightMm, tiedBy } = client;
  // Where the stylist ties, the stylist's own habits count.
  const { blade, gapMm, slackMm } = (tiedBy === 'stylist' && person) || { blade: client.blade, gapMm: client.crossingGapMm, slackMm: null };
  const drop = latest(measures, 'frontDropMm');
  const neckMm = latest(measures, 'neckMm')?.mm ?? null;
  const closedMm = neckMm === null ? null : neckMm + requestDefaults.shirt.collarAllowanceMm;
  return {
    heightMm: latest(measures, 'heightMm')?.mm ?? null,
    neckMm,
    frontDropMm: outfit?.beltLineMm ?? drop?.mm ?? null,
    frontDropHow: outfit?.beltLineMm == null ? (drop?.how ?? 'tape') : 'tape',
    front,
    beltHeightMm: outfit?.beltHeightMm ?? beltHeightMm,
    blade,
    crossingGapMm: gapMm,
    openLoopMm: latest(measures, 'openLoopMm')?.mm ?? null,
    crossedLoopMm: slackMm !== null && closedMm !== null ? closedMm + slackMm : (latest(measures, 'crossedLoopMm')?.mm ?? null),
  };
}

/** A client’s collar button to belt as it is known today; of a height that was never taken, the usual one. */
export function dropNowOf(client: ClientRecord): DropNow {
  const known = planClient(client);
  const { meanMm, measured } = frontDropOf({ ...known, heightMm: known.heightMm ?? usualWearer.heightMm });
  return { meanMm, measured };
}

/** What a plan asks of a shirt. */
export function planShirt(shirt: ShirtRecord): PlanRequest['shirt'] {
  const { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, standMm, buttonsMm, collarStyle } = shirt;
  const { pointsHeld } = collarStyles[collarStyle];
  return { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, standMm, buttonsMm, pointsHeld };
}
