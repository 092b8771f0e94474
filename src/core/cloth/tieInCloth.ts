import { crossings } from './check/crossings.ts';
import { knotPrint, sameKnot } from './check/topology.ts';
import { clothInKnot } from './forces/folds.ts';
import type { ClothMesh } from './mesh/mesh.ts';
import { type Setting, Simulation, type TyingRequest, usualSetting } from './simulate.ts';

/** What became of a knot tied in cloth. */
export type Tied =
  | {
      readonly kind: 'tied';
      readonly mesh: ClothMesh;
      readonly attempt: number;
      /** How far it was drawn up before layers pressed through each other: 1 where they never did. */
      readonly drawnUp: number;
    }
  /** Every attempt came out as another knot, with cloth through cloth, or never drew up: there is nothing honest to show. */
  | { readonly kind: 'refused'; readonly why: Fault }
  | { readonly kind: 'stopped' };

type Fault = 'another-knot' | 'through-itself' | 'never-drawn-up';

export interface Watching {
  /** 0 to 1 within an attempt. Called between steps, a few dozen times. */
  readonly onProgress?: (share: number, attempt: number) => void;
  /** The cloth as it lies at the same moments; the mesh goes on being moved. */
  readonly onState?: (mesh: ClothMesh, share: number, attempt: number) => void;
  readonly shouldStop?: () => boolean;
}

/** From the usual way, twice, to gentler, finer and coarser ones, each from a start a hair off. */
const attempts: readonly ((setting: Setting) => Setting)[] = [
  (setting) => setting,
  (setting) => setting,
  (setting) => ({ ...setting, pull: 0.6 * setting.pull, steps: Math.round(1.25 * setting.steps) }),
  ({ grid, ...setting }) => ({
    ...setting,
    grid: { ...grid, rowMm: 0.8 * grid.rowMm },
    pull: 0.6 * setting.pull,
    steps: Math.round(1.5 * setting.steps),
  }),
  ({ grid, ...setting }) => ({
    ...setting,
    grid: { ...grid, rowMm: 1.2 * grid.rowMm },
    pull: 0.6 * setting.pull,
    steps: Math.round(1.5 * setting.steps),
  }),
];

/** A knot that holds more cloth than so many times what the formulas give, and so much, has caught on itself on its way. */
const mostCloth = 1.6;
const mostClothMm = 100;
const stepsBetween = 40;
/** From here on a knot is tight enough to be shown, where it comes out clean; from there on no other attempt could do better. */
const worthKeepingFrom = 0.75;
const drawnUpFrom = 0.97;
const cleanMm = 2.4;

/**
 * Ties a knot in cloth and checks it: it is drawn up, the invariants of its centreline are those it started with, and no
 * cloth goes through other cloth. Where one of these fails at the end, the tightest state before that is clean
 * counts, but it is tried again more gently; the tightest of all attempts is taken, and where there is none it is refused.
 */
export function tieInCloth(
  request: TyingRequest,
  setting: Setting = usualSetting(request),
  { onProgress, onState, shouldStop }: Watching = {},
): Tied {
  let why: Fault = 'another-knot';
  let best: Extract<Tied, { kind: 'tied' }> | undefined;
  for (const [attempt, of] of attempts.entries()) {
    const simulation = new Simulation({ ...request, seed: request.seed + attempt }, of(setting));
    const print = knotPrint(simulation.mesh, request.knot);
    const states: State[] = [];
    while (!simulation.isTied) {
      if (shouldStop?.()) return { kind: 'stopped' };
      simulation.run(stepsBetween);
      onProgress?.(simulation.progress, attempt);
      onState?.(simulation.mesh, simulation.progress, attempt);
      if (simulation.progress >= worthKeepingFrom && simulation.deepestMm < cleanMm) states.push(stateOf(simulation));
    }
    const { mesh } = simulation;
    if (clothInKnot(mesh) > mostClothMm + mostCloth * simulation.takenUpMm) {
      why = 'never-drawn-up';
      continue;
    }
    for (const state of states.toReversed()) {
      if (best && state.progress <= best.drawnUp) break;
      restore(mesh, state);
      const same = sameKnot(print, knotPrint(mesh, request.knot));
      why = same ? 'through-itself' : 'another-knot';
      if (!same || crossings(mesh) > 0) continue;
      best = { kind: 'tied', mesh, attempt, drawnUp: state.progress };
      break;
    }
    if (best && best.drawnUp >= drawnUpFrom) break;
  }
  return best ?? { kind: 'refused', why };
}

interface State {
  readonly progress: number;
  readonly position: Float64Array;
  readonly rests: readonly [Float64Array, Float64Array];
}

function stateOf({ mesh, progress }: Simulation): State {
  return { progress, position: mesh.position.slice(), rests: [mesh.active.rest.slice(), mesh.standing.rest.slice()] };
}

function restore(mesh: ClothMesh, { position, rests }: State): void {
  mesh.position.set(position);
  mesh.active.rest.set(rests[0]);
  mesh.standing.rest.set(rests[1]);
}
