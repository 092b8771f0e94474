import type { Finish } from '../../knot/knot.ts';
import type { Tie } from '../../tie/tie.ts';
import { widthAt } from '../../tie/width.ts';
import type { Part } from '../mesh/loosePath.ts';
import type { ClothMesh, Strand } from '../mesh/mesh.ts';

/**
 * Share of its own width at which the cloth lies folded in each part: imposed, as hands fold it, and
 * not predicted.
 */
const folds: Readonly<Record<Part, number>> = { arm: 0.75, turn: 0.6, throat: 0.5, band: 0.85, top: 0.48, tuck: 0.42, hang: 1 };
const foldOfStanding = 0.5;
/** Cloth over which one fold goes over into the next, mm. */
const blendMm = 24;

/** Where the tie meets the knot: the cloth coordinate of the first row of each strand, from the tip of the end that ties, mm. */
export interface Placing {
  /** Of the working strand's outermost row, on its arm. */
  readonly activeFromMm: number;
  /** Of the standing strand's outermost row, on its arm. */
  readonly standingFromMm: number;
  /** The most cloth that the knot may hold once it is tied. */
  readonly knotMm: number;
}

export interface Folding {
  readonly active: Float64Array;
  readonly standing: Float64Array;
}

/** What hangs out of the knot spreads to its own width over so much cloth, mm. */
const spreadMm = 110;

/** Fold at each row, going over smoothly from part to part. */
export function foldingOf({ active, standing }: ClothMesh, finish: Finish): Folding {
  // What is hidden under the collar lies folded as the arm does that it lies on.
  const of = finish === 'collar' ? { ...folds, hang: folds.arm } : folds;
  return {
    active: spreading(
      active,
      blended(active, (part) => of[part]),
    ),
    standing: blended(standing, (part) => (part === 'arm' ? folds.arm : foldOfStanding)),
  };
}

/** Below a tuck the blade opens only by and by. */
function spreading({ parts, rows, rest }: Strand, fold: Float64Array): Float64Array {
  let below = 0;
  for (let row = parts.lastIndexOf('tuck') + 1; row > 0 && row < rows; row++) {
    below += rest[row - 1];
    const share = Math.min(1, below / spreadMm);
    fold[row] = Math.min(fold[row], folds.tuck + (1 - folds.tuck) * share * share * (3 - 2 * share));
  }
  return fold;
}

/** Each row's fold, averaged over the cloth about it. */
function blended({ rows, parts, rest }: Strand, of: (part: Part) => number): Float64Array {
  const fold = Float64Array.from(parts, of);
  const out = new Float64Array(rows);
  for (let row = 0; row < rows; row++) {
    let sum = fold[row];
    let weight = 1;
    for (const way of [-1, 1] as const) {
      let off = 0;
      for (let k = row + way; k >= 0 && k < rows; k += way) {
        off += rest[way === 1 ? k - 1 : k];
        if (off > blendMm / 2) break;
        sum += fold[k];
        weight++;
      }
    }
    out[row] = sum / weight;
  }
  return out;
}

/**
 * Sets each row's width to the tie's own at the cloth that is there. `tie` is counted from the tip of the
 * end that ties. While the winding is still loose it holds more cloth than the knot will: its rows then take their
 * places in shares of `knotMm`, so that the hanging end is as wide from the start as it will be.
 */
export function setWidths({ active, standing }: ClothMesh, tie: Tie, placing: Placing, folding: Folding): void {
  const share = Math.min(1, placing.knotMm / clothInKnot({ active }));
  let at = placing.activeFromMm;
  for (let row = 0; row < active.rows; row++) {
    active.width[row] = Math.max(narrowestMm, widthAt(tie, at) * folding.active[row]);
    at -= (active.rest[row] ?? 0) * (isInKnot(active.parts[row]) ? share : 1);
  }
  at = placing.standingFromMm;
  for (let row = 0; row < standing.rows; row++) {
    standing.width[row] = Math.max(narrowestMm, widthAt(tie, at) * folding.standing[row]);
    at += standing.rest[row] ?? 0;
  }
}

/** How much cloth of the working strand is between its arm and what hangs, mm. */
export function clothInKnot({ active }: Pick<ClothMesh, 'active'>): number {
  let mm = 0;
  for (let row = 0; row < active.rows - 1; row++) if (isInKnot(active.parts[row])) mm += active.rest[row];
  return mm;
}

export function isInKnot(part: Part | undefined): boolean {
  return part !== 'arm' && part !== 'hang';
}

const narrowestMm = 8;
