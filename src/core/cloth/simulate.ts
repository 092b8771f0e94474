import type { Collar } from '../collar/collar.ts';
import type { Knot } from '../knot/knot.ts';
import { fabrics } from '../tie/fabrics.ts';
import type { Tie } from '../tie/tie.ts';
import { tieFrom } from '../tie/turned.ts';
import { compressedThickness } from '../tie/width.ts';
import { bundleOf } from '../tying/bundle.ts';
import { windingOf } from '../tying/winding.ts';
import { Contacts } from './contact/contacts.ts';
import { keepOffBody } from './forces/body.ts';
import { creaseOf, type DimpleLaid, takesDimple } from './forces/dimple.ts';
import { type Crease, measureNormals, sweep } from './forces/elastic.ts';
import { arch, type Hands, pressToShirt, smoothDown, squeeze, usualHands, usualLayerMm, yielding } from './forces/fingers.ts';
import { type Folding, foldingOf, type Placing, setWidths } from './forces/folds.ts';
import { Leaves } from './forces/leaves.ts';
import { Pins, pinnedRows } from './forces/pins.ts';
import { centrePanel, KnotPlace, layDown, settle } from './forces/place.ts';
import { Pull } from './forces/pull.ts';
import { followFreedom, takeAway } from './forces/tighten.ts';
import { loosePaths, type Side } from './mesh/loosePath.ts';
import { type ClothMesh, type Grid, laidRowsMm, layLoose, type Strand } from './mesh/mesh.ts';
import { randomFrom } from './mesh/random.ts';

export interface TyingRequest {
  readonly knot: Knot;
  readonly tie: Tie;
  /** Length around the neck and the standing tip below the button before the first move, mm. */
  readonly loopMm: number;
  readonly standingMm: number;
  readonly dimple: DimpleLaid;
  /** The collar that it is drawn up in; a semi-spread one where none is named. */
  readonly collar?: Collar;
  /** Which side the working end's arm lies on; the wearer's right where nothing is said, as all words are written. */
  readonly side?: Side;
  /** Starts that differ by their seed differ by a hair only. */
  readonly seed: number;
}

export interface Setting {
  readonly grid: Grid;
  readonly steps: number;
  /** Share of the usual pull. */
  readonly pull: number;
  readonly hands: Hands;
}

/** A longer knot takes longer to draw up, and thinner cloth does: what goes by too much of its own thickness in a step is pressed through other cloth. */
export function usualSetting({ knot, tie }: Pick<TyingRequest, 'knot' | 'tie'>): Setting {
  const usual = { grid: { rowMm: 10, columns: 7 }, steps: 300 + 100 * knot.moves.length, pull: 1, hands: usualHands };
  return slower(usual, Math.max(1, usualLayerMm / compressedThickness(tie)));
}

/** Hands that take so many times as long: they do as much over all steps, however many those are. */
export function slower({ grid, steps, pull, hands: { squeezeMm, smoothMm, pressMm } }: Setting, times: number): Setting {
  const hands = { squeezeMm: squeezeMm / times, smoothMm: smoothMm / times, pressMm: pressMm / times };
  return { grid, steps: Math.round(times * steps), pull, hands };
}

const looseWidthMm = 26;
const jitterMm = 0.4;
const damping = 0.96;
const mostAStepMm = 0.8;
/** The pull in a step, mm²: on cloth that touches nothing, and on cloth that is pressed. */
const freeMm2 = 1;
const pressedMm2 = 0.004;
/** Woven silk under its pull bends as a rod of this bending length does: the root of stiffness over tension. */
const bendLengthMm = 5;
const standingIsStiffer = 1.3;
/** The lower end of what is below the knot hangs free of it from here, mm. */
const freeBelowMm = 4;
/** Shares of all steps: over which the wearer comes near, then the collar is laid over; and from which the dimple is. */
const nearFrom = 0.02;
const nearTo = 0.3;
export const coveredTo = 0.5;
const creaseFrom = 0.25;
const pressFrom = 0.5;
/** So late an end that is hidden under the collar lies there. */
export const hiddenTo = 0.7;
/** Hands that hold turns open work with so much of their strength. */
const holdingOpen = 0.5;
const timesFolded = 20;
/** What hangs swings no longer from here on: it loses so much more of its way in a step. */
const calmFrom = 0.4;
const calmedBy = 0.3;

