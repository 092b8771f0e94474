import type { FabricCode } from './fabrics.ts';
import type { PatternCode } from './patterns.ts';

/** How a tie's cloth looks. Colours as `#rrggbb`, the ground first. */
export interface FabricLook {
  readonly fabric: FabricCode;
  readonly pattern: PatternCode;
  readonly colours: readonly string[];
}
