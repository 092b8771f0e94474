import type { Knot } from '../knot/knot.ts';
import type { Tie } from '../tie/tie.ts';
import { tieFrom } from '../tie/turned.ts';
import { compressedThickness } from '../tie/width.ts';
import { bundleOf } from '../tying/takeUp.ts';
import { windingOf } from '../tying/winding.ts';
import { keepOffBody } from './body.ts';
import { Contacts } from './contact.ts';
import { type Crease, measureNormals, sweep } from './elastic.ts';
import { type Folding, foldingOf, type Placing, setWidths } from './folds.ts';
import { creaseOf, type DimpleLaid, pressToShirt } from './hands.ts';
import { activePath, standingPath } from './loosePath.ts';
import { type ClothMesh, type Grid, layLoose, type Strand, withFewerRows } from './mesh.ts';
import { Pins } from './pins.ts';
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
  /** While it is drawn up the knot comes to hold many rows: nearer than this along the cloth they are thinned out. */
  readonly leastRowMm: number;
  readonly steps: number;
  /** Share of the usual tension. */
  readonly tension: number;
}

/** A longer knot takes longer to draw up. */
export function usualSetting({ moves }: Knot): Setting {
  return { grid: { rowMm: 10, columns: 9 }, leastRowMm: 1.6, steps: 900 + 50 * moves.length, tension: 1 };
}

const looseWidthMm = 26;
const jitterMm = 0.4;
const damping = 0.9;
const mostAStepMm = 0.8;
/**
 * Stretch under which a loose knot is drawn up, and under which it is held in the end, times the square of the rows'
 * distance: what makes one pull of it on every grid, since a row bends off its course by as much as it is long.
 */
const drawingStrainMm2 = 7.7;
const heldStrainMm2 = 0.072;
/** Cloth under its pull bends as a rod of this bending length does: the root of stiffness over tension. */
const bendLengthMm = 5;
const standingIsStiffer = 1.3;
/** Shares of all steps. */
const thinAt = [0.15, 0.25, 0.35, 0.45, 0.6] as const;
const creaseFrom = 0.42;
const pressFrom = 0.5;

/** A knot being tied in cloth, step by step: the same request and setting give the same mesh, bit for bit. */
export class Simulation {
  private cloth: ClothMesh;
  private contacts: Contacts;
  private folding: Folding;
  private crease: Crease | undefined;
  private least: Float64Array | undefined;
  private done = 0;
  private thinned = 0;
  private readonly pins: Pins;
  private readonly tie: Tie;
  private readonly placing: Placing;
  private readonly tension: Tension;
  private readonly layerMm: number;
  /** Cloth that the knot takes up by the formulas, mm. */
  readonly takenUpMm: number;

  constructor(
    readonly request: TyingRequest,
    readonly setting: Setting = usualSetting(request.knot),
  ) {
    const { knot, tie, loopMm, standingMm, seed } = request;
    const random = randomFrom(seed);
    const jitter = seed === 0 ? () => 0 : () => jitterMm * (random() - 0.5);
    this.cloth = layLoose([activePath(knot), standingPath(knot)], setting.grid, looseWidthMm, jitter);
    this.pins = new Pins(this.cloth, knot);
    this.tie = tieFrom(knot.active, tie);
    this.layerMm = compressedThickness(tie);
    this.takenUpMm = bundleOf(windingOf(knot), this.tie, { loopMm, standingMm, crossingGapMm: 0 }).takeUpMm;
    const standingSideMm = tie.lengthMm - standingMm;
    this.placing = {
      activeFromMm: standingSideMm - loopMm + armMm,
      standingFromMm: standingSideMm - armMm,
      knotMm: 1.15 * this.takenUpMm + 40,
    };
    this.tension = new Tension(setting.tension);
    this.contacts = new Contacts(this.cloth);
    this.folding = foldingOf(this.cloth);
    this.crease = creaseOf(knot, this.cloth, request.dimple);
    this.least = leastOf(knot, this.cloth);
  }

  /** The cloth as it lies now; another object once its rows were thinned out. */
  get mesh(): ClothMesh {
    return this.cloth;
  }

  /** 0 at the start to 1 when the knot is tied. */
  get progress(): number {
    return this.done / this.setting.steps;
  }

  get isTied(): boolean {
    return this.done >= this.setting.steps;
  }

