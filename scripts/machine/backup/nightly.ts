import postgres from 'postgres';
import { isDue } from './keep.ts';
import { backupIn, makeBackup, prune } from './make.ts';

const lookEveryMs = 10 * 60_000;
/** The application comes first. */
const firstLookMs = 60_000;

/** Makes a backup whenever the latest night’s is missing, until it is told to stop. What goes wrong is said, and tried again. */
export function backUpNightly(owner: string, folder: string, say: (line: string) => void): { readonly stop: () => Promise<void> } {
  let running: Promise<void> = Promise.resolve();
  let timer: NodeJS.Timeout;
  const look = (inMs: number) => {
    timer = setTimeout(() => {
      running = backUpIfDue(owner, folder, say).finally(() => look(lookEveryMs));
    }, inMs);
  };
  look(firstLookMs);
  return {
    stop: async () => {
      clearTimeout(timer);
      await running;
      clearTimeout(timer);
    },
  };
}

/** Makes one if the latest night’s is missing. */
export async function backUpIfDue(owner: string, folder: string, say: (line: string) => void, now = new Date()): Promise<void> {
  try {
    if (!isDue(await latestGood(owner, now), now)) return;
    const { file, bytes } = await makeBackup(owner, backupIn(folder));
    say(`Backup made and checked: ${file} (${Math.ceil(bytes / 1024)} kB)`);
    prune(folder);
  } catch (error) {
    say(error instanceof Error ? error.message : String(error));
  }
}

/** One that was made under a clock that ran ahead is none of these nights’: waiting for it there would be no other for years. */
async function latestGood(owner: string, now: Date): Promise<Date | undefined> {
  const sql = postgres(owner, { max: 1, connect_timeout: 10, onnotice: () => undefined });
  try {
    const [row] = await sql<{ at: Date | null }[]>`select max(made_at) as at from backups where failure is null and made_at <= ${now}`;
    return row?.at ?? undefined;
  } finally {
    await sql.end({ timeout: 5 });
  }
}
