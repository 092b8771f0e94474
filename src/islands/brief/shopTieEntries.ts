import { checkTie } from '../../contract/planQuestion.ts';
import { supposeTie, type Tie } from '../../core/index.ts';
import type { Fault } from '../../core/measures/faults.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { Entry } from '../controls/MeasureField.tsx';

/** A tie in a shop, by its five numbers and its main colour; what was not measured is supposed. */
export interface ShopTieEntries {
  lengthMm: Entry;
  bladeMm: Entry;
  thicknessMm: Entry;
  neckMm: Entry;
  tailMm: Entry;
  fabric: Tie['fabric'];
  pattern: Tie['pattern'];
  colour: string;
}

export const firstShopTie: ShopTieEntries = {
  lengthMm: 1480,
  bladeMm: 80,
  thicknessMm: 3,
  neckMm: '',
  tailMm: '',
  fabric: 'woven-silk',
  pattern: 'solid',
  colour: '#34506b',
};

export interface CheckedShopTie {
  readonly tie: Tie | undefined;
  readonly colour: string;
  readonly faults: readonly Fault[];
}

export function checkShopTie({ colour, ...entries }: ShopTieEntries, units: LengthUnit): CheckedShopTie {
  const { value, faults } = checkTie(entries, units);
  return { tie: value ? supposeTie(value) : undefined, colour, faults: faults ?? [] };
}
