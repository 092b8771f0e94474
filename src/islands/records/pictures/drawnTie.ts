import { supposeTie, type Tie } from '../../../core/index.ts';
import type { WidthAt } from '../../../core/tie/tie.ts';
import type { Entries } from '../form/entries.ts';

const lengths = ['lengthMm', 'bladeMm', 'thicknessMm', 'neckMm', 'neckAtMm', 'tailMm', 'keeperMm'] as const;

/** The tie as it can be drawn while its fields are filled in: what is no length yet is supposed. */
export function drawnTie(entries: Entries): Tie {
  const known = Object.fromEntries(lengths.flatMap((key) => (typeof entries[key] === 'number' ? [[key, entries[key]]] : [])));
  const { fabric, pattern, ends } = entries as unknown as Pick<Tie, 'fabric' | 'pattern' | 'ends'>;
  const profile = (entries['profile'] as readonly WidthAt[]).filter(
    ({ atMm, widthMm }) => typeof atMm === 'number' && typeof widthMm === 'number',
  );
  return supposeTie({ lengthMm: 1470, bladeMm: 80, thicknessMm: 3, ...known, fabric, pattern, ...(ends && { ends }), profile });
}
