import type { ReactNode } from 'react';
import type { KnotPlan, PlanRequest } from '../../core/index.ts';
import type { StateCode } from '../../core/start/reading.ts';
import type { View } from '../../drawing/geometry/view.ts';
import type { KnotPicture } from '../../drawing/knot/picture.ts';
import { CollarCloseUp } from '../../drawing/wearer/CollarCloseUp.tsx';
import { FrontFigure } from '../../drawing/wearer/FrontFigure.tsx';
import type { DrawnColours } from '../seen/dressed.ts';

/** The fitting as every stage draws it. */
export interface DrawnFitting {
  readonly request: PlanRequest;
  /** The knot in hand. */
  readonly plan: KnotPlan;
  readonly view: View;
  readonly picture: KnotPicture | undefined;
  readonly colours: DrawnColours;
}

interface FittingDrawnProps {
  readonly drawn: DrawnFitting;
  readonly className: string;
  /** Handles on the drawing. */
  readonly children?: ReactNode;
}

interface FrontDrawnProps extends FittingDrawnProps {
  readonly stage?: 'hung' | 'tied';
  /** How a hung tie lies while its start is read. */
  readonly state?: StateCode;
}

/** The client from the front, the tie tied or still hung. */
export function FrontDrawn({ drawn, stage = 'tied', state, className, children }: FrontDrawnProps) {
  const { request, plan, view, picture, colours } = drawn;
  return (
    <FrontFigure
      id="front"
      {...{ request, plan, view, picture, stage, state }}
      {...colours}
      className={`w-full lg:h-auto lg:grow ${className}`}
    >
      {children}
    </FrontFigure>
  );
}

/** The knot in hand on the client's own collar. */
export function CollarDrawn({ id = 'near', drawn, className, children }: FittingDrawnProps & { readonly id?: string }) {
  const { request, plan, view, picture, colours } = drawn;
  return (
    <CollarCloseUp id={id} {...{ request, plan, view, picture }} {...colours} className={`w-full lg:h-auto lg:grow ${className}`}>
      {children}
    </CollarCloseUp>
  );
}
