import type { DressingHabits } from '../plan/habits.ts';
import type { KnotPlan } from '../plan/knotPlan.ts';
import type { Readings, Tips } from '../tying/readings.ts';
import { usualGain } from '../tying/start.ts';
import { type Hang, hangingIn } from './hang.ts';

/** How the tie lies around the neck while a start is read. */
export const states = {
  open: { short: 'open', says: 'The tie hangs around the raised collar, both ends straight down.' },
  crossed: { short: 'crossed', says: 'The ends are crossed at their usual place, the loop still loose.' },
  snug: { short: 'snug', says: 'The ends are crossed at the collar button, the loop closed.' },
} as const satisfies Record<DressingHabits['readsAt'], { readonly short: string; readonly says: string }>;

export type StateCode = keyof typeof states;
export const stateCodes = Object.keys(states) as StateCode[];
export type End = 'tail' | 'blade';

export function tipIn(readings: Readings, state: StateCode, end: End): number {
  return dropOf(readings[state], end);
}

/** Where the tip of the end that is set hangs in a state. */
export function setIn({ set, readings }: KnotPlan['start'], state: StateCode): number {
  return tipIn(readings, state, set.end);
}

export function dropOf(tips: Tips, end: End): number {
  return end === 'tail' ? tips.tailDropMm : tips.bladeDropMm;
}

/** How much lower the blade tip hangs than the tail tip in a state. */
export function differenceIn(readings: Readings, state: StateCode): number {
  return readings[state].bladeDropMm - readings[state].tailDropMm;
}

/**
 * The tail's drop in the snug state, from one tip that is read `dropMm` below the button in any state: the inverse of the
 * readings of a start.
 */
export function tailFrom(state: StateCode, end: End, dropMm: number, hang: Hang): number {
  const { lengthMm, loopMm, openLoopMm, crossedLoopMm, gapMm } = hangingIn(hang);
  if (state === 'open') {
    const open = end === 'tail' ? dropMm : lengthMm - openLoopMm - dropMm;
    return open - loopMm + (crossedLoopMm + openLoopMm) / 2;
  }
  if (state === 'crossed') return end === 'tail' ? dropMm + crossedLoopMm - loopMm - gapMm : lengthMm - loopMm + gapMm - dropMm;
  return end === 'tail' ? dropMm : lengthMm - loopMm - dropMm;
}

/** How well a spot on the tie is held to the button, or a loop closed by hand, mm. */
const heldSdMm = 5;

/**
 * How far a start may be off because of what is not known of the loops when one tip is read in a state, mm of the tail:
 * hung open (X + D)/2, crossed X for the tail; the blade's drop does not depend on the crossed loop, only on where the
 * hand crosses.
 */
export function readingSd(state: StateCode, end: End, { open, crossed, eachOtherMm2 }: Hang): number {
  const by = tailByLoops(state, end);
  if (by.open === 0 && by.crossed === 0) return heldSdMm;
  return Math.sqrt((by.open * open.sdMm) ** 2 + (by.crossed * crossed.sdMm) ** 2 + 2 * by.open * by.crossed * eachOtherMm2);
}

/** By how much the tail ends up lower for a millimetre that either loop is longer than it was taken for, where one tip is read. */
export function tailByLoops(state: StateCode, end: End): { readonly open: number; readonly crossed: number } {
  if (state === 'open') return { open: end === 'tail' ? 0.5 : -0.5, crossed: 0.5 };
  return { open: 0, crossed: state === 'crossed' && end === 'tail' ? 1 : 0 };
}

/** The same where the difference of the tips is read: half of what the crossed loop may be off. */
export function differenceSd(state: StateCode, { crossed }: Hang): number {
  return state === 'snug' ? heldSdMm : crossed.sdMm / 2;
}

/** The same where the mark is held to the button. */
export const markSdMm = heldSdMm;

/** How a tip varies together with the loops, mm²: nothing where nothing was learnt of either. */
export interface AlongLoops {
  readonly openMm2: number;
  readonly crossedMm2: number;
}

const apart: AlongLoops = { openMm2: 0, crossedMm2: 0 };

/**
 * How far the blade's tip may miss where one tip is read in a state, or `'difference'` between both. A tail that ends up lower
 * lifts the tip, so what tip and loops have in common comes off.
 */
export function tipSdReadAt(
  hang: Hang,
  state: StateCode,
  at: End | 'difference',
  gain: number,
  tipSdMm: number,
  along: AlongLoops = apart,
): number {
  const isTip = at !== 'difference';
  const sdMm = isTip ? readingSd(state, at, hang) : differenceSd(state, hang);
  const by = isTip ? tailByLoops(state, at) : { open: 0, crossed: state === 'snug' ? 0 : 0.5 };
  const commonMm2 = by.open * along.openMm2 + by.crossed * along.crossedMm2;
  return Math.sqrt(Math.max(0, tipSdMm ** 2 + (gain * sdMm) ** 2 - 2 * gain * commonMm2));
}

/** The same in each state at the end that is set, by the difference, by the mark. */
export function tipSdsOf(hang: Hang, end: End, tipSdMm: number, along = apart): Readonly<Record<keyof Readings, number>> {
  const gain = gainAt(end);
  const of = (state: StateCode, at: End | 'difference') => tipSdReadAt(hang, state, at, gain, tipSdMm, along);
  return {
    open: of('open', end),
    crossed: of('crossed', end),
    snug: of('snug', end),
    differenceMm: of('open', 'difference'),
    markMm: Math.hypot(tipSdMm, gain * markSdMm),
  };
}

/** By how much the blade's tip moves for a millimetre of the start: not at all more where it is the blade that is set. */
export function gainOf({ start }: Pick<KnotPlan, 'start'>): number {
  return gainAt(start.set.end);
}

function gainAt(end: End): number {
  return end === 'tail' ? usualGain : 1;
}

/** By how much the tip ends lower for a millimetre that either loop is longer than it was taken for. */
export function tipByLoops(state: StateCode, end: End): { readonly openBy: number; readonly crossedBy: number } {
  const { open, crossed } = tailByLoops(state, end);
  const gain = gainAt(end);
  return { openBy: -gain * open, crossedBy: -gain * crossed };
}
