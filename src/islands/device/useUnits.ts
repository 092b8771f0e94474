import { useState } from 'react';
import type { LengthUnit } from '../../core/units/length.ts';

const key = 'ropewalk.units';

export const unitChoices: readonly { key: LengthUnit; label: string }[] = [
  { key: 'cm', label: 'cm' },
  { key: 'in', label: 'in' },
];

/** The unit this person reads; the studio's until another was chosen on this device. */
export function useUnits(studio: LengthUnit): [LengthUnit, (unit: LengthUnit) => void] {
  const [units, setUnits] = useState<LengthUnit>(() => {
    const kept = localStorage.getItem(key);
    return kept === 'cm' || kept === 'in' ? kept : studio;
  });
  return [
    units,
    (next) => {
      localStorage.setItem(key, next);
      setUnits(next);
    },
  ];
}
