import type { SeenCloth, SeenStrand } from '../mesh/compact.ts';
import { liesAtNeck } from './atNeck.ts';

/** Before it is slid up a drawn-up knot hangs so far below the collar button, and off the shirt, mm. */
const downMm = 38;
const offMm = 22;

/** A knot that is not slid up yet: `share` is 1 where it hangs, 0 where it belongs. Its arms reach down to it. */
export function lowered(cloth: SeenCloth, share: number): SeenCloth {
  if (share === 0) return cloth;
  return {
    ...cloth,
    active: loweredStrand(cloth.active, cloth.columns, share),
    standing: loweredStrand(cloth.standing, cloth.columns, share),
  };
}

function loweredStrand(strand: SeenStrand, columns: number, share: number): SeenStrand {
  const { parts, rows, rest } = strand;
  const entersAt = parts.lastIndexOf('arm') + 1;
  const position = strand.position.slice();
  // Of the loop only what lies in front of the neck's sides follows, the more the nearer it is to the knot.
  let before = 0;
  const along = Array.from({ length: rows }, (_, row) => {
    if (row > 0 && row <= entersAt) before += rest[row - 1] ?? 0;
    return before;
  });
  const past = pastKnot(strand, columns);
  for (let row = 0; row < rows; row++) {
    const away = row < entersAt ? before - (along[row] ?? 0) : (past?.[row] ?? 0);
    const t = Math.max(0, 1 - away / armMm);
    const follows = share * t * t * (3 - 2 * t);
    for (let i = 3 * row * columns; i < 3 * (row + 1) * columns; i += 3) {
      position[i + 1] = (position[i + 1] ?? 0) - follows * downMm;
      position[i + 2] = (position[i + 2] ?? 0) + follows * offMm;
    }
  }
  return { ...strand, position };
}

/** How far past the knot each row of an end is that lies hidden at the neck, mm: it follows as an arm does. `undefined` where the end hangs. */
function pastKnot({ parts, rows, rest, position }: SeenStrand, columns: number): Float64Array | undefined {
  const hangs = parts.indexOf('hang');
  const tip = position[3 * ((rows - 1) * columns + Math.floor(columns / 2)) + 2] ?? 0;
  if (hangs < 0 || !liesAtNeck(tip)) return undefined;
  const past = new Float64Array(rows);
  for (let row = hangs + 1; row < rows; row++) past[row] = (past[row - 1] ?? 0) + (rest[row - 1] ?? 0);
  return past;
}

/** From the knot to the neck's side along an arm, about, mm. */
const armMm = 95;
