import { randomUUID } from 'node:crypto';
import { open, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Problem } from './problem.ts';

/** A file that was sent, put down on disk as it came: however large, it is not held in memory. Gone once it is closed. */
export interface Spool {
  readonly bytes: number;
  /** All of it as text. Refuses what is larger than `mostBytes`. */
  readonly text: (mostBytes: number) => Promise<string>;
  /** Its lines, one after the other, without their ends. */
  readonly lines: () => AsyncGenerator<string>;
  /** How it begins. */
  readonly beginning: () => Promise<string>;
  readonly close: () => Promise<void>;
}

const beginningBytes = 256;
const chunkBytes = 256 * 1024;
/** Far longer than any line of ours. */
const longestLine = 8 * 1024 * 1024;

export async function spooled(chunks: AsyncIterable<Uint8Array>): Promise<Spool> {
  const path = join(tmpdir(), `ropewalk-${randomUUID()}.part`);
  const file = await open(path, 'wx+', 0o600);
  // Without a name it goes by itself when this process ends, however that comes about.
  await rm(path);
  let bytes = 0;
  try {
    for await (const chunk of chunks) {
      await file.write(chunk, 0, chunk.byteLength, bytes);
      bytes += chunk.byteLength;
    }
  } catch (error) {
    await file.close();
    throw error;
  }
  async function* decoded(): AsyncGenerator<string> {
    // Strictly: a character that is lost on the way in is lost for good.
    const decoder = new TextDecoder('utf-8', { fatal: true });
    const buffer = Buffer.alloc(chunkBytes);
    try {
      for (let at = 0; at < bytes; ) {
        const { bytesRead } = await file.read(buffer, 0, chunkBytes, at);
        if (bytesRead === 0) break;
        at += bytesRead;
        yield decoder.decode(buffer.subarray(0, bytesRead), { stream: true });
      }
      yield decoder.decode();
    } catch (error) {
      if (error instanceof TypeError)
        throw new Problem(400, 'not-utf8', 'The text is not in UTF-8. Save the file as UTF-8 and send it again.');
      throw error;
    }
  }
  return {
    bytes,
    text: async (mostBytes) => {
      if (bytes > mostBytes) throw tooLarge(mostBytes);
      let text = '';
      for await (const piece of decoded()) text += piece;
      return text;
    },
    lines: async function* () {
      let rest = '';
      for await (const piece of decoded()) {
        const lines = (rest + piece).split('\n');
        rest = lines.pop() ?? '';
        if (rest.length > longestLine) throw tooLarge(longestLine);
        yield* lines;
      }
      if (rest !== '') yield rest;
    },
    beginning: async () => {
      const { buffer, bytesRead } = await file.read(Buffer.alloc(beginningBytes), 0, beginningBytes, 0);
      return buffer.subarray(0, bytesRead).toString();
    },
    close: () => file.close(),
  };
}

export function tooLarge(most: number): Problem {
  const size = most >= 1024 * 1024 ? `${most / 1024 / 1024} MB` : `${most / 1024} kB`;
  return new Problem(413, 'too-large', `What was sent is larger than ${size}.`);
}
