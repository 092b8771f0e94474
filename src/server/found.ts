import type { Queryable } from './database.ts';

/** As many words as anyone looks for at once: each is looked for in every row that has those before. */
const mostWords = 12;

/** Narrows a statement’s rows to those in whose lower-case text every word is found: `and …`, or nothing where nothing is looked for. */
export function foundBy(sql: Queryable, text: ReturnType<Queryable>, find: string) {
  const words = new Set(find.toLowerCase().split(/\s+/).filter(Boolean));
  return [...words]
    .slice(0, mostWords)
    .map((word) => `%${word.replace(/[\\%_]/g, '\\$&')}%`)
    .reduce((narrowed, pattern) => sql`${narrowed} and ${text} like ${pattern}`, sql``);
}

/**
 * So many rows from a place on: `limit …`. Written out: handed over apart, the numbers are not known where the way through the rows
 * is chosen, and a page is got by sorting all of them instead of by an index.
 */
export function portionOf(sql: Queryable, most: number, from: number) {
  return sql.unsafe(`limit ${Math.trunc(most)}${from > 0 ? ` offset ${Math.trunc(from)}` : ''}`);
}
