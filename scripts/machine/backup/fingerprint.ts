import type postgres from 'postgres';

/** What a database holds: of each table how many rows, and a sum over the hashes of every one of them. */
export type Fingerprint = ReadonlyMap<string, string>;

export async function fingerprint(sql: postgres.ISql): Promise<Fingerprint> {
  const tables = await sql<{ name: string }[]>`select tablename as name from pg_tables where schemaname = 'public' order by 1`;
  const found = new Map<string, string>();
  for (const { name } of tables) {
    // Rows as text, to the last digit; in whatever order they stand.
    const [row] = await sql<{ told: string }[]>`
      select count(*) || ' rows, ' || coalesce(sum(hashtextextended(record::text, 0)::numeric), 0) as told from ${sql(name)} as record`;
    found.set(name, row?.told ?? '');
  }
  return found;
}

/** Tables that one holds otherwise than the other. */
export function differing(one: Fingerprint, other: Fingerprint): readonly string[] {
  return [...new Set([...one.keys(), ...other.keys()])].filter((table) => one.get(table) !== other.get(table));
}

export function rowsIn(print: Fingerprint): number {
  return [...print.values()].reduce((sum, told) => sum + Number.parseInt(told, 10), 0);
}
