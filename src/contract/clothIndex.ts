import type { ClothMeasures } from '../core/seen/measure.ts';
import type { Stance } from '../core/tying/stance.ts';

/** What is known of a ready mesh beside its bytes. */
export interface ReadyKnot {
  readonly bytes: number;
  readonly seconds: number;
  readonly attempt: number;
  /** How far it was drawn up before layers pressed through each other: 1 where they never did. */
  readonly drawnUp: number;
  readonly measures: ClothMeasures;
  /** How it stood when it was tied again on a finer grid and in more steps; classic knots only. */
  readonly finer?: readonly Stance[];
  /** Share of its face that each move shows from the front, the first move first. */
  readonly shown: readonly number[];
}

/** Where the small pictures stand in `atlas.png`: cells row by row in the order of `codes`, each as the wearer sees it. */
export interface ClothAtlas {
  readonly cellPx: readonly [width: number, height: number];
  readonly columns: number;
  readonly rows: number;
  readonly pxPerMm: number;
  /** From a cell's upper edge to that of the knot in its middle. */
  readonly topPx: number;
  readonly codes: readonly string[];
}

/** `index.json` beside the ready meshes. */
export interface ClothIndex {
  /** Hash of the code that tied them. */
  readonly source: string;
  readonly refused: Readonly<Record<string, string>>;
  readonly knots: Readonly<Record<string, ReadyKnot>>;
  readonly atlas: ClothAtlas;
}

/** What is known of a knot whose steps are ready, beside their bytes. */
export interface ReadySteps {
  readonly bytes: number;
  readonly seconds: number;
}

/** `index.json` beside the ready steps. */
export interface StepsIndex {
  /** Hash of the code that settled them. */
  readonly source: string;
  readonly knots: Readonly<Record<string, ReadySteps>>;
}
