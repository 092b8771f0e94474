import type { TieCare } from '../core/care/standing.ts';
import type { KnownOf } from '../core/fitbook/says.ts';
import type { CareRecord } from './records/records.ts';

/** What became of a tie since it is in the wardrobe. */
export interface TieLife {
  /** As of today. */
  readonly care: TieCare;
  /** Everything that was noted of it, the latest first. */
  readonly notes: readonly CareRecord[];
  /** How much more it takes up than its measures say, as a share; `null` where nothing was learnt of it. */
  readonly takesUp: KnownOf | null;
}
