import type { FabricCode } from '../../core/tie/fabrics.ts';
import type { PatternCode } from '../../core/tie/patterns.ts';

/** How a tie's cloth looks. Colours as `#rrggbb`, the ground first. */
export interface Cloth {
  readonly fabric: FabricCode;
  readonly pattern: PatternCode;
  readonly colours: readonly string[];
}

/** Fill of cloth running down (the blade) or across (the last band of a knot). */
export function clothFill(id: string, run: 'down' | 'across' | 'aside'): string {
  return `url(#${id}-${run})`;
}
