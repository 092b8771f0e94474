import { plainJson } from '../../contract/plainJson.ts';
import { Problem } from './problem.ts';
import { spooled, tooLarge } from './spool.ts';

/** What an endpoint can take: JSON, or a file as it is. */
export type Content = 'json' | 'file';

const types: Readonly<Record<Content, { readonly pattern: RegExp; readonly code: string; readonly message: string }>> = {
  json: {
    pattern: /^application\/(json|[\w.-]+\+json)\b/i,
    code: 'not-json',
    message: 'Send JSON, with the content type application/json.',
  },
  file: {
    pattern: /^application\/octet-stream\b/i,
    code: 'not-a-file',
    message: 'Send the file as it is, with the content type application/octet-stream.',
  },
};

/** The one content type that an endpoint takes, and how much of it. */
export interface Takes {
  readonly content: Content;
  readonly mostBytes?: number;
}

/** What the headers of a request say of its body. */
export interface Declared {
  readonly type: string | null | undefined;
  readonly length: string | null | undefined;
}

/** Far more than any request of ours needs. */
const usualMostBytes = 256 * 1024;

/**
 * Takes JSON in as it comes, whoever carries it, and refuses it, without reading it through, as soon as it is too
 * large. `whole` is what it says.
 */
export function bodyTaker({ type, length }: Declared, { mostBytes = usualMostBytes }: Pick<Takes, 'mostBytes'> = {}) {
  if (Number(length ?? 0) > mostBytes) throw tooLarge(mostBytes);
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  return {
    add(chunk: Uint8Array): void {
      bytes += chunk.byteLength;
      if (bytes > mostBytes) throw tooLarge(mostBytes);
      chunks.push(chunk);
    },
    whole: (): unknown => inJson(type, Buffer.concat(chunks)),
  };
}

/** The same, of a request as the pages’ framework hands it over; a file comes as a `Spool`, which whoever asked closes. */
export async function bodyOf({ headers, body }: Request, takes: Takes): Promise<unknown> {
  const declared = { type: headers.get('content-type'), length: headers.get('content-length') };
  const chunks = (body ?? []) as unknown as AsyncIterable<Uint8Array>;
  if (takes.content === 'file') {
    refuseOtherType('file', declared.type);
    return spooled(noMoreThan(takes.mostBytes ?? usualMostBytes, Number(declared.length ?? 0), chunks));
  }
  const taker = bodyTaker(declared, takes);
  for await (const chunk of chunks) taker.add(chunk);
  return taker.whole();
}

async function* noMoreThan(most: number, declared: number, chunks: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  if (declared > most) throw tooLarge(most);
  let bytes = 0;
  for await (const chunk of chunks) {
    bytes += chunk.byteLength;
    if (bytes > most) throw tooLarge(most);
    yield chunk;
  }
}

/** A type that a foreign page could send unasked is none that is taken. */
function refuseOtherType(content: Content, type: string | null | undefined): void {
  const { pattern, code, message } = types[content];
  if (!pattern.test(type ?? '')) throw new Problem(415, code, message);
}

function inJson(type: string | null | undefined, bytes: Uint8Array): unknown {
  refuseOtherType('json', type);
  const text = inUtf8(bytes);
  if (text.trim() === '') throw new Problem(400, 'empty-body', 'The request is empty.');
  try {
    return plainJson(text);
  } catch {
    throw new Problem(400, 'bad-json', 'The request is not complete JSON: it may have been cut off.');
  }
}

/** Strictly: a character that is lost on the way in is lost for good. */
function inUtf8(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new Problem(400, 'not-utf8', 'The text is not in UTF-8. Save the file as UTF-8 and send it again.');
  }
}
