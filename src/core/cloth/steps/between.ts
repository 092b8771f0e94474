import type { SeenCloth, SeenStrand } from '../mesh/compact.ts';

/** Two frames of the same rows, mixed: `share` is 0 at the first. Cloth goes straight from where it is to where it will be. */
export function between(from: SeenCloth, to: SeenCloth, share: number): SeenCloth {
  if (share === 0 || !sameRows(from, to)) return from;
  if (share === 1) return to;
  return { ...to, active: mixed(from.active, to.active, share), standing: mixed(from.standing, to.standing, share) };
}

function sameRows(a: SeenCloth, b: SeenCloth): boolean {
  return a.columns === b.columns && a.active.rows === b.active.rows && a.standing.rows === b.standing.rows;
}

function mixed(from: SeenStrand, to: SeenStrand, share: number): SeenStrand {
  const mix = (a: Float64Array, b: Float64Array) => b.map((value, i) => (a[i] ?? 0) + share * (value - (a[i] ?? 0)));
  return { ...to, rest: mix(from.rest, to.rest), position: mix(from.position, to.position) };
}
