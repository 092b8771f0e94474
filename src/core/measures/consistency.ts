import { frontDropOf } from '../body/frontDrop.ts';
import type { PlanRequest } from '../plan/request.ts';
import type { Fault } from './faults.ts';

type Say = (mm: number) => string;

interface Rule {
  readonly path: string;
  /** What it looks at besides: it can only be judged where none of these is at fault itself. */
  readonly uses: readonly string[];
  readonly broken: (request: PlanRequest) => boolean;
  readonly message: (request: PlanRequest, say: Say) => string;
}

const belowBeltMm = 80;

/** What cannot be true together even though each measure alone can be. */
const rules: readonly Rule[] = [
  {
    path: 'shirt.collarSpreadMm',
    uses: ['shirt.collarPointMm'],
    broken: ({ shirt }) => shirt.collarSpreadMm > 2 * shirt.collarPointMm,
    message: ({ shirt }, say) =>
      `The points cannot be ${say(shirt.collarSpreadMm)} apart: two points of ${say(shirt.collarPointMm)} reach ${say(2 * shirt.collarPointMm)} at most.`,
  },
  {
    path: 'shirt.collarSpreadMm',
    uses: ['shirt.tieSpaceMm'],
    broken: ({ shirt }) => shirt.collarSpreadMm <= shirt.tieSpaceMm,
    message: ({ shirt }, say) =>
      `The points are ${say(shirt.collarSpreadMm)} apart, no wider than the space at the button: the collar would not open.`,
  },
  {
    path: 'shirt.buttonsMm',
    uses: [],
    broken: ({ shirt }) => shirt.buttonsMm.some((at, i) => at <= (shirt.buttonsMm[i - 1] ?? 0)),
    message: () => 'Each button must lie below the one before it.',
  },
  {
    path: 'tie.lengthMm',
    uses: ['client.neckMm', 'shirt.collarAllowanceMm', 'client.crossingGapMm'],
    broken: ({ tie, client, shirt }) => tie.lengthMm <= client.neckMm + shirt.collarAllowanceMm + client.crossingGapMm,
    message: ({ tie, client, shirt }, say) =>
      `A tie of ${say(tie.lengthMm)} does not even go around this neck (${say(client.neckMm + shirt.collarAllowanceMm)} with the collar’s fold).`,
  },
  {
    path: 'tie.neckMm',
    uses: ['tie.bladeMm'],
    broken: ({ tie }) => tie.neckMm > tie.bladeMm,
    message: ({ tie }, say) => `The neck cannot be wider (${say(tie.neckMm)}) than the blade (${say(tie.bladeMm)}).`,
  },
  {
    path: 'tie.tailMm',
    uses: ['tie.neckMm', 'tie.bladeMm'],
    broken: ({ tie }) => tie.tailMm < tie.neckMm || tie.tailMm > tie.bladeMm,
    message: ({ tie }, say) =>
      `The tail (${say(tie.tailMm)}) must be between the neck (${say(tie.neckMm)}) and the blade (${say(tie.bladeMm)}) in width.`,
  },
  {
    path: 'tie.neckAtMm',
    uses: ['tie.lengthMm', 'tie.bladeMm', 'tie.tailMm'],
    broken: ({ tie }) => tie.neckAtMm <= tie.bladeMm || tie.neckAtMm >= tie.lengthMm - tie.tailMm,
    message: ({ tie }, say) => `The narrowest part cannot be ${say(tie.neckAtMm)} from the tip of a tie ${say(tie.lengthMm)} long.`,
  },
  {
    path: 'tie.profile',
    uses: ['tie.lengthMm', 'tie.bladeMm'],
    broken: ({ tie }) => (tie.profile ?? []).some(({ atMm, widthMm }) => atMm >= tie.lengthMm || widthMm > tie.bladeMm),
    message: ({ tie }, say) =>
      `Each measured width lies on the tie (${say(tie.lengthMm)} long) and is no wider than the blade (${say(tie.bladeMm)}).`,
  },
  {
    path: 'jacket.buttoningMm',
    uses: ['client.frontDropMm', 'client.heightMm'],
    broken: ({ jacket, client }) => (jacket?.buttoningMm ?? 0) > frontDropOf(client).meanMm + belowBeltMm,
    message: ({ jacket }, say) => `A jacket does not close ${say(jacket?.buttoningMm ?? 0)} down, so far below the belt.`,
  },
  {
    path: 'tie.keeperMm',
    uses: ['tie.neckAtMm', 'tie.lengthMm'],
    broken: ({ tie }) => tie.keeperMm >= tie.neckAtMm,
    message: ({ tie }, say) => `The keeper sits on the blade, so nearer the tip than the neck (${say(tie.neckAtMm)}).`,
  },
];

/**
 * Faults between measures of a request, leaving out what cannot be judged because a measure
 * is at fault itself (`faulty` names those paths). Every fault at once; `say` writes lengths
 * in the reader's unit.
 */
export function contradictions(request: PlanRequest, say: Say, faulty: readonly string[] = []): Fault[] {
  const isFaulty = (path: string) => faulty.some((each) => each === path || each.startsWith(`${path}.`) || path.startsWith(`${each}.`));
  return rules
    .filter(({ path, uses }) => ![path, ...uses].some(isFaulty))
    .filter((rule) => rule.broken(request))
    .map((rule) => ({ path: rule.path, message: rule.message(request, say) }));
}
