import { openDatabase, type Sql } from '../../src/server/database.ts';
import { withPassingStudio } from '../machine/passingStudio.ts';

export interface CrowdedStudio {
  readonly address: string;
  readonly sql: Sql;
}

const clients = 5000;
const ties = 2000;

/** The demo studio with 5,000 clients and 2,000 ties of theirs, served, for as long as `measure` takes. */
export async function withCrowdedStudio(measure: (studio: CrowdedStudio) => Promise<void>): Promise<void> {
  await withPassingStudio(async ({ web, addresses }) => {
    const sql = openDatabase(addresses.app, { max: 4 });
    try {
      await fillStudio(sql);
      await measure({ address: web.address, sql });
    } finally {
      await sql.end();
    }
  });
}

/** Adds 5,000 clients with their measures, and 2,000 ties. */
export async function fillStudio(sql: Sql): Promise<void> {
  await sql`
    insert into clients (id, studio_id, name, nickname, note)
    select gen_random_uuid(), (select id from studios), 'Guest ' || md5(n::text), 'G' || n, 'Supper table ' || n % 40 || ', by the window'
    from generate_series(1, ${clients}::int) as n`;
  await sql`
    insert into client_measures (studio_id, client_id, measure, mm, how, taken_on)
    select studio_id, id, measure, case measure when 'heightMm' then 1750 when 'neckMm' then 400 else 450 end, 'tape', date '2026-01-01' + week * 7
    from clients, unnest(array['heightMm', 'neckMm', 'frontDropMm']) as measure, generate_series(0, 2) as week
    where name like 'Guest %'`;
  await sql`
    insert into ties (id, studio_id, client_id, label, length_mm, blade_mm, neck_mm, neck_at_mm, tail_mm, thickness_mm, keeper_mm,
      fabric, pattern, colours)
    select gen_random_uuid(), (select id from studios), case when n > 300 then (select id from clients order by id limit 1) end,
      'Spare ' || n, 1440 + n % 60, 60 + n % 40, 30, 830, 42, 2 + (n % 20) / 10.0, 220, 'wool', 'solid',
      array['#' || lpad(to_hex(4210752 + n * 900), 6, '0')]
    from generate_series(1, ${ties}::int) as n`;
  await sql`analyze`;
}
