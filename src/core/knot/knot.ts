/** The three regions around the crossing: left, centre (the throat) and right. */
export type Region = 'L' | 'C' | 'R';

/** `i`: across the front, ending toward the shirt. `o`: behind, ending away from it. */
export type Direction = 'i' | 'o';

export interface Move {
  readonly region: Region;
  readonly direction: Direction;
}

/** The three spokes that divide the regions: the tail hanging down, the tail's arm of the neck loop, and the blade's arm of it. */
export type Spoke = 'tail' | 'tailArm' | 'bladeArm';

/**
 * Which end does the work, the other one standing still: nearly always the blade. Where it is
 * the tail (`narrow`), the standing blade hangs down in its place, and the engine works on the tie turned round.
 */
export type ActiveEnd = 'blade' | 'narrow';

/**
 * `tuck`: down through the last front band. `open`: no tuck, the blade drops over the knot as
 * a plain panel. `collar`: up, and what is left is hidden under the collar.
 */
export type Finish = 'tuck' | 'open' | 'collar';

/** The outer turns, where they are not drawn tight but held open. */
export interface LooseTurns {
  /** The first of them, by move, from 1; all that follow are loose too. */
  readonly from: number;
  /** How wide they are held open. */
  readonly diameterMm: number;
}

/** Two fingers side by side. */
export const twoFingersMm = 36;

/** A knot in the canonical frame: wearer's own view, the active end starting on the wearer's right. */
export interface Knot {
  readonly moves: readonly Move[];
  readonly active: ActiveEnd;
  readonly finish: Finish;
  readonly loose?: LooseTurns;
}

/** All of a knot but its moves. */
export type Manner = Omit<Knot, 'moves'>;

/** The classic family's: tied with the blade, tucked, every turn drawn tight. */
export const classic: Manner = { active: 'blade', finish: 'tuck' };

/** The fewest moves that each finish can be made after. */
export const fewestMoves: Readonly<Record<Finish, number>> = { tuck: 3, open: 2, collar: 3 };

/** Builds a knot from its regions; the directions follow, since they alternate and end outward. */
export function knotFromRegions(regions: readonly Region[], manner: Manner = classic): Knot {
  const moves = regions.map(
    (region, i): Move => ({
      region,
      direction: (regions.length - i) % 2 === 1 ? 'o' : 'i',
    }),
  );
  return { moves, ...manner };
}
