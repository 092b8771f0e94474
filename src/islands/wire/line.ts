const heard = new Set<() => void>();
let downSince: number | undefined;

/** What the last word from the server, or none, says of the way there. */
export function lineIs(state: 'up' | 'down'): void {
  const since = state === 'up' ? undefined : (downSince ?? Date.now());
  if (since === downSince) return;
  downSince = since;
  for (const tell of heard) tell();
}

/** Since when the server doesn’t answer, ms since 1970; `undefined` while it does. */
export const lineDownSince = (): number | undefined => downSince;

export function followLine(tell: () => void): () => void {
  heard.add(tell);
  return () => {
    heard.delete(tell);
  };
}
