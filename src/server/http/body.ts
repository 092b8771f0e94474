import { Problem } from './problem.ts';

/** Far more than any request of ours needs. */
const mostBytes = 256 * 1024;

/** Reads a JSON body. Refuses other types, oversized bodies (without reading them through) and broken JSON. */
export async function readJson(request: Request, most = mostBytes): Promise<unknown> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/(json|[\w.-]+\+json)\b/i.test(type)) {
    throw new Problem(415, 'not-json', 'Send JSON, with the content type application/json.');
  }
  const text = await readText(request, most);
  if (text.trim() === '') throw new Problem(400, 'empty-body', 'The request is empty.');
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Problem(400, 'bad-json', 'The request is not complete JSON: it may have been cut off on the way.');
  }
}

/** Reads a body as text (UTF-8), without reading one through that is larger than `most` bytes. */
export async function readText(request: Request, most: number): Promise<string> {
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
  return new TextDecoder().decode(Buffer.concat(chunks));
}
