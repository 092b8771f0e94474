import { dropNowOf } from '../contract/records/asWorn.ts';
import type { ClientRecord, Kind, Wardrobe } from '../contract/records/records.ts';
import { clientsHand } from '../core/fitbook/tying.ts';
import type { Queryable } from './database.ts';
import { learntHere } from './fitBook/book.ts';
import { uncheckedFitting } from './fittings.ts';
import type { Asked } from './http/endpoint.ts';
import { listShown } from './lists.ts';
import { findRecord } from './records.ts';

/** As many pieces as one client is ever dressed from. */
const mostPieces = 10_000;

/**
 * All that one client can be dressed from. Without an id, the client fitted last; `null` for
 * a studio that keeps none yet.
 */
export async function wardrobe(asked: Pick<Asked, 'sql' | 'studio' | 'person'>, clientId?: string): Promise<Wardrobe> {
  const { sql, studio, person } = asked;
  const client = clientId ? await findRecord(sql, studio.id, 'clients', clientId) : await clientAtHand(sql, studio.id);
  const worn = <K extends Kind>(kind: K) =>
    listShown(asked, kind, { ...(client ? { wearableBy: client.id } : { clientId: null }), most: mostPieces }).then(({ rows }) => rows);
  const [outfits, shirts, jackets, ties, squares, regulations] = await Promise.all([
    client ? worn('outfits') : [],
    worn('shirts'),
    worn('jackets'),
    worn('ties'),
    worn('squares'),
    worn('regulations'),
  ]);
  const unchecked = client ? await uncheckedFitting(sql, studio, client.id) : null;
  const learnt = await learntHere(sql, studio.id, {
    client: client && { id: client.id, drop: dropNowOf(client) },
    hands: [person?.id ?? '', ...(client ? [clientsHand(client.id)] : [])],
    ties: ties.map(({ id }) => id),
  });
  return { studio: { ...studio, person }, client, outfits, shirts, jackets, ties, squares, regulations, unchecked, learnt };
}

async function clientAtHand(sql: Queryable, studioId: string): Promise<ClientRecord | null> {
  const [latest] = await sql<{ id: string }[]>`
    select id from clients where studio_id = ${studioId} and not archived
    order by (select max(created_at) from fittings where studio_id = ${studioId} and client_id = clients.id) desc nulls last, lower(name), id limit 1`;
  return latest ? findRecord(sql, studioId, 'clients', latest.id) : null;
}