/** A knot being tied in cloth, step by step: the same request and setting give the same mesh, bit for bit. */
export class Simulation {
  /** The cloth as it lies now. */
  readonly mesh: ClothMesh;
  private readonly contacts: Contacts;
  private folding: Folding;
  private crease: Crease | undefined;
  private readonly leaves: Leaves;
  private readonly least: Float64Array | undefined;
  private readonly openFrom: number;
  private readonly pulls: readonly [active: Pull, standing: Pull];
  private readonly pins: Pins;
  private readonly place = new KnotPlace();
  private readonly tie: Tie;
  private readonly placing: Placing;
  private readonly layerMm: number;
  private readonly bendMm: number;
  private readonly grip: number;
  private readonly sectionMm2: number;
  private readonly foldedEvery: number;
  private readonly rowsMm: readonly [active: number, standing: number];
  private done = 0;
  /** Cloth that the knot takes up by the formulas, mm. */
  readonly takenUpMm: number;

  constructor(
    readonly request: TyingRequest,
    readonly setting: Setting = usualSetting(request),
  ) {
    const { knot, tie, loopMm, standingMm, seed, side = 1 } = request;
    const random = randomFrom(seed);
    const jitter = seed === 0 ? () => 0 : () => jitterMm * (random() - 0.5);
    this.mesh = layLoose(loosePaths(knot, side), setting.grid, looseWidthMm, jitter);
    this.pins = new Pins(this.mesh, knot, side);
    this.tie = tieFrom(knot.active, tie);
    this.leaves = new Leaves(request.collar);
    this.layerMm = compressedThickness(tie);
    this.bendMm = bendLengthMm * Math.sqrt(fabrics[tie.fabric].stiffness / fabrics['woven-silk'].stiffness);
    this.sectionMm2 = this.layerMm * tie.neckMm;
    this.takenUpMm = bundleOf(windingOf(knot), this.tie, { loopMm, standingMm }).takeUpMm;
    const standingSideMm = tie.lengthMm - standingMm;
    this.placing = {
      activeFromMm: standingSideMm - loopMm + armMm,
      standingFromMm: standingSideMm - armMm,
      knotMm: 1.15 * this.takenUpMm + 40,
    };
    this.grip = gripOf(tie);
    this.contacts = new Contacts(this.mesh, this.grip);
    this.folding = foldingOf(this.mesh, this.request.knot.finish);
    this.crease = creaseOf(knot, this.mesh, request.dimple, tie.bladeMm, side);
    this.foldedEvery = Math.ceil(setting.steps / timesFolded);
    this.least = leastOf(knot, this.mesh);
    this.openFrom = knot.loose?.from ?? Number.POSITIVE_INFINITY;
    this.rowsMm = laidRowsMm(setting.grid);
    this.pulls = [new Pull(this.mesh, this.mesh.active, pinnedRows), new Pull(this.mesh, this.mesh.standing, pinnedRows)];
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
    const { mesh, contacts, place, pins, openFrom, progress, rowsMm, grip } = this;
    const { knot } = this.request;
    const { hands } = this.setting;
    const strength = (knot.loose ? holdingOpen : 1) * yielding(contacts.deepest, this.layerMm);
    const near = ease(progress, nearFrom, nearTo);
    const covered = ease(progress, nearTo, coveredTo);
    // What is left is hidden last, once the arm that it goes over lies where it belongs.
    const ended = knot.finish === 'collar' ? ease(progress, nearTo, hiddenTo) : near;
    takeAway(mesh, mesh.active, rowsMm[0], this.least);
    takeAway(mesh, mesh.standing, rowsMm[1], undefined);
    if (this.done > 0 && this.done % this.foldedEvery === 0) this.fold();
    this.lay(progress);
    move(mesh);
    if (progress > calmFrom) for (const strand of [mesh.active, mesh.standing]) calm(mesh, strand);
    pins.hold(mesh, near, ended);
    measureNormals(mesh, mesh.active);
    contacts.follow();
    this.draw();
    sweep(mesh, mesh.active, progress > creaseFrom ? this.crease : undefined, openFrom);
    sweep(mesh, mesh.standing, undefined, openFrom);
    place.measure(mesh);
    settle(mesh, place, near);
    if (knot.loose) layDown(mesh, openFrom, covered);
    squeeze(mesh, place, this.sectionMm2, covered * strength * hands.squeezeMm, knot.loose ? 'open' : 'drawn');
    if (!knot.loose) smoothDown(mesh, place, covered * strength * hands.smoothMm);
    if (knot.finish === 'open') centrePanel(mesh, near);
    if (takesDimple(knot)) arch(mesh, place, covered);
    this.leaves.press(mesh, covered);
    if (progress > pressFrom) pressToShirt(mesh, strength * hands.pressMm);
    contacts.pass();
    keepOffBody(mesh, near, grip);
    contacts.keepRoom();
    pins.hold(mesh, near, ended);
    followFreedom(mesh, mesh.active, rowsMm[0], contacts.isPressed, place.bottomMm - freeBelowMm, openFrom);
    followFreedom(mesh, mesh.standing, rowsMm[1], contacts.isPressed, place.bottomMm - freeBelowMm, openFrom);
    this.done++;
  }

