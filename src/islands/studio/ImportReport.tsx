import type { ImportReport, ReportLine } from '../../contract/exchange/report.ts';
import { Button } from '../ui/Button.tsx';
import type { ChosenTable } from './chosenFile.ts';
import { MendLine } from './MendLine.tsx';

interface ReportProps {
  readonly report: ImportReport;
  /** The file's rows, where it is a table whose lines can be mended here. */
  readonly table: ChosenTable | undefined;
  /** Whether something was mended since. */
  readonly isStale: boolean;
  /** Imports the lines that are right. */
  readonly onApply: () => void;
  /** Looks at it again. */
  readonly onLook: () => void;
  readonly onCell: (line: number, at: number, cell: string) => void;
  readonly onLine: (line: number, text: string) => void;
}

const order = ['fault', 'change', 'add', 'same'] as const;
const actions: Readonly<Record<ReportLine['action'], { readonly does: string; readonly did: string; readonly className: string }>> = {
  fault: { does: 'error', did: 'error', className: 'text-outside' },
  change: { does: 'to change', did: 'changed', className: 'text-set' },
  add: { does: 'to add', did: 'added', className: 'text-follows' },
  same: { does: 'unchanged', did: 'unchanged', className: 'text-soft' },
};

/** As many lines as a person reads; errors come first. */
const mostLines = 300;

/** What a file would do, or did, line by line. */
export function Report({
  report: { lines, counts, faults, notes, applied },
  table,
  isStale,
  onApply,
  onLook,
  onCell,
  onLine,
}: ReportProps) {
  const count = (action: ReportLine['action']) => counts[action];
  const total = order.reduce((sum, action) => sum + counts[action], 0);
  const isClean = faults.length === 0 && count('fault') === 0;
  const toDo = count('add') + count('change');
  const sorted = lines.toSorted((a, b) => order.indexOf(a.action) - order.indexOf(b.action));
  const sums = order
    .filter((action) => count(action) > 0)
    .map(
      (action) =>
        `${count(action)} ${action === 'fault' && count(action) > 1 ? 'errors' : applied ? actions[action].did : actions[action].does}`,
    )
    .join(', ');
  return (
    <div>
      <div className="flex flex-wrap items-center justify-between gap-3 py-2">
        <p role="status" className="text-xl font-medium">
          {applied ? 'Imported: ' : ''}
          {sums || 'The file is empty'}.
        </p>
        <span className="flex gap-3">
          {isStale && (
            <Button look="other" className="text-lg" onClick={onLook}>
              Check again
            </Button>
          )}
          {!applied && faults.length === 0 && toDo > 0 && !isStale && (isClean || table) && (
            <Button className="text-lg" onClick={onApply}>
              {isClean ? 'Import' : `Import ${toDo === 1 ? 'the good line' : `the ${toDo} good lines`}`}
            </Button>
          )}
        </span>
      </div>
      {!isClean && (
        <p role="alert" className="bg-outside-wash px-4 py-2 text-outside">
          {[...faults, whatNow(applied, table !== undefined && faults.length === 0)].join(' ')}
        </p>
      )}
      {notes.map((note) => (
        <p key={note} className="text-note text-soft">
          {note}
        </p>
      ))}
      <div className="overflow-x-auto">
        <table className="w-full text-left">
          <thead className="border-b-2 border-ink text-note text-soft">
            <tr>
              <th className="py-1 font-normal">Line</th>
              <th className="font-normal">What</th>
              <th className="font-normal">Name</th>
              <th className="font-normal">{applied ? 'Done' : 'To do'}</th>
            </tr>
          </thead>
          <tbody>
            {sorted.slice(0, mostLines).map(({ line, what, title, action, details }) => (
              <tr key={`${what} ${line}`} className="border-b border-faint align-top">
                <td className="figures py-1 pr-3">{line}</td>
                <td className="pr-3">{what}</td>
                <td className="pr-3">{title || '—'}</td>
                <td className={actions[action].className}>
                  {applied ? actions[action].did : actions[action].does}
                  {details.length > 0 && `: ${details.join(action === 'fault' ? ' ' : ', ')}`}
                  {action === 'fault' && table && (
                    <MendLine
                      table={table}
                      line={line}
                      onCell={(at, cell) => onCell(line, at, cell)}
                      onLine={(text) => onLine(line, text)}
                    />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {total > mostLines && <p className="py-2 text-soft">and {total - mostLines} more lines</p>}
    </div>
  );
}

function whatNow(applied: boolean, canMend: boolean): string {
  if (applied) return 'These lines were not imported. Mend them here, then check again.';
  return canMend
    ? 'Nothing is imported yet. Mend the lines here and check again, or import the good ones.'
    : 'Nothing imported. Fix the errors and choose the file again.';
}
