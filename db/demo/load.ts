import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkFittingDraft } from '../../src/contract/fitting.ts';
import type { ClientRecord, JacketRecord, ShirtRecord, StudioRecord, TieRecord } from '../../src/contract/records.ts';
import { addClient } from '../../src/server/clients.ts';
import type { Sql } from '../../src/server/database.ts';
import { saveFitting } from '../../src/server/fittings.ts';
import { addJacket } from '../../src/server/jackets.ts';
import { addShirt } from '../../src/server/shirts.ts';
import { createStudio } from '../../src/server/studios.ts';
import { addTie } from '../../src/server/ties.ts';

type Keyed<T> = T & { readonly key: string };
type Owned<T> = Keyed<Omit<T, 'id' | 'clientId'>> & { readonly client: string | null };

interface FittingLine {
  readonly key: string;
  readonly client: string;
  readonly shirt: string;
  readonly jacket: string;
  readonly tie: string;
  readonly knot: string;
  readonly note: string;
  readonly at: string;
}

/**
 * Sets up the invented studio of Lanternmoor, all or nothing, in a database that keeps no
 * studio yet. Returns whether it did. The same records always get the same ids.
 */
export async function loadDemo(sql: Sql): Promise<boolean> {
  const kept = await sql`select 1 from studios limit 1`;
  if (kept.length > 0) return false;
  await sql.begin(async (transaction) => fill(transaction as unknown as Sql));
  return true;
}

async function fill(sql: Sql): Promise<void> {
  const studio: StudioRecord = { id: idOf('studio', 'lanternmoor'), ...read<Omit<StudioRecord, 'id'>>('studio') };
  await createStudio(sql, studio);

  const clients = read<Keyed<Omit<ClientRecord, 'id'>>[]>('clients');
  for (const { key, ...client } of clients) await addClient(sql, studio.id, { id: idOf('client', key), ...client });

  const shirts = owned<ShirtRecord>('shirt', read('shirts'));
  for (const shirt of shirts.values()) await addShirt(sql, studio.id, shirt);
  const jackets = owned<JacketRecord>('jacket', read('jackets'));
  for (const jacket of jackets.values()) await addJacket(sql, studio.id, jacket);
  const ties = owned<TieRecord>('tie', read('ties'));
  for (const tie of ties.values()) await addTie(sql, studio.id, tie);

  for (const line of read<FittingLine[]>('fittings')) {
    const client = clients.find(({ key }) => key === line.client);
    const shirt = shirts.get(line.shirt);
    const jacket = jackets.get(line.jacket);
    const tie = ties.get(line.tie);
    if (!client || !shirt || !jacket || !tie) throw new Error(`The demo fitting “${line.key}” names a record that is not there.`);
    const { value, faults } = checkFittingDraft({
      id: idOf('fitting', line.key),
      clientId: idOf('client', line.client),
      shirtId: shirt.id,
      jacketId: jacket.id,
      tieId: tie.id,
      clientName: client.name,
      shirtLabel: shirt.label,
      jacketLabel: jacket.label,
      tieLabel: tie.label,
      cloth: { tie: tie.colours, shirt: shirt.colour, jacket: jacket.colour },
      question: { client, shirt, jacket, tie, units: studio.units },
      knot: line.knot,
      note: line.note,
    });
    if (faults) throw new Error(`The demo fitting “${line.key}”: ${faults.map(({ message }) => message).join(' ')}`);
    await saveFitting(sql, studio.id, value, new Date(line.at));
  }
}

function read<T>(name: string): T {
  return JSON.parse(readFileSync(join(import.meta.dirname, `${name}.json`), 'utf8')) as T;
}

function owned<T extends { readonly id: string; readonly clientId: string | null }>(kind: string, lines: Owned<T>[]): Map<string, T> {
  return new Map(
    lines.map(({ key, client, ...rest }) => [
      key,
      { ...rest, id: idOf(kind, key), clientId: client === null ? null : idOf('client', client) } as unknown as T,
    ]),
  );
}

/** A stable UUID for a demo record. */
function idOf(kind: string, key: string): string {
  const hex = createHash('sha256').update(`${kind}/${key}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-5${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
