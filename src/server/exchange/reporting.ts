import type { ImportReport, ReportLine } from '../../contract/exchange/report.ts';

/** As many lines of one outcome as are told one by one; what is at fault is left out by its line, so as good as all of it. */
const mostTold = { fault: 100_000, change: 2000, add: 2000, same: 2000 } as const;

/** Gathers what is told of an import. */
export function reporting() {
  const lines: ReportLine[] = [];
  const faults: string[] = [];
  const notes: string[] = [];
  const counts = { fault: 0, change: 0, add: 0, same: 0 };
  const isClean = () => faults.length === 0 && counts.fault === 0;
  return {
    add: (line: ReportLine) => {
      counts[line.action] += 1;
      if (counts[line.action] <= mostTold[line.action]) lines.push(line);
    },
    /** What is wrong with the file as a whole. */
    fault: (what: string) => faults.push(what),
    note: (what: string) => notes.push(what),
    isClean,
    told: (applied: boolean): ImportReport => ({ lines, counts, faults, notes, applied }),
  };
}
