import type { FabricCode } from '../tie/fabrics.ts';
import { fabricCare } from './fabricCare.ts';
import { handsBreadthMm, headGirthMm, type LoopedRoom } from './looped.ts';

/** What a tie of a fabric wants once it is off: how it is stored, and how long it rests. */
export function afterWear(fabric: FabricCode): string {
  const { store, restDays } = fabricCare[fabric];
  return `${store} Give it ${restDays === 1 ? 'a day’s' : `${restDays} days’`} rest. Never store it knotted.`;
}

/** What it costs to loosen the loop and keep it tied, and whether the loop would hold; lengths as the reader reads them. */
export function loopedInWords(fabric: FabricCode, { end, leftMm, holds }: LoopedRoom, say: (mm: number) => string): string {
  const cost = `It saves tying, and costs the tie: ${fabricCare[fabric].looped}, and it never rests.`;
  const head = `Let down until the loop passes over the head (about ${say(headGirthMm)} around)`;
  if (leftMm <= 0) return `${head}, the ${end} would be drawn out of the knot: undo it. ${cost}`;
  const left = `${head}, about ${say(leftMm)} of the ${end} stays below the knot`;
  return holds
    ? `${left}: more than a hand’s breadth (${say(handsBreadthMm)}), so the loop keeps. ${cost}`
    : `${left}: less than a hand’s breadth (${say(handsBreadthMm)}), so the loop may be lost: undo it. ${cost}`;
}
