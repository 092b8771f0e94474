import type { ActiveEnd } from '../knot/knot.ts';
import type { Tie } from './tie.ts';

const turned = new WeakMap<Tie, Tie>();

/** The tie counted from the tip of the end that ties: as it is for the blade, turned round for the narrow end. */
export function tieFrom(active: ActiveEnd, tie: Tie): Tie {
  if (active === 'blade') return tie;
  let other = turned.get(tie);
  if (!other) {
    const { lengthMm, profile } = tie;
    other = {
      ...tie,
      bladeMm: tie.tailMm,
      tailMm: tie.bladeMm,
      neckAtMm: lengthMm - tie.neckAtMm,
      keeperMm: lengthMm - tie.keeperMm,
      ...(profile && { profile: profile.map(({ atMm, widthMm }) => ({ atMm: lengthMm - atMm, widthMm })).toReversed() }),
    };
    turned.set(tie, other);
  }
  return other;
}
