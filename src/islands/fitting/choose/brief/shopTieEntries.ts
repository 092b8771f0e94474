import { checkTie } from '../../../../contract/planQuestion.ts';
import type { ColouredCloth } from '../../../../core/colour/cloth.ts';
import { supposeTie, type Tie } from '../../../../core/index.ts';
import type { Fault } from '../../../../core/measures/faults.ts';
import type { LengthUnit } from '../../../../core/units/length.ts';
import type { Entry } from '../../../ui/MeasureField.tsx';

/** A tie in a shop, by its five numbers and its colours; what was not measured is supposed. */
export interface ShopTieEntries {
  lengthMm: Entry;
  bladeMm: Entry;
  thicknessMm: Entry;
  neckMm: Entry;
  tailMm: Entry;
  fabric: Tie['fabric'];
  pattern: Tie['pattern'];
  colours: readonly string[];
  shares: readonly number[] | null;
}

export const firstShopTie: ShopTieEntries = {
  lengthMm: 1480,
  bladeMm: 80,
  thicknessMm: 3,
  neckMm: '',
  tailMm: '',
  fabric: 'woven-silk',
  pattern: 'solid',
  colours: ['#34506b'],
  shares: null,
};

export interface CheckedShopTie {
  readonly tie: Tie | undefined;
  readonly cloth: ColouredCloth;
  readonly faults: readonly Fault[];
}

export function checkShopTie({ colours, shares, ...entries }: ShopTieEntries, units: LengthUnit): CheckedShopTie {
  const { value, faults } = checkTie(entries, units);
  return { tie: value ? supposeTie(value) : undefined, cloth: { colours, shares }, faults: faults ?? [] };
}
