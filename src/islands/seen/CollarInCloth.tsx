import type { ComponentProps } from 'react';
import { CollarCloseUp } from '../../drawing/wearer/CollarCloseUp.tsx';
import { useKnotInCloth } from './useKnotPictures.ts';

/** Collar and knot with their measures, the knot tied in cloth where it is tied ready. */
export function CollarInCloth(props: Omit<ComponentProps<typeof CollarCloseUp>, 'picture'>) {
  const picture = useKnotInCloth(props.plan.moves, props.cloth);
  return <CollarCloseUp {...props} picture={picture} />;
}
