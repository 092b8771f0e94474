import type { Knot } from '../knot/knot.ts';
import type { Tie } from '../tie/tie.ts';
import { tieFrom } from '../tie/turned.ts';
import { compressedThickness } from '../tie/width.ts';
import { bundleOf } from '../tying/takeUp.ts';
import { windingOf } from '../tying/winding.ts';
import { keepOffBody, neckPin, shirtZMm } from './body.ts';
import { type ContactRule, Contacts } from './contact.ts';
import { activeStiffness, type Crease, measureNormals, standingStiffness, sweep } from './elastic.ts';
import { canDimple, type Folding, foldingOf, type Placing, setWidths } from './folds.ts';
import { creaseOf, type DimpleLaid, pressToShirt } from './hands.ts';
import { activePath, standingPath } from './loosePath.ts';
import { type ClothMesh, type Grid, layLoose } from './mesh.ts';
import { randomFrom } from './random.ts';
import { Tension, takeAway } from './tighten.ts';

export interface TyingRequest {
  readonly knot: Knot;
  readonly tie: Tie;
  /** Length around the neck and the standing tip below the button before the first move, mm. */
  readonly loopMm: number;
  readonly standingMm: number;
  readonly dimple: DimpleLaid;
  /** Starts that differ by their seed differ by a hair only. */
  readonly seed: number;
}

export interface Setting {
  readonly grid: Grid;
  readonly steps: number;
  readonly mostTension: number;
}

export const usualSetting: Setting = { grid: { rowMm: 8, columns: 9 }, steps: 1800, mostTension: 0.4 };

const looseWidthMm = 26;
const jitterMm = 0.4;
const damping = 0.9;
const mostAStepMm = 0.8;
const discMm = 4.5;
const ballMm = 3.2;
/** Folded cloth lies thicker than it is: this much of its compressed thickness keeps layers apart. */
const layersInFold = 1.2;
const passes = 3;
const pinnedRows = 2;
const hangEndYMm = -150;

/** A knot being tied in cloth, step by step: the same request and setting give the same mesh, bit for bit. */
export class Simulation {
  readonly mesh: ClothMesh;
  private done = 0;
  private readonly contacts: Contacts;
  private readonly tie: Tie;
  private readonly folding: Folding;
  private readonly placing: Placing;
  private readonly tension: Tension;
  private readonly crease: Crease | undefined;
  private readonly thicknessMm: number;
  private readonly least: Float64Array | undefined;
  private readonly loose: Float64Array;

  constructor(
    readonly request: TyingRequest,
    readonly setting: Setting = usualSetting,
  ) {
    const { knot, tie, loopMm, standingMm, dimple, seed } = request;
    const random = randomFrom(seed);
    const jitter = seed === 0 ? () => 0 : () => jitterMm * (random() - 0.5);
    this.mesh = layLoose([activePath(knot), standingPath(knot)], setting.grid, looseWidthMm, jitter);
    this.loose = this.mesh.position.slice();
    this.tie = tieFrom(knot.active, tie);
    this.folding = foldingOf(this.mesh, setting.grid.rowMm);
    const takenUp = bundleOf(windingOf(knot), this.tie, { loopMm, standingMm, crossingGapMm: 0 }).takeUpMm;
    const standingSideMm = tie.lengthMm - standingMm;
    this.placing = { activeFromMm: standingSideMm - loopMm + armMm, standingFromMm: standingSideMm - armMm, knotMm: 1.15 * takenUp + 40 };
    this.tension = new Tension(setting.mostTension);
    this.contacts = new Contacts(this.mesh);
    this.thicknessMm = layersInFold * compressedThickness(tie);
    this.crease = canDimple(knot) ? creaseOf(this.mesh, this.mesh.active, dimple, setting.grid.rowMm) : undefined;
    this.least = leastOf(knot, this.mesh);
  }

  /** 0 at the start to 1 when the knot is tied. */
  get progress(): number {
    return this.done / this.setting.steps;
  }

  get isTied(): boolean {
    return this.done >= this.setting.steps;
  }

  get tensionNow(): number {
    return this.tension.now;
  }

  /** Deepest that two layers were pressed into each other in the last step, mm. */
  get deepestMm(): number {
    return this.contacts.deepest;
  }

  get pairs(): number {
    return this.contacts.pairs;
  }

  /** Up to `steps` further steps; fewer where the knot is tied before. */
  run(steps: number): void {
    for (let i = 0; i < steps && !this.isTied; i++) this.step();
  }

