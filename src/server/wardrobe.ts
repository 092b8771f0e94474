import type { Wardrobe } from '../contract/records.ts';
import { listClients } from './clients.ts';
import type { Sql } from './database.ts';
import { listJackets } from './jackets.ts';
import { listShirts } from './shirts.ts';
import { theStudio } from './studios.ts';
import { listTies } from './ties.ts';

/** All that a fitting can be made from. */
export async function wardrobe(sql: Sql): Promise<Wardrobe> {
  const studio = await theStudio(sql);
  const [clients, shirts, jackets, ties] = await Promise.all([
    listClients(sql, studio.id),
    listShirts(sql, studio.id),
    listJackets(sql, studio.id),
    listTies(sql, studio.id),
  ]);
  return { studio, clients, shirts, jackets, ties };
}
