/** Where knots tied on this device are kept. */
const shelf = 'tied-in-cloth';
/** No more than this many; the oldest go first. */
const most = 200;

/** What was tied before for the same question by the same code, told by its hash; `undefined` where nothing was, or where the browser keeps nothing. */
export async function keptTied(question: string, source: string = __CLOTH_SOURCE__): Promise<Uint8Array | undefined> {
  if (typeof caches === 'undefined') return undefined;
  const kept = await (await caches.open(shelf)).match(await placeOf(question, source));
  return kept && new Uint8Array(await kept.arrayBuffer());
}

export async function keepTied(question: string, bytes: Uint8Array, source: string = __CLOTH_SOURCE__): Promise<void> {
  if (typeof caches === 'undefined') return;
  const cache = await caches.open(shelf);
  const keys = await cache.keys();
  await Promise.all(keys.slice(0, Math.max(0, keys.length - most + 1)).map((key) => cache.delete(key)));
  await cache.put(await placeOf(question, source), new Response(bytes.slice()));
}

/** A place by content: the question and the code that answered it. */
async function placeOf(question: string, source: string): Promise<string> {
  const text = new TextEncoder().encode(`${source} ${question}`);
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', text));
  return `/cloth/tied/${[...digest.slice(0, 16)].map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
}
