import { fabrics } from '../tie/fabrics.ts';
import type { Tie } from '../tie/tie.ts';

type Cloth = Pick<Tie, 'fabric' | 'thicknessMm' | 'bladeMm'>;

interface DimpleWay {
  readonly label: string;
  readonly say: string;
  /** Before the tuck, or once the end is through. */
  readonly when: 'before' | 'after';
  /** How well it suits a cloth; priors from handling, to be compared only. */
  readonly suits: (cloth: Cloth) => number;
  readonly because: string;
}

const thick = ({ thicknessMm }: Cloth) => Math.min(1, Math.max(0, (thicknessMm - 1.5) / 3));

/** The four ways to lay a dimple. */
export const dimpleWays = {
  pinch: {
    label: 'pinch with three fingers',
    say: 'Pinch the blade into one fold between thumb, index and middle finger, close under the knot, and draw it down so.',
    when: 'after',
    suits: ({ fabric, ...cloth }) => fabrics[fabric].dimple + 0.3 * (1 - thick({ fabric, ...cloth })),
    because: 'this cloth keeps a fold that is pinched once',
  },
  finger: {
    label: 'press with the index finger',
    say: 'Press an index finger into the middle of the blade under the knot, and draw the knot down over it.',
    when: 'after',
    suits: ({ fabric, ...cloth }) => 0.5 + 0.5 * thick({ fabric, ...cloth }) + 0.4 * fabrics[fabric].stiffness,
    because: 'thick or firm cloth folds round a finger better than between fingers',
  },
  squeeze: {
    label: 'squeeze the knot',
    say: 'Squeeze the knot from both sides while the blade is drawn down through it.',
    when: 'after',
    suits: ({ fabric }) => 0.55 + 0.5 * fabrics[fabric].grip * (1 - fabrics[fabric].stiffness),
    because: 'this cloth grips, and a squeezed knot holds its fold',
  },
  edges: {
    label: 'fold the edges back',
    say: 'Before the blade goes through, fold both its edges back behind it, and take it down so.',
    when: 'before',
    suits: ({ fabric, bladeMm }) =>
      0.4 + 0.9 * (1 - fabrics[fabric].dimple) + 0.2 * (1 - fabrics[fabric].grip) + Math.max(0, bladeMm - 85) / 60,
    because: 'smooth cloth slips out of a fold that is only pinched',
  },
} as const satisfies Record<string, DimpleWay>;

export type DimpleWayCode = keyof typeof dimpleWays;

/** All four, the one that suits this cloth best first. */
export function dimpleWaysFor(cloth: Cloth): DimpleWayCode[] {
  return (Object.keys(dimpleWays) as DimpleWayCode[]).toSorted((a, b) => dimpleWays[b].suits(cloth) - dimpleWays[a].suits(cloth));
}
