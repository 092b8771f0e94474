import type { Region } from './knot.ts';

/**
 * Whose left and right a sequence speaks of. `own`: the wearer's, as in a mirror or
 * from behind; `facing`: an onlooker's. `blade`: the side it hangs on at the start,
 * always told as the wearer's side.
 */
export interface Frame {
  readonly view: 'own' | 'facing';
  readonly blade: 'right' | 'left';
}

export const ownRight: Frame = { view: 'own', blade: 'right' };

export const frames: readonly Frame[] = [
  ownRight,
  { view: 'own', blade: 'left' },
  { view: 'facing', blade: 'right' },
  { view: 'facing', blade: 'left' },
];

/** Left and right change places when exactly one of the two conventions is turned round. */
export function swapsSides(frame: Frame): boolean {
  return (frame.view === 'facing') !== (frame.blade === 'left');
}

/** Carries a region from the canonical frame into `frame`, or back: the swap is its own inverse. */
export function regionInFrame(region: Region, frame: Frame): Region {
  if (region === 'C' || !swapsSides(frame)) return region;
  return region === 'L' ? 'R' : 'L';
}