  private step(): void {
    const { mesh, contacts } = this;
    const share = this.progress;
    const rule: ContactRule = { thicknessMm: this.thicknessMm * (0.7 + 0.3 * Math.min(1, share / 0.1)), discMm, ballMm };
    takeAway(mesh, mesh.active, this.tension.now, this.least);
    takeAway(mesh, mesh.standing, this.tension.now, undefined);
    setWidths(mesh, this.tie, this.placing, this.folding);
    this.blendWidths(share);
    this.move();
    this.pin(share);
    measureNormals(mesh, mesh.active);
    measureNormals(mesh, mesh.standing);
    contacts.follow(rule);
    sweep(mesh, mesh.active, activeStiffness, share > 0.42 ? this.crease : undefined);
    sweep(mesh, mesh.standing, standingStiffness, undefined);
    if (share > 0.5) pressToShirt(mesh);
    for (let pass = 0; pass < passes; pass++) contacts.pass(rule);
    keepOffBody(mesh, ease(share, 0.2, 0.6));
    this.pin(share);
    this.tension.follow(contacts.touching, contacts.pressed);
    this.done++;
  }

  /** At the start the ribbon is as wide as it was laid; its own width comes with the first of the tightening. */
  private blendWidths(share: number): void {
    const own = Math.min(1, share / 0.15);
    if (own >= 1) return;
    for (const { width } of [this.mesh.active, this.mesh.standing])
      for (let row = 0; row < width.length; row++) width[row] = looseWidthMm + own * ((width[row] as number) - looseWidthMm);
  }

  private move(): void {
    const { position: p, before } = this.mesh;
    for (let i = 0; i < p.length; i += 3) {
      let vx = damping * ((p[i] as number) - (before[i] as number));
      let vy = damping * ((p[i + 1] as number) - (before[i + 1] as number));
      let vz = damping * ((p[i + 2] as number) - (before[i + 2] as number));
      const square = vx * vx + vy * vy + vz * vz;
      if (square > mostAStepMm * mostAStepMm) {
        const slower = mostAStepMm / Math.sqrt(square);
        vx *= slower;
        vy *= slower;
        vz *= slower;
      }
      before[i] = p[i] as number;
      before[i + 1] = p[i + 1] as number;
      before[i + 2] = p[i + 2] as number;
      p[i] = (p[i] as number) + vx;
      p[i + 1] = (p[i + 1] as number) + vy;
      p[i + 2] = (p[i + 2] as number) + vz;
    }
  }

  /** Holds the four ends: the arms go over from where they lay to the neck's sides, the tails hang. */
  private pin(share: number): void {
    const { mesh } = this;
    const eased = ease(share, 0.2, 0.6);
    const isHidden = this.request.knot.finish === 'collar';
    this.pinEnd(mesh.active.first, true, neckPin(1), eased);
    this.pinEnd(mesh.standing.first, true, neckPin(-1), eased);
    this.pinEnd(
      mesh.active.first + (mesh.active.rows - pinnedRows) * mesh.columns,
      false,
      isHidden ? [30, 70, shirtZMm - 40] : [0, hangEndYMm, shirtZMm + 12],
      eased,
    );
    this.pinEnd(mesh.standing.first + (mesh.standing.rows - pinnedRows) * mesh.columns, false, [0, hangEndYMm, shirtZMm + 4], eased);
  }

  private pinEnd(first: number, isArm: boolean, to: readonly [number, number, number], eased: number): void {
    const { position: p, before, columns } = this.mesh;
    const count = pinnedRows * columns;
    let cx = 0;
    let cy = 0;
    let cz = 0;
    for (let v = first; v < first + count; v++) {
      cx += (this.loose[3 * v] as number) / count;
      cy += (this.loose[3 * v + 1] as number) / count;
      cz += (this.loose[3 * v + 2] as number) / count;
    }
    // An arm is held by its middle only, so that it can turn to lie along the neck.
    const middle = Math.floor(columns / 2);
    for (let v = first; v < first + count; v++) {
      if (isArm && (v - first) % columns !== middle) continue;
      const at = [
        (this.loose[3 * v] as number) + eased * (to[0] - cx),
        (this.loose[3 * v + 1] as number) + eased * (to[1] - cy),
        (this.loose[3 * v + 2] as number) + eased * (to[2] - cz),
      ];
      for (let axis = 0; axis < 3; axis++) {
        p[3 * v + axis] = at[axis] as number;
        before[3 * v + axis] = at[axis] as number;
      }
    }
  }
}

/** From the knot to the neck's side along an arm, about, mm. */
const armMm = 95;

function ease(share: number, from: number, to: number): number {
  const t = Math.min(1, Math.max(0, (share - from) / (to - from)));
  return t * t * (3 - 2 * t);
}

/** Least rest length of each row, where turns are held open: half a round of the diameter a move. */
function leastOf({ loose }: Knot, { active }: ClothMesh): Float64Array | undefined {
  if (!loose) return undefined;
  const rowsOf = new Map<number, number>();
  for (const move of active.moves) rowsOf.set(move, (rowsOf.get(move) ?? 0) + 1);
  return Float64Array.from(active.moves, (move) => (move >= loose.from ? ((Math.PI / 2) * loose.diameterMm) / (rowsOf.get(move) ?? 1) : 0));
}