  /** Folds and dimple go over so much cloth, whatever rows it now lies in. */
  private fold(): void {
    this.folding = foldingOf(this.mesh, this.request.knot.finish);
    const { knot, tie, dimple, side = 1 } = this.request;
    this.crease = creaseOf(knot, this.mesh, dimple, tie.bladeMm, side);
  }

  private draw(): void {
    const { pulls, setting, bendMm } = this;
    const [free, pressed] = [setting.pull * freeMm2, setting.pull * pressedMm2];
    pulls[0].step(free, pressed, bendMm, mostAStepMm);
    pulls[1].step(free, pressed, standingIsStiffer * bendMm, mostAStepMm);
  }

  /**
   * Width and thickness at each row. Cloth folded to a share of its width lies as much thicker: its section stays
   * what it is. At the start the ribbon is as wide as it was laid, and thinner.
   */
  private lay(share: number): void {
    const { mesh, folding, layerMm } = this;
    setWidths(mesh, this.tie, this.placing, folding);
    const own = Math.min(1, share / 0.15);
    for (const { width } of [mesh.active, mesh.standing])
      for (let row = 0; row < width.length; row++) width[row] = looseWidthMm + own * (width[row] - looseWidthMm);
    const half = (Math.min(1, 0.7 + share) * layerMm) / 2;
    thicken(mesh, mesh.active, folding.active, half);
    thicken(mesh, mesh.standing, folding.standing, half);
  }
}

/** Silk that locks holds with so much of what presses it. Our guess: its coefficient of friction on silk. */
const mostGrip = 0.4;

/** What holds a tie's cloth on itself, as a share of what presses it. */
export function gripOf({ fabric }: Tie): number {
  return mostGrip * fabrics[fabric].grip;
}

/** From the knot to the neck's side along an arm, about, mm. */
const armMm = 95;

function ease(share: number, from: number, to: number): number {
  const t = Math.min(1, Math.max(0, (share - from) / (to - from)));
  return t * t * (3 - 2 * t);
}

export function thicken({ columns, half }: ClothMesh, { first, rows }: Strand, fold: Float64Array, halfMm: number): void {
  for (let row = 0; row < rows; row++) {
    const at = first + row * columns;
    half.fill(halfMm / fold[row], at, at + columns);
  }
}

/** Every point goes on as it went, a little slower. */
export function move({ position: p, before }: ClothMesh): void {
  for (let i = 0; i < p.length; i += 3) {
    let vx = damping * (p[i] - before[i]);
    let vy = damping * (p[i + 1] - before[i + 1]);
    let vz = damping * (p[i + 2] - before[i + 2]);
    const square = vx * vx + vy * vy + vz * vz;
    if (square > mostAStepMm * mostAStepMm) {
      const slower = mostAStepMm / Math.sqrt(square);
      vx *= slower;
      vy *= slower;
      vz *= slower;
    }
    before[i] = p[i];
    before[i + 1] = p[i + 1];
    before[i + 2] = p[i + 2];
    p[i] += vx;
    p[i + 1] += vy;
    p[i + 2] += vz;
  }
}

/** Takes a share of its way in this step from what hangs out of the knot. */
function calm({ position: p, before, columns }: ClothMesh, { first, rows, leavesAt }: Strand): void {
  for (let i = 3 * (first + leavesAt * columns); i < 3 * (first + rows * columns); i++) p[i] -= calmedBy * (p[i] - before[i]);
}

/** Least rest length of each row, where turns are held open: half a round of the diameter a move. */
function leastOf({ loose }: Knot, { active }: ClothMesh): Float64Array | undefined {
  if (!loose) return undefined;
  const rowsOf = new Map<number, number>();
  for (const move of active.moves) rowsOf.set(move, (rowsOf.get(move) ?? 0) + 1);
  return Float64Array.from(active.moves, (move) => (move >= loose.from ? ((Math.PI / 2) * loose.diameterMm) / (rowsOf.get(move) ?? 1) : 0));
}
