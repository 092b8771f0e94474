import { csvSteps } from '../../contract/exchange/csv.ts';
import type { exchangeFiles } from '../../contract/exchange/report.ts';
import { readStudioFile } from '../../contract/exchange/studioFile.ts';
import { brokenInWords } from '../../contract/exchange/table.ts';
import { readVcards } from '../../contract/exchange/vcard.ts';
import { kindCodes } from '../../contract/records/kindWords.ts';
import type { Kind } from '../../contract/records/records.ts';
import { inSteps } from './inSteps.ts';
import { caresOfOlder } from './olderFiles.ts';

/** What a file proposes to keep, not yet held against what is kept; `unread` where a line could not be read. */
export type Proposal =
  | { readonly of: Kind; readonly line: number; readonly values: Readonly<Record<string, unknown>>; readonly unread?: string }
  | { readonly of: 'studio' | 'fitting'; readonly line: number; readonly values: Readonly<Record<string, unknown>> };

export interface Proposals {
  readonly proposals: readonly Proposal[];
  readonly faults: readonly string[];
  readonly notes: readonly string[];
}

/** Everything a file proposes; a file that cannot be read at all is one fault. In steps, so that others are answered meanwhile. */
export async function proposalsIn(
  file: (typeof exchangeFiles)[keyof typeof exchangeFiles],
  text: string,
  today: string,
): Promise<Proposals> {
  try {
    switch (file.format) {
      case 'csv': {
        const { rows, broken, faults, notes } = await inSteps(csvSteps(file.kind, text));
        const proposals: readonly Proposal[] = [
          ...rows.map(({ line, values }) => ({ of: file.kind, line, values })),
          ...broken.map(({ line }) => ({ of: file.kind, line, values: {}, unread: brokenInWords })),
        ];
        return { proposals: proposals.toSorted((a, b) => a.line - b.line), faults, notes };
      }
      case 'vcard':
        return {
          proposals: readVcards(text).map(({ line, id, contact }) => ({ of: 'clients', line, values: { ...contact, id: id ?? '' } })),
          faults: [],
          notes: [],
        };
      case 'json':
        return { proposals: inStudioFile(readStudioFile(text), today), faults: [], notes: [] };
    }
  } catch (error) {
    return { proposals: [], faults: [error instanceof Error ? error.message : 'The file can’t be read.'], notes: [] };
  }
}

function inStudioFile(file: Readonly<Record<string, unknown>>, today: string): Proposal[] {
  const kept = (key: string) => (Array.isArray(file[key]) ? (file[key] as unknown[]) : []);
  const older = caresOfOlder(file, kept('ties').map(valuesOf), today);
  const list = (key: string) => (key === 'cares' && older.length > 0 ? older : kept(key));
  return [
    { of: 'studio', line: 1, values: valuesOf(file['studio']) },
    ...kindCodes.flatMap((kind) => list(kind).map((record, i): Proposal => ({ of: kind, line: i + 1, values: valuesOf(record) }))),
    ...list('fittings').map((fitting, i): Proposal => ({ of: 'fitting', line: i + 1, values: valuesOf(fitting) })),
  ];
}

function valuesOf(value: unknown): Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null ? (value as Readonly<Record<string, unknown>>) : {};
}
