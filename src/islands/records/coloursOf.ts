import type { Kind, RecordOf } from '../../contract/records/records.ts';

/** The colours a record's swatch shows; `undefined` for what has none by its kind. */
export function coloursOf(record: RecordOf[Kind]): readonly string[] | undefined {
  if ('colours' in record) return record.colours;
  if (!('colour' in record)) return undefined;
  return record.colour === null ? [] : [record.colour];
}
