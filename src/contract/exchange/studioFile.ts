import type { Fitting } from '../fitting.ts';
import type { Kind, RecordOf, StudioRecord } from '../records/records.ts';

/** Tells our own files from others, and later shapes from this one. */
export const studioFormat = { format: 'ropewalk-studio', formatVersion: 1 } as const;

/** Everything a studio keeps, in one file. Counts of changes stay behind: they mean nothing elsewhere. */
export type StudioFile = typeof studioFormat & { readonly studio: StudioRecord } & {
  readonly [K in Kind]: readonly Omit<RecordOf[K], 'version'>[];
} & { readonly fittings: readonly Fitting[] };

/** Reads a studio's file as far as its outermost shape. Throws a sentence for anything else. */
export function readStudioFile(text: string): Readonly<Record<string, unknown>> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new Error('The file is not complete: it may have been cut off.');
  }
  const file = (typeof parsed === 'object' && parsed !== null ? parsed : {}) as Readonly<Record<string, unknown>>;
  if (file['format'] !== studioFormat.format) throw new Error('The file is not a studio saved by Ropewalk.');
  if (file['formatVersion'] !== studioFormat.formatVersion) throw new Error('The file was saved by a later Ropewalk than this one.');
  return file;
}
