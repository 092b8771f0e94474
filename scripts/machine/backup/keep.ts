import { format, startOfDay, subDays } from 'date-fns';

/** The hour of the night, in the machine’s own time, after which a new backup is due. */
const nightHour = 3;
/** Of each of so many days the latest is kept, of each of so many months as well. */
const [days, months] = [14, 12];
const namePattern = /^ropewalk-(\d{4})-(\d{2})-(\d{2})-(\d{2})(\d{2})(\d{2})\.dump$/;

export function backupName(at: Date): string {
  return `ropewalk-${format(at, 'yyyy-MM-dd-HHmmss')}.dump`;
}

/** Whether a new one is due: none was made since the latest night began. */
export function isDue(latest: Date | undefined, now: Date): boolean {
  const tonight = new Date(startOfDay(now).setHours(nightHour));
  const night = now >= tonight ? tonight : subDays(tonight, 1);
  return latest === undefined || latest < night;
}

/** Those of the file names that need not be kept any more. Files that are not ours are never among them. */
export function superfluous(names: readonly string[]): readonly string[] {
  const ours = names.filter((name) => namePattern.test(name)).sort((a, b) => (a < b ? 1 : -1));
  const latestOf = (length: number, most: number) => {
    const latest = new Map<string, string>();
    for (const name of ours) {
      const period = name.slice('ropewalk-'.length).slice(0, length);
      if (!latest.has(period)) latest.set(period, name);
    }
    return [...latest.values()].slice(0, most);
  };
  const kept = new Set([...latestOf('yyyy-MM-dd'.length, days), ...latestOf('yyyy-MM'.length, months)]);
  return ours.filter((name) => !kept.has(name));
}
