import type { BackupsTold } from '../contract/backups.ts';
import type { Queryable } from './database.ts';

interface Row {
  readonly madeAt: Date;
  readonly file: string;
  readonly bytes: string | null;
  readonly failure: string | null;
}

/** The latest that was made and the latest that failed; none that a clock running ahead dated to come. */
export async function backupsTold(sql: Queryable): Promise<BackupsTold> {
  const rows = await sql<Row[]>`
    select distinct on (failure is null) made_at, file, bytes, failure from backups
    where made_at <= now() + interval '1 minute' order by failure is null, made_at desc`;
  const good = rows.find(({ failure }) => failure === null);
  const failed = rows.find(({ failure }) => failure !== null);
  return {
    good: good ? { madeAt: good.madeAt.toISOString(), file: good.file, bytes: Number(good.bytes) } : null,
    failed: failed && !(good && good.madeAt > failed.madeAt) ? { madeAt: failed.madeAt.toISOString(), why: failed.failure ?? '' } : null,
  };
}
