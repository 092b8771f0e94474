import { columnsOf } from '../../contract/exchange/columns.ts';
import { capital } from '../ui/words.ts';
import type { ChosenTable } from './chosenFile.ts';

interface MendLineProps {
  readonly table: ChosenTable;
  readonly line: number;
  readonly onCell: (at: number, cell: string) => void;
  readonly onLine: (text: string) => void;
}

const field = 'h-9 w-full border-b-2 border-set/40 bg-transparent px-1 text-set focus:border-set';

/** One line of a file with an error, to be mended where it stands: cell by cell, or as text where it can't be read. */
export function MendLine({ table: { kind, heading, rows, broken, uses }, line, onCell, onLine }: MendLineProps) {
  const unread = broken.find((each) => each.line === line);
  if (unread) {
    return (
      <label className="block py-1 text-note text-soft">
        Line {line} as it stands
        <input className={field} value={unread.text} onChange={({ target }) => onLine(target.value)} />
      </label>
    );
  }
  const row = rows.find((each) => each.line === line);
  if (!row) return null;
  const columns = columnsOf(kind);
  return (
    <div className="grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))] gap-x-3">
      {uses.flatMap(({ column }, at) => {
        const ours = columns.find(({ name }) => name === column);
        if (!ours) return [];
        return [
          <label key={ours.name} className="block py-0.5 text-note text-soft">
            {capital(ours.label)}
            <span className="sr-only">
              {' '}
              ({heading[at]}), line {line}
            </span>
            <input className={field} value={row.cells[at] ?? ''} onChange={({ target }) => onCell(at, target.value)} />
          </label>,
        ];
      })}
    </div>
  );
}
