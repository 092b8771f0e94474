import { resolve } from 'node:path';
import { backupIn, makeBackup } from '../machine/backup/make.ts';
import { runTask } from '../machine/failure.ts';
import { backupFolder } from '../machine/postgres/folder.ts';
import { openRecords } from '../machine/postgres/records.ts';

/** `npm run backup` writes the studio’s records to a file beside the other backups; `npm run backup -- there.dump` to that one. */
await runTask(async () => {
  const [named] = process.argv.slice(2);
  const records = await openRecords();
  try {
    const { file, bytes, rows } = await makeBackup(records.addresses.owner, named ? resolve(named) : backupIn(backupFolder()));
    console.log(`Backed up to ${file}: ${rows} rows, ${Math.ceil(bytes / 1024)} kB. Checked by restoring it into a database of its own.`);
  } finally {
    await records.leave();
  }
});
