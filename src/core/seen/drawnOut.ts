import type { SeenCloth } from '../cloth/mesh/compact.ts';
import { firstRows } from './firstRows.ts';

/**
 * A loosened knot whose standing end is drawn up and out of it, by a share from 0 to 1: so much of that end is gone, and at 1 only
 * its arm is left. The turns stay where they lay: slowly drawn, they do not move before nothing goes through them.
 */
export function drawnOut(cloth: SeenCloth, share: number): SeenCloth {
  const { standing, columns } = cloth;
  const arm = standing.parts.lastIndexOf('arm') + 1;
  const rows = Math.max(2, Math.round(standing.rows - share * (standing.rows - arm)));
  return { ...cloth, standing: firstRows(standing, columns, rows) };
}
