import type { WornColours } from '../../contract/fitting.ts';
import type { PlanRequest } from '../../core/index.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import type { Tie } from '../../core/tie/tie.ts';
import { usualColours } from '../../core/usual.ts';

/** What everything worn is drawn in: a usual colour stands in for what was never entered. */
export interface DrawnColours {
  readonly cloth: FabricLook;
  readonly shirtColour: string;
  /** `null` without a jacket. */
  readonly jacketColour: string | null;
  /** `null` for a usual one. */
  readonly trousersColour: string | null;
}

/** A tie as it is drawn. */
export function lookOf({ fabric, pattern }: Pick<Tie, 'fabric' | 'pattern'>, colours: readonly string[]): FabricLook {
  return { fabric, pattern, colours: colours.length > 0 ? colours : [usualColours.tie] };
}

export function drawnColours({ tie, jacket }: Pick<PlanRequest, 'tie' | 'jacket'>, worn: WornColours): DrawnColours {
  return {
    cloth: lookOf(tie, worn.tie),
    shirtColour: worn.shirt ?? usualColours.shirt,
    jacketColour: jacket && (worn.jacket ?? usualColours.jacket),
    trousersColour: worn.trousers,
  };
}
