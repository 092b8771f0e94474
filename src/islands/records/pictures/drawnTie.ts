import { supposeTie, type Tie } from '../../../core/index.ts';
import { measures } from '../../../core/measures/measures.ts';
import type { WidthAt } from '../../../core/tie/tie.ts';
import { usualTie } from '../../../core/usual.ts';
import type { Entries } from '../form/entries.ts';
import { lengthsOf } from './drawnRequest.ts';

const lengths = Object.keys(measures.tie) as (keyof typeof measures.tie)[];

/** The tie as it can be drawn while its fields are filled in: what is no length yet is estimated. */
export function drawnTie(entries: Entries): Tie {
  const { fabric, pattern, ends } = entries as unknown as Pick<Tie, 'fabric' | 'pattern' | 'ends'>;
  const profile = (entries['profile'] as readonly WidthAt[]).filter(
    ({ atMm, widthMm }) => typeof atMm === 'number' && typeof widthMm === 'number',
  );
  return supposeTie({ ...usualTie, ...lengthsOf(entries, lengths), fabric, pattern, ...(ends && { ends }), profile });
}
