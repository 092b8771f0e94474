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
      `Collar spread ${say(shirt.collarSpreadMm)} is too wide: two points of ${say(shirt.collarPointMm)} reach ${say(2 * shirt.collarPointMm)} at most.`,
  },
  {
    path: 'shirt.collarSpreadMm',
    uses: ['shirt.tieSpaceMm'],
    broken: ({ shirt }) => shirt.collarSpreadMm <= shirt.tieSpaceMm,
    message: ({ shirt }, say) => `Collar spread ${say(shirt.collarSpreadMm)} is no wider than the tie space: the collar would not open.`,
  },
  {
    path: 'shirt.buttonsMm',
    uses: [],
    broken: ({ shirt }) => shirt.buttonsMm.some((at, i) => at <= (shirt.buttonsMm[i - 1] ?? 0)),
    message: () => 'Each button must be lower than the one before it.',
  },
  {
    path: 'tie.lengthMm',
    uses: ['client.neckMm', 'shirt.collarAllowanceMm'],
    broken: ({ tie, client, shirt }) => tie.lengthMm <= client.neckMm + shirt.collarAllowanceMm,
    message: ({ tie, client, shirt }, say) =>
      `A tie of ${say(tie.lengthMm)} does not go around this neck (${say(client.neckMm + shirt.collarAllowanceMm)} with the extra around the collar).`,
  },
  {
    path: 'tie.neckMm',
    uses: ['tie.bladeMm'],
    broken: ({ tie }) => tie.neckMm > tie.bladeMm,
    message: ({ tie }, say) => `The neck (${say(tie.neckMm)}) must be narrower than the blade (${say(tie.bladeMm)}).`,
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
    message: ({ tie }, say) => `The neck can’t be ${say(tie.neckAtMm)} from the tip of a tie ${say(tie.lengthMm)} long.`,
  },
  {
    path: 'tie.profile',
    uses: ['tie.lengthMm', 'tie.bladeMm'],
    broken: ({ tie }) => (tie.profile ?? []).some(({ atMm, widthMm }) => atMm >= tie.lengthMm || widthMm > tie.bladeMm),
    message: ({ tie }, say) =>
      `Each measured width must be on the tie (${say(tie.lengthMm)} long) and no wider than the blade (${say(tie.bladeMm)}).`,
  },
  {
    path: 'jacket.buttoningMm',
    uses: ['client.frontDropMm', 'client.heightMm'],
    broken: ({ jacket, client }) => (jacket?.buttoningMm ?? 0) > frontDropOf(client).meanMm + belowBeltMm,
    message: ({ jacket }, say) => `A buttoning point of ${say(jacket?.buttoningMm ?? 0)} is too far below the belt.`,
  },
  {
    path: 'tie.keeperMm',
    uses: ['tie.neckAtMm', 'tie.lengthMm'],
    broken: ({ tie }) => tie.keeperMm >= tie.neckAtMm,
    message: ({ tie }, say) => `The keeper must be nearer the blade tip than the neck is (${say(tie.neckAtMm)}).`,
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
