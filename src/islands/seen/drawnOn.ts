import type { PlanRequest } from '../../core/index.ts';
import type { AtHand } from '../atHand/values.ts';

/** What every drawing of a knot on the bench's client has in common. */
export function drawnOn(request: PlanRequest, values: AtHand) {
  return {
    request,
    view: 'facing',
    cloth: { fabric: request.tie.fabric, pattern: request.tie.pattern, colours: values.cloth.tie },
    shirtColour: values.cloth.shirt,
    jacketColour: request.jacket ? (values.cloth.jacket ?? '#5a626b') : null,
  } as const;
}
