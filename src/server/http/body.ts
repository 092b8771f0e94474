import { Problem } from './problem.ts';

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

/** Reads a body, without reading one through that is larger than `most` bytes. */
export async function bytesUnderLimit(request: Request, most: number): Promise<Uint8Array> {
  const tooLarge = new Problem(413, 'too-large', `The request is larger than ${most / 1024} kB.`);
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLarge;
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  if (request.body) {
    for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
      bytes += chunk.byteLength;
      if (bytes > most) throw tooLarge;
      chunks.push(chunk);
    }
  }
  return Buffer.concat(chunks);
}

/** A body as the endpoint takes it: parsed JSON, or text (UTF-8). Refuses any other type, which a foreign page could send unasked. */
export function contentOf(content: Content, request: Request, bytes: Uint8Array): unknown {
  const { pattern, code, message } = types[content];
  if (!pattern.test(request.headers.get('content-type') ?? '')) throw new Problem(415, code, message);
  const text = new TextDecoder().decode(bytes);
  if (content === 'file') return text;
  if (text.trim() === '') throw new Problem(400, 'empty-body', 'The request is empty.');
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Problem(400, 'bad-json', 'The request is not complete JSON: it may have been cut off.');
  }
}
