import type { Knot } from './knot.ts';

/**
 * Whether the knot falls open when the narrow end is drawn out. With the narrow end and
 * its arm gone, what is left of the tie is unknotted exactly when the last front band
 * runs to the left (`Ro Li Co T`): the final turn then went round the arm that was drawn
 * away. A band running to the right (`Lo Ri Co T`) went round the blade's own arm and
 * leaves a trefoil. The tests derive this from the space curve of every classic knot.
 */
export function isSelfReleasing(knot: Knot): boolean {
  return knot.moves[knot.moves.length - 2]?.region === 'L';
}
