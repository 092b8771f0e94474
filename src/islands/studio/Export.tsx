import { Download } from 'lucide-react';
import { columnsOf } from '../../contract/exchange/columns.ts';
import { type ExchangeFile, exchangeFiles } from '../../contract/exchange/report.ts';

const says: Readonly<Record<ExchangeFile, string>> = {
  'people.csv': 'people who dress clients, with their habits',
  'regulations.csv': 'dress regulations, each as of its day',
  'clients.csv': 'clients, with their latest measures and preferences',
  'shirts.csv': 'shirts',
  'jackets.csv': 'jackets',
  'ties.csv': 'ties',
  'squares.csv': 'pocket squares',
  'outfits.csv': 'outfits',
  'namings.csv': 'the studio’s own names for knots',
  'learners.csv': 'learners: pupils, clients and staff who learn to tie',
  'rehearsals.csv': 'rehearsals, each with the seconds of its steps',
  'tyings.csv': 'tyings: what was set, where it ended, what was learnt from it',
  'cares.csv': 'care notes: when a tie was worn, lent, repaired, kept looped',
  'clients.vcf': 'clients as contact cards, vCard 4.0',
  'studio.json': 'the whole studio, with every measure and fitting',
};

/** Each file that can be taken out, and what its columns hold. */
export function Export() {
  return (
    <section aria-labelledby="out">
      <h2 id="out" className="border-b-2 border-ink pb-1 text-2xl font-semibold">
        Export
      </h2>
      <ul>
        {(Object.keys(exchangeFiles) as ExchangeFile[]).map((name) => (
          <li key={name} className="border-b border-line py-1">
            <a className="flex min-h-10 items-center gap-2 text-lg text-set hover:underline" href={`/api/export/${name}`} download={name}>
              <Download aria-hidden className="size-5 shrink-0" />
              {name}
            </a>
            <p className="pl-7 text-note text-soft">{says[name]}</p>
            <Columns name={name} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Columns({ name }: { readonly name: ExchangeFile }) {
  const file = exchangeFiles[name];
  if (file.format !== 'csv') return null;
  return (
    <details className="pl-7 text-note">
      <summary className="min-h-7 cursor-pointer text-set">Columns</summary>
      <dl className="grid grid-cols-[minmax(0,9rem)_1fr] gap-x-3 pb-2">
        {columnsOf(file.kind).map(({ name: column, holds }) => (
          <div key={column} className="contents">
            <dt className="figures break-all">{column}</dt>
            <dd className="text-soft">{holds}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
