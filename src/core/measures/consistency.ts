import type { PlanRequest } from '../plan/request.ts';
import type { Fault } from './faults.ts';

type Say = (mm: number) => string;

interface Rule {
  readonly path: string;
  readonly broken: (request: PlanRequest) => boolean;
  readonly message: (request: PlanRequest, say: Say) => string;
}

/** What cannot be true together even though each measure alone can be. */
const rules: readonly Rule[] = [
  {
    path: 'shirt.collarSpreadMm',
    broken: ({ shirt }) => shirt.collarSpreadMm > 2 * shirt.collarPointMm,
    message: ({ shirt }, say) =>
      `The points cannot be ${say(shirt.collarSpreadMm)} apart: two points of ${say(shirt.collarPointMm)} reach ${say(2 * shirt.collarPointMm)} at most.`,
  },
  {
    path: 'shirt.collarSpreadMm',
    broken: ({ shirt }) => shirt.collarSpreadMm <= shirt.tieSpaceMm,
    message: ({ shirt }, say) =>
      `The points are ${say(shirt.collarSpreadMm)} apart, no wider than the space at the button: the collar would not open.`,
  },
  {
    path: 'shirt.buttonsMm',
    broken: ({ shirt }) => shirt.buttonsMm.some((at, i) => at <= (shirt.buttonsMm[i - 1] ?? 0)),
    message: () => 'Each button must lie below the one before it.',
  },
  {
    path: 'tie.lengthMm',
    broken: ({ tie, client, shirt }) => tie.lengthMm <= client.neckMm + shirt.collarAllowanceMm + client.crossingGapMm,
    message: ({ tie, client, shirt }, say) =>
      `A tie of ${say(tie.lengthMm)} does not even go around this neck (${say(client.neckMm + shirt.collarAllowanceMm)} with the collar’s fold).`,
  },
  {
    path: 'tie.neckMm',
    broken: ({ tie }) => tie.neckMm > tie.bladeMm,
    message: ({ tie }, say) => `The neck cannot be wider (${say(tie.neckMm)}) than the blade (${say(tie.bladeMm)}).`,
  },
  {
    path: 'tie.tailMm',
    broken: ({ tie }) => tie.tailMm < tie.neckMm || tie.tailMm > tie.bladeMm,
    message: ({ tie }, say) =>
      `The tail (${say(tie.tailMm)}) must be between the neck (${say(tie.neckMm)}) and the blade (${say(tie.bladeMm)}) in width.`,
  },
  {
    path: 'tie.neckAtMm',
    broken: ({ tie }) => tie.neckAtMm <= tie.bladeMm || tie.neckAtMm >= tie.lengthMm - tie.tailMm,
    message: ({ tie }, say) => `The narrowest part cannot be ${say(tie.neckAtMm)} from the tip of a tie ${say(tie.lengthMm)} long.`,
  },
  {
    path: 'tie.keeperMm',
    broken: ({ tie }) => tie.keeperMm >= tie.neckAtMm,
    message: ({ tie }, say) => `The keeper sits on the blade, so nearer the tip than the neck (${say(tie.neckAtMm)}).`,
  },
];

/**
 * Faults between measures of a request whose values are each in range. Every fault at once;
 * `say` writes lengths in the reader's unit.
 */
export function contradictions(request: PlanRequest, say: Say): Fault[] {
  return rules.filter((rule) => rule.broken(request)).map((rule) => ({ path: rule.path, message: rule.message(request, say) }));
}
