import type { SeenCloth, SeenStrand } from '../mesh/compact.ts';

/**
 * A knot whose standing end is being drawn up and out of it, by a share from 0 to 1: that end is shorter by as much, and gone out
 * of the turns at 1; the turns lie as they lay, since nothing holds them yet falls while a hand goes slowly.
 */
export function drawnOut(cloth: SeenCloth, share: number): SeenCloth {
  const { standing, columns } = cloth;
  const arm = standing.parts.lastIndexOf('arm') + 1;
  const rows = Math.max(2, Math.round(standing.rows - share * (standing.rows - arm)));
  return { ...cloth, standing: firstRows(standing, columns, rows) };
}

function firstRows({ parts, rest, position }: SeenStrand, columns: number, rows: number): SeenStrand {
  return { rows, parts: parts.slice(0, rows), rest: rest.slice(0, rows - 1), position: position.slice(0, 3 * rows * columns) };
}
