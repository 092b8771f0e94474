import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** The processes that use a cluster, a file each. Those that are gone don’t count, even if another has their number now. */
export function usersOf(folder: string) {
  const files = join(folder, 'users');
  const own = join(files, String(process.pid));
  return {
    add: () => {
      mkdirSync(files, { recursive: true });
      writeFileSync(own, bornAt(process.pid) ?? '');
    },
    /** Takes this process away; answers whether it was the last. */
    leave: (): boolean => {
      rmSync(own, { force: true });
      if (!existsSync(files)) return true;
      const others = readdirSync(files).filter((pid) => {
        const isThere = bornAt(Number(pid)) === readFileSync(join(files, pid), 'utf8');
        if (!isThere) rmSync(join(files, pid), { force: true });
        return isThere;
      });
      return others.length === 0;
    },
  };
}

/** When a process was started, in the machine’s own ticks; `undefined` where there is none. */
function bornAt(pid: number): string | undefined {
  try {
    // After the name, which may hold anything, in brackets: the 22nd field of the line, of which two stand before.
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1)?.split(' ')[19];
  } catch {
    return undefined;
  }
}
