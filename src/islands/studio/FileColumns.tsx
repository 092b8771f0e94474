import { columnsOf } from '../../contract/exchange/columns.ts';
import { type ColumnUse, type TableUnit, tableUnits } from '../../contract/exchange/mapping.ts';
import { capital } from '../ui/words.ts';
import type { ChosenTable } from './chosenFile.ts';

interface FileColumnsProps {
  readonly table: ChosenTable;
  readonly onUses: (uses: readonly ColumnUse[]) => void;
}

const skipped = '';
const examples = 3;
const select = 'h-9 w-full border-b-2 border-set/40 bg-transparent text-set';

/** What each column of a file is read as, with a few of its cells; lengths with their unit. */
export function FileColumns({ table: { kind, heading, rows, uses }, onUses }: FileColumnsProps) {
  const columns = columnsOf(kind);
  const put = (at: number, use: ColumnUse) =>
    // A column of ours is read from one of the file's.
    onUses(uses.map((each, i) => (i === at ? use : use.column !== null && each.column === use.column ? { ...each, column: null } : each)));
  return (
    <details open className="border-b border-line pb-3">
      <summary className="min-h-10 cursor-pointer text-lg font-medium">
        Columns: {uses.filter(({ column }) => column !== null).length} of {heading.length} are read
      </summary>
      <div className="overflow-x-auto">
        <table className="w-full text-left">
          <thead className="text-note text-soft">
            <tr>
              <th className="py-1 pr-3 font-normal">In the file</th>
              <th className="pr-3 font-normal">For example</th>
              <th className="pr-3 font-normal">Read as</th>
              <th className="font-normal">In</th>
            </tr>
          </thead>
          <tbody>
            {heading.map((name, at) => {
              const use = uses[at] ?? { column: null, unit: 'mm' };
              const column = columns.find((each) => each.name === use.column);
              return (
                // biome-ignore lint/suspicious/noArrayIndexKey: columns have no other identity, and two may be named alike.
                <tr key={at} className="border-t border-faint">
                  <th scope="row" className="py-1 pr-3 font-medium">
                    {name || `Column ${at + 1}`}
                  </th>
                  <td className="max-w-56 truncate pr-3 text-note text-soft">
                    {rows
                      .slice(0, examples)
                      .map(({ cells }) => cells[at])
                      .filter(Boolean)
                      .join(' · ')}
                  </td>
                  <td className="w-64 pr-3">
                    <select
                      aria-label={`“${name}” is read as`}
                      className={`${select} ${column ? '' : 'text-soft'}`}
                      value={use.column ?? skipped}
                      onChange={({ target }) => put(at, { ...use, column: target.value === skipped ? null : target.value })}
                    >
                      <option value={skipped}>skipped</option>
                      {columns.map(({ name: code, label }) => (
                        <option key={code} value={code}>
                          {capital(label)}
                        </option>
                      ))}
                    </select>
                  </td>
                  <td className="w-28">
                    {column?.measure && (
                      <select
                        aria-label={`Unit of “${name}”`}
                        className={select}
                        value={use.unit}
                        onChange={({ target }) => put(at, { ...use, unit: target.value as TableUnit })}
                      >
                        {Object.entries(tableUnits).map(([unit, { label }]) => (
                          <option key={unit} value={unit}>
                            {label}
                          </option>
                        ))}
                      </select>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <p className="pt-1 text-note text-soft">Remembered on this device for the next file with these columns.</p>
    </details>
  );
}
