import { jacketWorn as ways } from '../../core/jacket/jackets.ts';
import { knotTitle } from '../../core/knot/code.ts';
import { parseKnot } from '../../core/knot/parse.ts';
import { aims } from '../../core/plan/aims.ts';
import { likings } from '../../core/plan/habits.ts';
import { prescribedPatterns } from '../../core/plan/prescribedPatterns.ts';
import { schools } from '../../core/plan/schools.ts';
import type { RegulationRecord } from './records.ts';

/** What a regulation prescribes, in one sentence. */
export function prescribedInWords({
  knot,
  dimple,
  aim,
  collarRule,
  lapelRule,
  patterns,
  jacketWorn,
}: Pick<RegulationRecord, 'knot' | 'dimple' | 'aim' | 'collarRule' | 'lapelRule' | 'patterns' | 'jacketWorn'>): string {
  const parts = [
    knot && knotTitle(parseKnot(knot)),
    dimple && (dimple === 'none' ? 'no dimple' : `dimple ${likings.dimple[dimple].label}`),
    aim && `tip ${aims[aim].label}`,
    collarRule && `the knot judged by ${schools.collarRule.schools[collarRule].label}`,
    patterns && `tie ${prescribedPatterns[patterns].label}`,
    jacketWorn && `jacket ${ways[jacketWorn].label}`,
    lapelRule && `blade and lapel ${schools.lapelRule.schools[lapelRule].label}`,
  ].filter((part) => part !== null);
  return parts.length > 0 ? `${parts.join(', ')}.` : 'nothing of the tie.';
}
