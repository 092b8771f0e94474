import { dayIn } from '../contract/days.ts';
import type { TieLife } from '../contract/tieLife.ts';
import { knownOfTie } from '../core/fitbook/says.ts';
import { withCare } from './care.ts';
import { learntHere } from './fitBook/book.ts';
import type { Asked } from './http/endpoint.ts';
import { findRecord, listRecords } from './records.ts';

/** As many notes as anyone reads of one tie. */
const mostNotes = 1000;

/** What became of a tie. Refuses an id that is not there. */
export async function tieLife({ sql, studio }: Pick<Asked, 'sql' | 'studio'>, id: string): Promise<TieLife> {
  const tie = await findRecord(sql, studio.id, 'ties', id);
  const [cared] = await withCare(sql, studio.id, [tie], dayIn(studio.timeZone));
  if (!cared) throw new Error('A tie was asked for, and none answered.');
  const notes = await listRecords(sql, studio.id, 'cares', { tieId: tie.id, by: 'fromOn', down: true, most: mostNotes });
  const learnt = await learntHere(sql, studio.id, { client: null, hands: [], ties: [tie.id] });
  return { care: cared.care, notes: notes.rows, takesUp: knownOfTie(learnt, tie.id) ?? null };
}
