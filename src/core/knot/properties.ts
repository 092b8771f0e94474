import { formatKnot } from './format.ts';
import type { ActiveEnd, Finish, Knot, LooseTurns, Region } from './knot.ts';
import { type MannerCode, mannerOf } from './manners.ts';
import { namedWord } from './names.ts';
import { opensWhenDrawn } from './release.ts';

export interface KnotProperties {
  readonly moves: number;
  readonly centres: number;
  /** |moves to the right − moves to the left|: 0 and 1 hang even. */
  readonly symmetry: number;
  /** Changes of winding sense between successive moves: the fewer, the tidier. */
  readonly balance: number;
  /** Pulls open when the tail is drawn out; where that is the end that ties, it never does. */
  readonly selfReleasing: boolean;
  /** What the active end does when it is drawn once the other one is out: an overhand knot that is left in it jams. */
  readonly activeDrawn: 'opens' | 'jams';
  readonly manner: MannerCode;
  readonly active: ActiveEnd;
  readonly finish: Finish;
  readonly loose?: LooseTurns;
  /** Which side of the tie faces outward at the start: seam in for an even count, out for an odd one. */
  readonly startSeam: 'in' | 'out';
  readonly names: string[];
  /** The name under which several paths pass, when there is one. */
  readonly family?: string;
  /** Whether its name is put together from parts, a description rather than a name in use. */
  readonly described: boolean;
  /** One of the few that most stylists tie without looking it up. */
  readonly everyday: boolean;
}

/** What follows from the word alone. Symmetry and balance as in Physica A 276 (2000) 109. */
export function knotProperties(knot: Knot): KnotProperties {
  const regions = knot.moves.map((move) => move.region);
  const named = namedWord(formatKnot(knot));
  const opens = opensWhenDrawn(knot);
  const count = (region: Region) => regions.filter((each) => each === region).length;
  return {
    moves: regions.length,
    centres: count('C'),
    symmetry: Math.abs(count('R') - count('L')),
    balance: windingChanges(regions),
    selfReleasing: opens && knot.active === 'blade',
    activeDrawn: opens ? 'opens' : 'jams',
    manner: mannerOf(knot),
    active: knot.active,
    finish: knot.finish,
    ...(knot.loose && { loose: knot.loose }),
    startSeam: knot.moves[0]?.direction === 'i' ? 'in' : 'out',
    names: [...(named?.names ?? [])],
    ...(named?.family && { family: named.family }),
    described: named?.described ?? false,
    everyday: named?.everyday ?? false,
  };
}

const aroundClock = 'LCR';

function windingChanges(regions: readonly Region[]): number {
  let changes = 0;
  let before: number | undefined;
  for (let i = 1; i < regions.length; i++) {
    const from = aroundClock.indexOf(regions[i - 1] ?? 'L');
    const to = aroundClock.indexOf(regions[i] ?? 'L');
    const sense = (to - from + 3) % 3;
    if (before !== undefined && sense !== before) changes++;
    before = sense;
  }
  return changes;
}
