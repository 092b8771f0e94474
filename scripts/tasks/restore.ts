import { existsSync, readdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { restoreBackup } from '../machine/backup/restore.ts';
import { MachineFailure, runTask } from '../machine/failure.ts';
import { backupFolder } from '../machine/postgres/folder.ts';
import { openRecords } from '../machine/postgres/records.ts';

/** `npm run restore -- there.dump` puts the records of a backup in place of those that are there, which are kept aside. */
await runTask(async () => {
  const [named] = process.argv.slice(2);
  if (!named) throw new MachineFailure(whichOnes());
  const records = await openRecords();
  try {
    const { rows, before } = await restoreBackup(resolve(named), records.addresses, console.log);
    console.log(`Restored ${rows} rows from ${resolve(named)}. Start Ropewalk with npm start.`);
    if (before) console.log(`The records that were there before are kept in the database ${before}, until you drop it.`);
  } finally {
    await records.leave();
  }
});

function whichOnes(): string {
  const folder = backupFolder();
  const there = existsSync(folder) ? readdirSync(folder).filter((name) => name.endsWith('.dump')) : [];
  const list = there.sort().map((name) => `  npm run restore -- ${join(folder, name)}`);
  return ['Say which backup to restore.', ...(list.length > 0 ? ['There are:', ...list] : [`There is none in ${folder} yet.`])].join('\n');
}
