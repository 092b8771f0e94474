import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkFittingDraft } from '../../src/contract/fitting.ts';
import { planClient, planShirt } from '../../src/contract/records/asWorn.ts';
import { checkRecord } from '../../src/contract/records/checkRecord.ts';
import { fieldsOf, kinds } from '../../src/contract/records/kinds/index.ts';
import { kindCodes, kindWords } from '../../src/contract/records/kindWords.ts';
import type { Kind, RecordOf, StudioRecord } from '../../src/contract/records/records.ts';
import { aimOn } from '../../src/core/plan/aims.ts';
import { inTransaction, type Queryable, type Sql } from '../../src/server/database.ts';
import { saveFitting } from '../../src/server/fittings.ts';
import { addRecord, findRecord } from '../../src/server/records.ts';
import { createStudio } from '../../src/server/studios.ts';

/** A demo record by what is particular to it. References are written as the other record’s key. */
type Line = Readonly<Record<string, unknown>> & { readonly key: string };

interface FittingLine {
  readonly key: string;
  readonly client: string;
  readonly person: string;
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
  await inTransaction(sql, fill);
  return true;
}

async function fill(sql: Queryable): Promise<void> {
  const studio: StudioRecord = { id: idOf('studio', 'lanternmoor'), ...read<Omit<StudioRecord, 'id'>>('studio') };
  await createStudio(sql, studio);
  for (const kind of kindCodes) {
    for (const line of read<Line[]>(kind)) await addRecord(sql, studio.id, kind, demoRecord(kind, line));
  }
  for (const line of read<FittingLine[]>('fittings')) await fit(sql, studio, line);
}

function demoRecord<K extends Kind>(kind: K, { key, ...line }: Line): RecordOf[K] {
  const references = fieldsOf(kind).flatMap(([name, field]) => {
    const other = line[name];
    return field.kind === 'reference' && typeof other === 'string' ? [[name, idOf(field.to, other)]] : [];
  });
  const { value, faults } = checkRecord(
    kind,
    { ...kinds[kind].fresh, ...line, ...Object.fromEntries(references), id: demoId(kind, key) },
    'cm',
  );
  if (faults) throw new Error(`The demo ${kindWords[kind].one} “${key}”: ${faults.map(({ message }) => message).join(' ')}`);
  return value;
}

async function fit(sql: Queryable, studio: StudioRecord, line: FittingLine): Promise<void> {
  const find = <K extends Kind>(kind: K, key: string) => findRecord(sql, studio.id, kind, idOf(kind, key));
  const client = await find('clients', line.client);
  const person = await find('people', line.person);
  const shirt = await find('shirts', line.shirt);
  const jacket = await find('jackets', line.jacket);
  const tie = await find('ties', line.tie);
  const { value, faults } = checkFittingDraft({
    id: idOf('fitting', line.key),
    clientId: client.id,
    shirtId: shirt.id,
    jacketId: jacket.id,
    tieId: tie.id,
    clientName: client.name,
    shirtLabel: shirt.label,
    jacketLabel: jacket.label,
    tieLabel: tie.label,
    cloth: { tie: tie.colours, shirt: shirt.colour, jacket: jacket.colour },
    question: {
      client: planClient(client, undefined, person),
      shirt: planShirt(shirt),
      jacket,
      tie,
      aim: aimOn(client.aim, client.beltHeightMm),
      units: studio.units,
    },
    knot: line.knot,
    note: line.note,
  });
  if (faults) throw new Error(`The demo fitting “${line.key}”: ${faults.map(({ message }) => message).join(' ')}`);
  await saveFitting(sql, studio.id, value, person, new Date(line.at));
}

/** A tying has the id of the fitting it is of; the others are their own. */
function demoId(kind: Kind, key: string): string {
  const isOfFitting = kind === 'tyings' && read<FittingLine[]>('fittings').some((line) => line.key === key);
  return idOf(isOfFitting ? 'fitting' : kind, key);
}

function read<T>(name: string): T {
  return JSON.parse(readFileSync(join(import.meta.dirname, `${name}.json`), 'utf8')) as T;
}

/** A stable UUID for a demo record. */
function idOf(kind: string, key: string): string {
  const hex = createHash('sha256').update(`${kind}/${key}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-5${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
