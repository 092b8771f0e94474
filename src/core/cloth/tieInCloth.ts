import { crossings } from './crossings.ts';
import type { ClothMesh } from './mesh.ts';
import { type Setting, Simulation, type TyingRequest, usualSetting } from './simulate.ts';
import { knotPrint, sameKnot } from './topology.ts';

/** What became of a knot tied in cloth. */
export type Tied =
  | {
      readonly kind: 'tied';
      readonly mesh: ClothMesh;
      readonly attempt: number;
      /** How far it was drawn up before layers pressed through each other: 1 where they never did. */
      readonly drawnUp: number;
    }
  /** Every attempt came out as another knot, or with cloth through cloth: there is nothing honest to show. */
  | { readonly kind: 'refused'; readonly why: 'another-knot' | 'through-itself' }
  | { readonly kind: 'stopped' };

export interface Watching {
  /** 0 to 1 within an attempt. Called between steps, a few dozen times. */
  readonly onProgress?: (share: number, attempt: number) => void;
  readonly shouldStop?: () => boolean;
}

/** From the usual way to gentler and finer ones; and another start, a hair off, before the slowest. */
const attempts: readonly ((setting: Setting) => { readonly setting: Setting; readonly seedBy: number })[] = [
  (setting) => ({ setting, seedBy: 0 }),
  (setting) => ({ setting: { ...setting, mostTension: 0.75 * setting.mostTension, steps: Math.round(1.25 * setting.steps) }, seedBy: 1 }),
  (setting) => ({ setting: { ...setting, mostTension: 0.5 * setting.mostTension, steps: Math.round(1.6 * setting.steps) }, seedBy: 2 }),
  ({ grid, ...setting }) => ({
    setting: { ...setting, grid: { rowMm: 0.85 * grid.rowMm, columns: grid.columns + 2 }, steps: Math.round(1.6 * setting.steps) },
    seedBy: 3,
  }),
];

const stepsBetween = 40;
/** From here on a knot is tight enough to be shown, where it comes out clean. */
const worthKeepingFrom = 0.6;
const cleanMm = 0.4;

/**
 * Ties a knot in cloth and checks it: the invariants of its centreline are those it started with, and no
 * cloth goes through other cloth. Where that fails at the end, the tightest state before that is clean
 * is taken; where there is none it is tried again more gently, and in the end refused.
 */
export function tieInCloth(request: TyingRequest, setting: Setting = usualSetting, { onProgress, shouldStop }: Watching = {}): Tied {
  let why: 'another-knot' | 'through-itself' = 'another-knot';
  for (const [attempt, of] of attempts.entries()) {
    const { setting: tried, seedBy } = of(setting);
    const simulation = new Simulation({ ...request, seed: request.seed + seedBy }, tried);
    const { mesh } = simulation;
    const print = knotPrint(mesh);
    const states: State[] = [];
    while (!simulation.isTied) {
      if (shouldStop?.()) return { kind: 'stopped' };
      simulation.run(stepsBetween);
      onProgress?.(simulation.progress, attempt);
      if (simulation.progress >= worthKeepingFrom && simulation.deepestMm < cleanMm) states.push(stateOf(simulation));
    }
    for (const state of states.toReversed()) {
      restore(mesh, state);
      const same = sameKnot(print, knotPrint(mesh));
      if (same && crossings(mesh) === 0) return { kind: 'tied', mesh, attempt, drawnUp: state.progress };
      why = same ? 'through-itself' : 'another-knot';
    }
  }
  return { kind: 'refused', why };
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
