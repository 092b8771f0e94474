import type { Side } from '../knot/steps.ts';
import type { DressingHabits } from '../plan/habits.ts';

type Hand = 'left' | 'right';
const other: Readonly<Record<Hand, Hand>> = { left: 'right', right: 'left' };

/** What the hands do, before the first move and at each: `to` tells where every move ends, as whoever ties sees it. */
export interface Holds {
  readonly start: string;
  readonly moves: readonly string[];
}

/**
 * One hand pins the crossing from first to last and the other makes every move; or the hands change where the end goes to a side, and
 * stay where it goes to the throat.
 */
export function holdsOf(pins: DressingHabits['pins'], works: string, startsAt: Hand, to: readonly Side[]): Holds {
  if (pins !== 'changes') {
    const moves = other[pins];
    return {
      start: `Your ${pins} hand pins the crossing, thumb in front, and stays there to the end.`,
      moves: to.map(() => `Your ${pins} hand pins; your ${moves} hand makes the move, and is free again after it.`),
    };
  }
  let holding: Hand = startsAt;
  return {
    start: `Your ${startsAt} hand holds the ${works}; your ${other[startsAt]} hand pins the crossing.`,
    moves: to.map((side) => {
      if (side === 'centre') return `Hands stay: your ${holding} hand keeps the ${works}.`;
      if (side === holding) return `Your ${holding} hand keeps the ${works}; your ${other[holding]} hand pins.`;
      holding = side;
      return `Hands change: your ${side} hand takes the ${works}, your ${other[side]} hand pins.`;
    }),
  };
}
