import { FileUp } from 'lucide-react';
import { useId, useState } from 'react';
import { fileText } from '../../contract/exchange/fileText.ts';
import { type ExchangeFile, exchangeFiles, isExchangeFile } from '../../contract/exchange/report.ts';
import { kindWords } from '../../contract/records/kindWords.ts';
import { FileInput } from '../ui/FileInput.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { choosing, reread, withCell, withLine, withUses } from './chosenFile.ts';
import { FileColumns } from './FileColumns.tsx';
import { Report } from './ImportReport.tsx';
import { inTurns } from './inTurns.ts';
import { useImport } from './useImport.ts';

/** A file chosen, its columns matched, what it would do told line by line, and then done: all that is agreed, or nothing. */
export function Import() {
  const { chosen, report, isStale, state, outage, error, look, mend, apply } = useImport();
  const [unread, setUnread] = useState<string>();
  const [noted, setNoted] = useState<string>();
  const id = useId();
  const read = async (file: File | undefined) => {
    if (!file) return;
    setUnread(undefined);
    setNoted(undefined);
    const as = guess(file.name);
    if (!as) {
      setUnread(`“${file.name}” can’t be read here. Choose a .csv file, a .vcf file with contacts, or a studio’s .json file.`);
      return;
    }
    if (exchangeFiles[as].format === 'json') {
      look(inTurns(choosing(file.name, as, file)));
      return;
    }
    const { text, encoding } = fileText(await file.arrayBuffer());
    if (encoding !== 'UTF-8')
      setNoted(`“${file.name}” is not in UTF-8: it was read as ${encoding}. Look at names with accents before importing.`);
    look(inTurns(choosing(file.name, as, text)));
  };
  const table = chosen?.table;
  return (
    <section aria-labelledby="in">
      <h2 id="in" className="border-b-2 border-ink pb-1 text-2xl font-semibold">
        Import
      </h2>
      <label
        htmlFor={id}
        className="my-3 flex min-h-28 cursor-pointer flex-col items-center justify-center gap-1 border-2 border-dashed border-set/60 p-4 text-set focus-within:outline-3 hover:bg-set-wash"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          void read(event.dataTransfer.files[0]);
        }}
      >
        <span className="flex items-center gap-2 text-xl">
          <FileUp aria-hidden className="size-6" /> Choose a file, or drop it here
        </span>
        <span className="text-note text-soft">.csv, .vcf or .json. You see what it would do before anything changes.</span>
        <FileInput id={id} accept=".csv,.vcf,.json,text/csv,text/vcard,application/json" onFile={(file) => void read(file)} />
      </label>
      {unread && (
        <p role="alert" className="bg-outside-wash px-4 py-2 text-outside">
          {unread}
        </p>
      )}
      {noted && (
        <p role="status" className="bg-set-wash px-4 py-2">
          {noted}
        </p>
      )}
      {chosen && exchangeFiles[chosen.as].format === 'csv' && (
        <label className="flex flex-wrap items-center gap-2 pb-2">
          Read “{chosen.file}” as a list of
          <select
            className="h-9 border-b-2 border-set/40 bg-transparent text-lg text-set"
            value={chosen.as}
            onChange={(event) =>
              isExchangeFile(event.target.value) && look(inTurns(choosing(chosen.file, event.target.value, chosen.content)))
            }
          >
            {Object.entries(exchangeFiles)
              .filter(([, { format }]) => format === 'csv')
              .map(([name, { kind }]) => (
                <option key={name} value={name}>
                  {kind && kindWords[kind].many}
                </option>
              ))}
          </select>
        </label>
      )}
      {outage && <OutageNotice what="Whether the import went through isn’t known yet. It is tried again, and done once." />}
      {state !== 'still' && !outage && (
        <p role="status" className="py-2 text-lg text-soft">
          {state === 'doing' ? 'Importing…' : 'Reading the file…'}
        </p>
      )}
      {error && (
        <p role="alert" className="bg-outside-wash px-4 py-2 text-outside">
          {error.message}
        </p>
      )}
      {chosen && table && !table.isOurs && <FileColumns table={table} onUses={(uses) => look(withUses(chosen, uses))} />}
      {chosen && report && state === 'still' && (
        <Report
          report={report}
          isStale={isStale}
          table={table}
          onApply={apply}
          onLook={() => look(reread(chosen))}
          onCell={(line, at, cell) => mend(withCell(chosen, line, at, cell))}
          onLine={(line, text) => mend(withLine(chosen, line, text))}
        />
      )}
    </section>
  );
}

/** Which of our files it is, by its name; tables are told apart by the kind named in them. */
function guess(name: string): ExchangeFile | undefined {
  const lower = name.toLowerCase();
  if (lower.endsWith('.vcf')) return 'clients.vcf';
  if (lower.endsWith('.json')) return 'studio.json';
  if (!lower.endsWith('.csv')) return undefined;
  const known = (Object.keys(exchangeFiles) as ExchangeFile[]).find((file) => file.endsWith('.csv') && lower.includes(file.slice(0, -4)));
  return known ?? 'clients.csv';
}
