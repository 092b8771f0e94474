import { createHash } from 'node:crypto';
import type { DealingCode } from '../../core/care/dealings.ts';

type Values = Readonly<Record<string, unknown>>;

/** What a tie’s status was called when it still stood in the tie. */
const dealingOf: Readonly<Record<string, DealingCode>> = { out: 'lent', resting: 'aside', repair: 'repair' };

/** The care notes that ties of a file stand for in which care notes have no list of their own. */
export function caresOfOlder(ties: readonly Values[], today: string): Values[] {
  return ties.flatMap(({ id, label, state, outWith }) => {
    const what = dealingOf[String(state)];
    if (what === undefined) return [];
    return [
      {
        id: idFrom(String(id)),
        ...{ tieId: id, label, what, clientId: outWith ?? null, fromOn: today, untilOn: null },
        note: 'Since when was not written down.',
      },
    ];
  });
}

/** The same tie always gets the same note, however often the file is imported. */
function idFrom(tieId: string): string {
  const hex = createHash('sha256').update(`care of ${tieId}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-5${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
