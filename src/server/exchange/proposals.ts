import { csvSteps } from '../../contract/exchange/csv.ts';
import { type exchangeFiles, largestWholeBytes } from '../../contract/exchange/report.ts';
import { entriesInLines, entriesOf, isInLines, type StudioEntry, valuesOf } from '../../contract/exchange/studioFile.ts';
import { brokenInWords } from '../../contract/exchange/table.ts';
import { readVcards } from '../../contract/exchange/vcard.ts';
import { isKind } from '../../contract/records/kindWords.ts';
import type { Kind } from '../../contract/records/records.ts';
import type { Spool } from '../http/spool.ts';
import { inSteps } from './inSteps.ts';
import { caresOfOlder } from './olderFiles.ts';

/** What a file proposes to keep, not yet held against what is kept; `unread` where a line could not be read. */
export type Proposal =
  | { readonly of: Kind; readonly line: number; readonly values: Readonly<Record<string, unknown>>; readonly unread?: string }
  | { readonly of: 'studio' | 'fitting'; readonly line: number; readonly values: Readonly<Record<string, unknown>> };

/** A file that can’t be read, or not any further; says so in a sentence. */
export class UnreadableFile extends Error {}

/** Who is told what is wrong with a file as a whole, and what was passed over. */
interface Telling {
  readonly fault: (what: string) => void;
  readonly note: (what: string) => void;
}

/** Everything a file proposes, one after the other, in steps, so that others are answered meanwhile. */
export async function* proposalsIn(
  file: (typeof exchangeFiles)[keyof typeof exchangeFiles],
  sent: Spool,
  today: string,
  { fault, note }: Telling,
): AsyncGenerator<Proposal> {
  switch (file.format) {
    case 'csv': {
      const { rows, broken, faults, notes } = await inSteps(csvSteps(file.kind, await sent.text(largestWholeBytes)));
      for (const each of faults) fault(each);
      for (const each of notes) note(each);
      const proposals: readonly Proposal[] = [
        ...rows.map(({ line, values }) => ({ of: file.kind, line, values })),
        ...broken.map(({ line }) => ({ of: file.kind, line, values: {}, unread: brokenInWords })),
      ];
      yield* proposals.toSorted((a, b) => a.line - b.line);
      return;
    }
    case 'vcard':
      for (const { line, id, contact } of readably(await sent.text(largestWholeBytes), readVcards))
        yield { of: 'clients', line, values: { ...contact, id: id ?? '' } };
      return;
    case 'json':
      yield* inStudioFile(await entries(sent), today);
  }
}

/** One that is not laid out as ours are, by another program say, is read whole. */
async function entries(sent: Spool): Promise<AsyncIterable<StudioEntry> | Iterable<StudioEntry>> {
  if (isInLines(await sent.beginning())) return entriesInLines(sent.lines());
  return entriesOf(await sent.text(largestWholeBytes));
}

function readably<T>(text: string, read: (text: string) => T): T {
  try {
    return read(text);
  } catch (error) {
    throw new UnreadableFile(error instanceof Error ? error.message : 'The file can’t be read.');
  }
}

/** Records of each list as they come; what older files say of a tie’s status stands for care notes, unless they have some. */
async function* inStudioFile(entriesIn: AsyncIterable<StudioEntry> | Iterable<StudioEntry>, today: string): AsyncGenerator<Proposal> {
  const ofOlder: Proposal[] = [];
  let hasCares = false;
  const iterator = readablyAll(entriesIn);
  for await (const { key, value, at } of iterator) {
    const values = valuesOf(value);
    if (key === 'cares') hasCares = true;
    if (key === 'ties') ofOlder.push(...caresOfOlder([values], today).map((care) => ({ of: 'cares' as const, line: at, values: care })));
    // Whatever comes after the ties may speak of them as they stand.
    if (key === 'fittings' && !hasCares) yield* ofOlder.splice(0);
    if (key === 'studio') yield { of: 'studio', line: at, values };
    else if (key === 'fittings') yield { of: 'fitting', line: at, values };
    else if (isKind(key)) yield { of: key, line: at, values };
  }
  if (!hasCares) yield* ofOlder;
}

async function* readablyAll(entriesIn: AsyncIterable<StudioEntry> | Iterable<StudioEntry>): AsyncGenerator<StudioEntry> {
  try {
    yield* entriesIn;
  } catch (error) {
    // What reads files speaks in sentences; whatever else goes wrong is no matter of the file.
    if (error instanceof Error && error.constructor === Error) throw new UnreadableFile(error.message);
    throw error;
  }
}