  /** Deepest that two layers were pressed into each other in the last step, mm. */
  get deepestMm(): number {
    return this.contacts.deepest;
  }

  /** Up to `steps` further steps; fewer where the knot is tied before. */
  run(steps: number): void {
    for (let i = 0; i < steps && !this.isTied; i++) this.step();
  }

  private step(): void {
    const share = this.progress;
    if (share >= (thinAt[this.thinned] ?? 2)) this.thin();
    const { cloth, contacts } = this;
    this.draw(share);
    this.lay(share);
    move(cloth);
    this.pins.hold(cloth, ease(share, 0.2, 0.6));
    measureNormals(cloth, cloth.active);
    contacts.follow();
    const bend = this.bendAt(share);
    sweep(cloth, cloth.active, bend, share > creaseFrom ? this.crease : undefined);
    sweep(cloth, cloth.standing, standingIsStiffer * bend, undefined);
    if (share > pressFrom) pressToShirt(cloth);
    contacts.pass();
    keepOffBody(cloth, ease(share, 0.2, 0.6));
    contacts.keepRoom();
    this.pins.hold(cloth, ease(share, 0.2, 0.6));
    this.tension.follow(contacts.touching, contacts.pressed);
    this.done++;
  }

  private draw(share: number): void {
    const strain = this.strainAt(share);
    takeAway(this.cloth, this.cloth.active, strain, this.least);
    takeAway(this.cloth, this.cloth.standing, strain, undefined);
  }

  private strainAt(share: number): number {
    const { grid, leastRowMm } = this.setting;
    const [drawing, held] = [drawingStrainMm2 / grid.rowMm ** 2, heldStrainMm2 / leastRowMm ** 2];
    return this.tension.now * (drawing + settledAt(share) * (held - drawing));
  }

  /** What rows a millimetre apart would have put right of a bend along them in one sweep. */
  private bendAt(share: number): number {
    return 0.5 * this.strainAt(share) * bendLengthMm ** 2;
  }

  /**
   * Width and thickness at each row. Cloth folded to a share of its width lies as much thicker: its section stays
   * what it is. At the start the ribbon is as wide as it was laid, and thinner.
   */
  private lay(share: number): void {
    const { cloth, folding, layerMm } = this;
    setWidths(cloth, this.tie, this.placing, folding);
    const own = Math.min(1, share / 0.15);
    for (const { width } of [cloth.active, cloth.standing])
      for (let row = 0; row < width.length; row++) width[row] = looseWidthMm + own * ((width[row] as number) - looseWidthMm);
    const half = (Math.min(1, 0.7 + share) * layerMm) / 2;
    thicken(cloth, cloth.active, folding.active, half);
    thicken(cloth, cloth.standing, folding.standing, half);
  }

  private thin(): void {
    const { knot, dimple } = this.request;
    this.thinned++;
    this.cloth = withFewerRows(this.cloth, this.setting.leastRowMm);
    this.contacts = new Contacts(this.cloth);
    this.folding = foldingOf(this.cloth);
    this.crease = creaseOf(knot, this.cloth, dimple);
    this.least = leastOf(knot, this.cloth);
  }
}

/** From the knot to the neck's side along an arm, about, mm. */
const armMm = 95;

function ease(share: number, from: number, to: number): number {
  const t = Math.min(1, Math.max(0, (share - from) / (to - from)));
  return t * t * (3 - 2 * t);
}

/** How far drawing up has gone over into holding. */
function settledAt(share: number): number {
  return ease(share, 0.45, 0.65);
}

function thicken({ columns, half }: ClothMesh, { first, rows }: Strand, fold: Float64Array, halfMm: number): void {
  for (let row = 0; row < rows; row++) {
    const at = first + row * columns;
    half.fill(halfMm / (fold[row] as number), at, at + columns);
  }
}

/** Every point goes on as it went, a little slower. */
function move({ position: p, before }: ClothMesh): void {
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

/** Least rest length of each row, where turns are held open: half a round of the diameter a move. */
function leastOf({ loose }: Knot, { active }: ClothMesh): Float64Array | undefined {
  if (!loose) return undefined;
  const rowsOf = new Map<number, number>();
  for (const move of active.moves) rowsOf.set(move, (rowsOf.get(move) ?? 0) + 1);
  return Float64Array.from(active.moves, (move) => (move >= loose.from ? ((Math.PI / 2) * loose.diameterMm) / (rowsOf.get(move) ?? 1) : 0));
}
