import { inTransaction, type Queryable } from '../database.ts';

/**
 * Text in pieces, all of it from one moment, as a stream that reads on as fast as it is taken. Settles once the first piece is
 * there, so that what can’t be read at all is refused; what fails later breaks the stream off.
 */
export function streamedFromOneMoment(
  sql: Queryable,
  pieces: (moment: Queryable) => AsyncIterable<string>,
): Promise<ReadableStream<Uint8Array>> {
  const { readable, writable } = new TextEncoderStream();
  const writer = writable.getWriter();
  return new Promise((resolve, reject) => {
    const written = inTransaction(sql, async (moment) => {
      await moment`set transaction isolation level repeatable read, read only`;
      for await (const piece of pieces(moment)) {
        resolve(readable);
        await writer.write(piece);
      }
    });
    written
      .then(
        () => writer.close(),
        (error: unknown) => {
          reject(error);
          return writer.abort(error);
        },
      )
      .catch(() => undefined);
  });
}
