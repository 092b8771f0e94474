import postgres from 'postgres';

/** Whom the application connects as: it reads and writes records, and can neither change the schema nor read files. */
export const applicationRole = 'ropewalk_app';

const connectSeconds = 10;

/** Sees to it that the application’s role is there with this password. For whoever owns the cluster. */
export async function ensureApplicationRole(url: string, password: string): Promise<void> {
  const sql = postgres(url, { max: 1, connect_timeout: connectSeconds, onnotice: () => undefined });
  try {
    const [there] = await sql`select 1 from pg_roles where rolname = ${applicationRole}`;
    // A role’s password can’t be a parameter; ours are hexadecimal digits.
    await sql.unsafe(`${there ? 'alter' : 'create'} role ${applicationRole} login password '${password.replaceAll("'", "''")}'`);
  } finally {
    await sql.end();
  }
}

/** Lets a role read and write every record of a database, now and after later changes of the schema, and nothing else. */
export async function grantRecords(url: string, role: string): Promise<void> {
  const sql = postgres(url, { max: 1, connect_timeout: connectSeconds, onnotice: () => undefined });
  try {
    await sql.begin(async (transaction) => {
      // Two that grant at once would stumble over each other.
      await transaction`select pg_advisory_xact_lock(hashtext('grants'))`;
      const to = transaction(role);
      await transaction`grant usage on schema public to ${to}`;
      await transaction`grant select, insert, update, delete on all tables in schema public to ${to}`;
      await transaction`revoke insert, update, delete on schema_versions from ${to}`;
      await transaction`grant usage on all sequences in schema public to ${to}`;
    });
  } finally {
    await sql.end();
  }
}
