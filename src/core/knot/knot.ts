/** The three regions around the crossing: left, centre (the throat) and right. */
export type Region = 'L' | 'C' | 'R';

/** `i`: across the front, ending toward the shirt. `o`: behind, ending away from it. */
export type Direction = 'i' | 'o';

export interface Move {
  readonly region: Region;
  readonly direction: Direction;
}

/**
 * The three spokes that divide the regions: the narrow end hanging down, the narrow
 * end's arm of the neck loop, and the blade's arm of it.
 */
export type Spoke = 'narrowEnd' | 'narrowArm' | 'bladeArm';

/**
 * A classic knot in the canonical frame (wearer's own view, blade starting on his
 * right). The tuck that ends every classic knot is implied by `finish`.
 */
export interface Knot {
  readonly moves: readonly Move[];
  readonly finish: 'tuck';
}

const spokeBetween: Readonly<Record<string, Spoke>> = {
  LR: 'narrowEnd',
  RL: 'narrowEnd',
  LC: 'narrowArm',
  CL: 'narrowArm',
  CR: 'bladeArm',
  RC: 'bladeArm',
};

/** The blade starts on the wearer's right, so the first move leaves from there. */
const startRegion: Region = 'R';

/** The spoke each move of a knot crosses, first move first. */
export function spokesCrossed(knot: Knot): Spoke[] {
  let from = startRegion;
  return knot.moves.map(({ region }) => {
    const spoke = spokeBetween[from + region];
    if (!spoke) throw new Error(`No spoke lies between ${from} and ${region}`);
    from = region;
    return spoke;
  });
}

/** Builds a knot from its regions; the directions follow, since they alternate and end outward. */
export function knotFromRegions(regions: readonly Region[]): Knot {
  const moves = regions.map(
    (region, i): Move => ({
      region,
      direction: (regions.length - i) % 2 === 1 ? 'o' : 'i',
    }),
  );
  return { moves, finish: 'tuck' };
}
