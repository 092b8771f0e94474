import type { QueryClient } from '@tanstack/react-query';
import { lineIs } from './line.ts';

type Tell = (tables: readonly string[]) => void;
const told = new Set<Tell>();
let source: EventSource | undefined;

/** One line for all that stands on a page, and none while nobody looks: a browser has few for one server. */
function listen(): void {
  const isWanted = told.size > 0 && document.visibilityState === 'visible';
  if (isWanted && !source) {
    const opened = new EventSource('/api/changes');
    source = opened;
    opened.onopen = () => lineIs('up');
    opened.onerror = () => {
      lineIs('down');
      // Refused, it does not try again by itself.
      if (opened.readyState === EventSource.CLOSED) setTimeout(() => again(opened), againMs);
    };
    source.onmessage = ({ data }: MessageEvent<string>) => {
      for (const tell of told) tell(data.split(' '));
    };
  } else if (!isWanted) {
    source?.close();
    source = undefined;
  }
}

const againMs = 5000;

function again(closed: EventSource): void {
  if (source !== closed) return;
  source = undefined;
  listen();
}

/**
 * Asks again for lists and wardrobes that were changed elsewhere, by another page or another person. A record that stands in a
 * form is left to whoever is changing it: a clash is told when it is saved.
 */
export function followChanges(queries: QueryClient): () => void {
  const tell: Tell = (tables) =>
    void queries.invalidateQueries({
      predicate: ({ queryKey: [first, second] }) =>
        second !== 'one' && (tables.includes('*') || tables.includes(String(first)) || derived.has(String(first))),
    });
  // Away from the page, something may have been missed.
  const turned = () => {
    if (document.visibilityState === 'visible' && !source) tell(['*']);
    listen();
  };
  told.add(tell);
  document.addEventListener('visibilitychange', turned);
  listen();
  return () => {
    told.delete(tell);
    document.removeEventListener('visibilitychange', turned);
    listen();
  };
}

/** What is put together from several kinds of record. */
const derived: ReadonlySet<string> = new Set(['wardrobe', 'practice', 'fit-book']);
