/** What importing one record does, or would do. */
export interface ReportLine {
  /** Line of a table, or which card or record of the file, from 1. */
  readonly line: number;
  /** `client`, `tie` …, in words. */
  readonly what: string;
  readonly title: string;
  readonly action: 'add' | 'change' | 'same' | 'fault';
  /** The fields that change, or what is wrong, in words. */
  readonly details: readonly string[];
}

export interface ImportReport {
  /** Every error, and the first of each other outcome, as many as anyone reads. */
  readonly lines: readonly ReportLine[];
  /** How many there are of each, told or not. */
  readonly counts: Readonly<Record<ReportLine['action'], number>>;
  /** What is wrong with the file as a whole. */
  readonly faults: readonly string[];
  readonly notes: readonly string[];
  /** Whether it was done; nothing is done while anything is at fault. */
  readonly applied: boolean;
}

/** The files that can be imported and exported, by name. */
export const exchangeFiles = {
  'people.csv': { format: 'csv', kind: 'people' },
  'regulations.csv': { format: 'csv', kind: 'regulations' },
  'clients.csv': { format: 'csv', kind: 'clients' },
  'shirts.csv': { format: 'csv', kind: 'shirts' },
  'jackets.csv': { format: 'csv', kind: 'jackets' },
  'ties.csv': { format: 'csv', kind: 'ties' },
  'squares.csv': { format: 'csv', kind: 'squares' },
  'outfits.csv': { format: 'csv', kind: 'outfits' },
  'namings.csv': { format: 'csv', kind: 'namings' },
  'learners.csv': { format: 'csv', kind: 'learners' },
  'rehearsals.csv': { format: 'csv', kind: 'rehearsals' },
  'tyings.csv': { format: 'csv', kind: 'tyings' },
  'cares.csv': { format: 'csv', kind: 'cares' },
  'clients.vcf': { format: 'vcard', kind: 'clients' },
  'studio.json': { format: 'json', kind: null },
} as const;

export type ExchangeFile = keyof typeof exchangeFiles;

export function isExchangeFile(name: string | undefined): name is ExchangeFile {
  return name !== undefined && Object.hasOwn(exchangeFiles, name);
}

/** As large a file as is taken, and as large a one as is read whole: a studio’s own file is read a record at a time. */
export const largestFileBytes = 16 * 1024 ** 3;
export const largestWholeBytes = 64 * 1024 ** 2;
