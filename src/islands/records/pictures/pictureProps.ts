import type { LengthUnit } from '../../../core/units/length.ts';
import type { Entries } from '../form/entries.ts';

/** What every picture of a record is drawn from. */
export interface PictureProps {
  readonly entries: Entries;
  readonly units: LengthUnit;
}
