import type { Knot } from '../knot/knot.ts';

/** The end that ties and the one that stands still, as they are called. */
export function endsOf({ active }: Pick<Knot, 'active'>): { readonly works: 'blade' | 'tail'; readonly stands: 'blade' | 'tail' } {
  return active === 'blade' ? { works: 'blade', stands: 'tail' } : { works: 'tail', stands: 'blade' };
}
