import type { SeenStrand } from '../cloth/mesh/compact.ts';

/** A strand cut off after so many rows. */
export function firstRows({ parts, rest, position }: SeenStrand, columns: number, rows: number): SeenStrand {
  return { rows, parts: parts.slice(0, rows), rest: rest.slice(0, rows - 1), position: position.slice(0, 3 * rows * columns) };
}
