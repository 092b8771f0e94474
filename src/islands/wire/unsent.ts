import { ask, Refusal } from './http.ts';

/** Something to be kept on record that the server has not answered yet. */
export interface Unsent {
  /** The same for the same thing: sent again it takes its own place. */
  readonly key: string;
  readonly path: string;
  readonly method: 'POST' | 'PUT';
  readonly body: unknown;
  /** What it is, as it is told to whoever entered it. */
  readonly what: string;
  /** Where it can be looked at and put right. */
  readonly page: string;
  /** What must be kept before it, by its key. */
  readonly after?: string;
  /** What stood in the form it was entered in, so that it can be put back there. */
  readonly draft?: object;
}

export interface HeldUnsent extends Unsent {
  /** When it was entered first, ms since 1970. */
  readonly at: number;
  /** Why the server would not take it; nothing is sent again that was refused. */
  readonly refused?: string;
}

const prefix = 'ropewalk.unsent.';
const heard = new Set<() => void>();
let seen: readonly HeldUnsent[] | undefined;

/** What waits on this device, in the order it was entered; the same list until something changes. */
export function allUnsent(): readonly HeldUnsent[] {
  if (seen) return seen;
  const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter((key) => key.startsWith(prefix));
  seen = keys.flatMap((key) => read(localStorage.getItem(key))).sort((a, b) => a.at - b.at);
  return seen;
}

export function followUnsent(tell: () => void): () => void {
  const elsewhere = ({ key }: StorageEvent) => {
    if (key === null || key.startsWith(prefix)) changed();
  };
  heard.add(tell);
  window.addEventListener('storage', elsewhere);
  return () => {
    heard.delete(tell);
    window.removeEventListener('storage', elsewhere);
  };
}

/** Keeps it on this device until it is sent; entered before, it keeps its turn. */
export function holdUnsent(unsent: Unsent): void {
  const earlier = allUnsent().find(({ key }) => key === unsent.key);
  write({ ...unsent, at: earlier?.at ?? Math.max(Date.now(), (allUnsent().at(-1)?.at ?? 0) + 1) });
}

/** It is answered, or no longer to be sent. */
export function dropUnsent(key: string): void {
  localStorage.removeItem(prefix + key);
  held.get(key)?.();
  changed();
}

/** It is given up, and with it what waits behind it: that would have nothing to belong to. */
export function giveUpUnsent(given: string): void {
  for (const { key, after } of allUnsent()) if (key === given || after === given) dropUnsent(key);
}

/**
 * Asks the server to keep something, and keeps it here until there is an answer: where this page goes away before, the next one sends
 * it. While the server is out of reach whoever asked goes on asking. What is to go `along`, once this is kept, waits behind it, and
 * goes with it where it is refused. Throws as {@link ask} does.
 */
export async function askSurely<T>(unsent: Unsent, along: readonly Unsent[] = []): Promise<T> {
  holdUnsent(unsent);
  for (const next of along) holdUnsent({ ...next, after: unsent.key });
  await claim(unsent.key);
  try {
    return await answered<T>(unsent);
  } catch (error) {
    if (error instanceof Refusal) giveUpUnsent(unsent.key);
    throw error;
  }
}

/** Sends what pages that are gone have left, in turn; tells what was kept. Stops at an outage. */
export async function sendLeft(): Promise<readonly HeldUnsent[]> {
  const kept: HeldUnsent[] = [];
  const waiting = allUnsent().filter(({ refused }) => refused === undefined);
  for (const unsent of waiting.toSorted((a, b) => Number(a.after !== undefined) - Number(b.after !== undefined))) {
    if (allUnsent().some(({ key }) => key === unsent.after)) continue;
    try {
      if (await ifNobodyElse(unsent.key, () => answered(unsent))) kept.push(unsent);
    } catch (error) {
      if (!(error instanceof Refusal)) return kept;
      write({ ...unsent, refused: error.message });
    }
  }
  return kept;
}

async function answered<T>({ key, path, method, body }: Unsent): Promise<T> {
  const answer = await ask<T>(path, { method, body });
  dropUnsent(key);
  return answer;
}

/** The pages of one browser agree by locks whose turn it is; a lock is gone with its page. */
const lockOf = (key: string) => prefix + key;
const held = new Map<string, () => void>();

/** Whether this page waits for the answer itself, and tells of it where it was entered. */
export const isOwn = (key: string): boolean => held.has(key);

async function claim(key: string): Promise<void> {
  if (held.has(key)) return;
  if (!navigator.locks) {
    held.set(key, () => held.delete(key));
    changed();
    return;
  }
  await new Promise<void>((claimed) => {
    void navigator.locks.request(
      lockOf(key),
      () =>
        new Promise<void>((resolve) => {
          held.set(key, () => {
            held.delete(key);
            resolve();
          });
          claimed();
          changed();
        }),
    );
  });
}

/** Whether it was this page’s turn. Without locks two pages may send one thing: the server keeps it once. */
async function ifNobodyElse(key: string, send: () => Promise<unknown>): Promise<boolean> {
  if (held.has(key)) return false;
  if (!navigator.locks) {
    await send();
    return true;
  }
  return navigator.locks.request(lockOf(key), { ifAvailable: true }, async (lock) => {
    if (!lock) return false;
    await send();
    return true;
  });
}

function write(unsent: HeldUnsent): void {
  try {
    localStorage.setItem(prefix + unsent.key, JSON.stringify(unsent));
  } catch {
    // The device is full: it is sent all the same, and stands on its page until it is.
  }
  changed();
}

function read(text: string | null): HeldUnsent[] {
  try {
    const unsent = JSON.parse(text ?? 'null') as Partial<HeldUnsent> | null;
    const isWhole = unsent && [unsent.key, unsent.path, unsent.what, unsent.page].every((each) => typeof each === 'string');
    return isWhole && typeof unsent.at === 'number' && (unsent.method === 'POST' || unsent.method === 'PUT') ? [unsent as HeldUnsent] : [];
  } catch {
    return [];
  }
}

function changed(): void {
  seen = undefined;
  for (const tell of heard) tell();
}
