import type { Knot } from '../knot/knot.ts';
import type { Tie } from '../tie/tie.ts';
import { widthAt } from '../tie/width.ts';
import type { Part } from './loosePath.ts';
import type { ClothMesh, Strand } from './mesh.ts';

/**
 * Share of its own width at which the cloth lies folded in each part: imposed, as hands fold it, and
 * not predicted.
 */
const folds: Readonly<Record<Part, number>> = { arm: 0.75, turn: 0.6, throat: 0.5, band: 0.9, top: 0.5, tuck: 0.62, hang: 1 };
const foldOfStanding = 0.5;
/** Rows over which one fold goes over into the next, as a share of all rows. */
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

/** Fold at each row, going over smoothly from part to part. */
export function foldingOf({ active, standing }: ClothMesh, rowMm: number): Folding {
  const reach = Math.max(1, Math.round(blendMm / rowMm / 2));
  const smooth = (strand: Strand, of: (part: Part) => number) =>
    Float64Array.from(strand.parts, (_, row) => {
      let sum = 0;
      let count = 0;
      for (let k = Math.max(0, row - reach); k <= Math.min(strand.rows - 1, row + reach); k++) {
        sum += of(strand.parts[k] ?? 'hang');
        count++;
      }
      return sum / count;
    });
  return {
    active: smooth(active, (part) => folds[part]),
    standing: smooth(standing, (part) => (part === 'arm' ? folds.arm : foldOfStanding)),
  };
}

/**
 * Sets each row's width to the tie's own at the cloth that is there. `tie` is counted from the tip of the
 * end that ties. While the winding is still loose it holds more cloth than the knot will: its rows then take their
 * places in shares of `knotMm`, so that the hanging end is as wide from the start as it will be.
 */
export function setWidths({ active, standing }: ClothMesh, tie: Tie, placing: Placing, folding: Folding): void {
  let loose = 0;
  for (let row = 0; row < active.rows - 1; row++) if (isInKnot(active.parts[row])) loose += active.rest[row] as number;
  const share = Math.min(1, placing.knotMm / loose);
  let at = placing.activeFromMm;
  for (let row = 0; row < active.rows; row++) {
    active.width[row] = Math.max(narrowestMm, widthAt(tie, at) * (folding.active[row] as number));
    at -= (active.rest[row] ?? 0) * (isInKnot(active.parts[row]) ? share : 1);
  }
  at = placing.standingFromMm;
  for (let row = 0; row < standing.rows; row++) {
    standing.width[row] = Math.max(narrowestMm, widthAt(tie, at) * (folding.standing[row] as number));
    at += standing.rest[row] ?? 0;
  }
}

function isInKnot(part: Part | undefined): boolean {
  return part !== 'arm' && part !== 'hang';
}

const narrowestMm = 8;

/** Whether a knot has a dimple to lay: only a blade that comes out of a tuck has. */
export function canDimple({ active, finish }: Knot): boolean {
  return active === 'blade' && finish === 'tuck';
}
