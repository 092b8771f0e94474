import type { Calibration } from '../fitbook/calibration.ts';
import { usualWearer } from '../usual.ts';
import { type FrontOf, frontDropOf, fronts } from './frontDrop.ts';

/** How far men's heights and collar sizes lie from the usual ones (one standard deviation), mm. */
const heightSdMm = 70;
const neckSdMm = 20;

export interface BarelyKnown extends Omit<FrontOf, 'heightMm'> {
  readonly heightMm: number | null;
  readonly neckMm: number | null;
}

/**
 * A wearer of whom height or collar size was never taken, with the usual ones in their place, and what is learnt of the
 * client as much less sure as that makes it: an unknown height widens an estimated front drop by its share, an unknown
 * collar size the loop, which moves the tip by as much.
 */
export function assumeWearer<T extends BarelyKnown>(
  client: T,
  calibration: Calibration,
): {
  readonly client: Omit<T, 'heightMm' | 'neckMm'> & { readonly heightMm: number; readonly neckMm: number };
  readonly calibration: Calibration;
} {
  const whole = { ...client, heightMm: client.heightMm ?? usualWearer.heightMm, neckMm: client.neckMm ?? usualWearer.neckMm };
  if (client.heightMm !== null && client.neckMm !== null) return { client: whole, calibration };
  const byHeight = client.heightMm === null && client.frontDropMm === null ? fronts[client.front ?? 'mens'].shareOfHeight * heightSdMm : 0;
  const byNeck = client.neckMm === null ? neckSdMm : 0;
  const known = calibration.client.sdMm ?? frontDropOf(whole).sdMm;
  return { client: whole, calibration: { ...calibration, client: { ...calibration.client, sdMm: Math.hypot(known, byHeight, byNeck) } } };
}
