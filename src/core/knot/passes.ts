import type { Knot, Move, Region, Spoke } from './knot.ts';

/** One move as the hand makes it: from where to where, across which spoke, on which side of the knot. */
export interface Pass extends Move {
  /** The region it leaves. */
  readonly from: Region;
  readonly spoke: Spoke;
  readonly side: 'front' | 'behind';
  /** Whether the turn is held open rather than drawn tight. */
  readonly isLoose: boolean;
}

const spokeBetween: Readonly<Record<string, Spoke>> = {
  LR: 'tail',
  RL: 'tail',
  LC: 'tailArm',
  CL: 'tailArm',
  CR: 'bladeArm',
  RC: 'bladeArm',
};

/** The active end starts on the wearer's right, so the first move leaves from there. */
const startRegion: Region = 'R';

/**
 * A knot's passes, first move first: the one reading of its moves, from which words, drawings, the
 * cloth and the take-up all follow. In the canonical frame.
 */
export function passesOf({ moves, loose }: Pick<Knot, 'moves' | 'loose'>): Pass[] {
  let from = startRegion;
  return moves.map((move, i) => {
    const spoke = spokeBetween[from + move.region];
    if (!spoke) throw new Error(`No spoke lies between ${from} and ${move.region}`);
    const pass: Pass = {
      ...move,
      from,
      spoke,
      side: move.direction === 'i' ? 'front' : 'behind',
      isLoose: loose !== undefined && i + 1 >= loose.from,
    };
    from = move.region;
    return pass;
  });
}
