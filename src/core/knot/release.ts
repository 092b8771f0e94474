import type { Knot } from './knot.ts';

/**
 * Whether what is left of the tie is unknotted once the end that stood still is drawn out. With that end and
 * its arm gone, what is left of the tie is unknotted exactly when the last front band
 * runs to the left (`Ro Li Co T`): the final turn then went round the arm that was drawn
 * away. A band running to the right (`Lo Ri Co T`) went round the blade's own arm and
 * leaves a trefoil, which jams once the active end is drawn too. Without a tuck nothing
 * holds the last turn, and nothing is ever left. The tests derive this from the space curve of every knot to eleven moves.
 */
export function opensWhenDrawn({ moves, finish }: Knot): boolean {
  return finish !== 'tuck' || moves[moves.length - 2]?.region === 'L';
}
