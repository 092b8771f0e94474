import { tieFrom } from '../../tie/turned.ts';
import { compressedThickness } from '../../tie/width.ts';
import { bundleOf } from '../../tying/bundle.ts';
import { windingOf } from '../../tying/winding.ts';
import { crossings } from '../check/crossings.ts';
import { Contacts } from '../contact/contacts.ts';
import { keepOffBody } from '../forces/body.ts';
import { measureNormals, sweep } from '../forces/elastic.ts';
import { clothInKnot, type Folding, isInKnot, type Placing, setWidths } from '../forces/folds.ts';
import { Pins, pinnedRows } from '../forces/pins.ts';
import { Pull } from '../forces/pull.ts';
import { followFreedom, takeAway } from '../forces/tighten.ts';
import type { SeenCloth } from '../mesh/compact.ts';
import { type ClothMesh, type Grid, laidRowsMm, layLoose, type Strand } from '../mesh/mesh.ts';
import { move, thicken } from '../simulate.ts';
import { halfTied } from './halfTied.ts';
import { frameOf } from './material.ts';
import { napeOf, type StepRequest } from './nape.ts';

/** A whole move whose cloth goes through itself on the first grid is settled on the next. */
const grids = [
  { rowMm: 8, columns: 7 },
  { rowMm: 6.5, columns: 7 },
  { rowMm: 10, columns: 7 },
] as const;
/** So long hands leave the cloth to itself: it hangs like cloth by then, and is not yet drawn tight. */
const steps = 110;
const laidWideMm = 20;
/** The pull in a step and how stiffly cloth bends along itself: as when it is drawn up, but stiffer, since nothing is tight. */
const pull = { freeMm2: 1, pressedMm2: 0.004, bendLengthMm: 9, mostAStepMm: 0.8 } as const;
/** From the knot to the neck's side along an arm of the open loop, about, mm. */
const armMm = 110;
/** Share of its own width at which the cloth lies while it is tied. */
const folds = { arm: 0.75, wound: 0.62, standing: 0.6 } as const;
/** What hangs out spreads to its own width over so much cloth, mm. */
const spreadMm = 80;
/** Moves that are not drawn up hold so much more cloth than the finished knot has of them, and so much besides, mm. */
const loosely = { share: 1.25, mm: 30 } as const;
const neverOpen = Number.POSITIVE_INFINITY;

/** A knot after `done` moves and parts of one, the finish counting as one more, as it hangs in the hands; the same question gives the same mesh, bit for bit. */
export function settle(request: StepRequest, done: number): Settled {
  let settled = settledOn(grids[0], request, done);
  for (const grid of grids.slice(1)) {
    if (!Number.isInteger(done) || crossings(settled.mesh) === 0) break;
    settled = settledOn(grid, request, done);
  }
  return settled;
}

interface Settled {
  readonly mesh: ClothMesh;
  readonly frame: SeenCloth;
}

function settledOn(grid: Grid, request: StepRequest, done: number): Settled {
  const { knot, loopMm, standingMm } = request;
  const tie = tieFrom(knot.active, request.tie);
  const mesh = layLoose(halfTied(knot, done), grid, laidWideMm, () => 0);
  const { active, standing } = mesh;
  const pins = new Pins(mesh, knot);
  const contacts = new Contacts(mesh, 0);
  const pulls = [new Pull(mesh, active, pinnedRows), new Pull(mesh, standing, pinnedRows)] as const;
  const rowsMm = laidRowsMm(grid);
  const hidden = knot.finish === 'collar' ? Math.min(1, Math.max(0, done - knot.moves.length)) : 0;
  const folding: Folding = { active: foldOf(active, folds.wound, hidden), standing: foldOf(standing, folds.standing, 0) };
  const takenUpMm = bundleOf(windingOf(knot), tie, { loopMm, standingMm }).takeUpMm;
  const side = tie.lengthMm - standingMm;
  const placing: Placing = {
    activeFromMm: side - loopMm + armMm,
    standingFromMm: side - armMm,
    knotMm: loosely.mm + loosely.share * takenUpMm * Math.min(1, done / knot.moves.length),
  };
  const layerMm = compressedThickness(tie);
  for (let step = 0; step < steps; step++) {
    const share = step / steps;
    takeAway(mesh, active, rowsMm[0], undefined);
    takeAway(mesh, standing, rowsMm[1], undefined);
    setWidths(mesh, tie, placing, folding);
    widen(active, share);
    widen(standing, share);
    const half = (Math.min(1, 0.7 + share) * layerMm) / 2;
    thicken(mesh, active, folding.active, half);
    thicken(mesh, standing, folding.standing, half);
    move(mesh);
    pins.hold(mesh, 0);
    measureNormals(mesh, active);
    contacts.follow();
    for (const each of pulls) each.step(pull.freeMm2, pull.pressedMm2, pull.bendLengthMm, pull.mostAStepMm);
    sweep(mesh, active, undefined, neverOpen);
    sweep(mesh, standing, undefined, neverOpen);
    contacts.pass();
    keepOffBody(mesh, 1);
    contacts.keepRoom();
    pins.hold(mesh, 0);
    followFreedom(mesh, active, rowsMm[0], contacts.isPressed, Number.NEGATIVE_INFINITY, neverOpen);
    followFreedom(mesh, standing, rowsMm[1], contacts.isPressed, Number.NEGATIVE_INFINITY, neverOpen);
  }
  const frame = frameOf(
    { ...laid(mesh, active), fromTipMm: activeFromTip(mesh, placing) },
    { ...laid(mesh, standing), fromTipMm: standingFromTip(standing, tie.lengthMm - placing.standingFromMm) },
    tie,
    napeOf(request),
  );
  return { mesh, frame };
}

/** From as wide as the ribbon was laid to its own width. */
function widen({ width }: Strand, share: number): void {
  const own = Math.min(1, share / 0.6);
  for (let row = 0; row < width.length; row++) width[row] = laidWideMm + own * (width[row] - laidWideMm);
}

/** What hangs out spreads; as far as it is `hidden` under the collar, 0 to 1, it lies folded as the arm does that it lies on. */
function foldOf({ parts, rest, rows }: Strand, wound: number, hidden: number): Float64Array {
  let hung = 0;
  return Float64Array.from({ length: rows }, (_, row) => {
    if (parts[row] === 'arm') return folds.arm;
    if (parts[row] !== 'hang') return wound;
    hung += rest[row - 1] ?? 0;
    const t = Math.min(1, hung / spreadMm);
    const open = wound + (1 - wound) * t * t * (3 - 2 * t);
    return open + hidden * (Math.min(open, folds.arm) - open);
  });
}

function laid({ position, columns }: ClothMesh, { first, rows, parts }: Strand) {
  return { columns, rows, parts, position: position.subarray(3 * first, 3 * (first + rows * columns)) };
}

/** The place along the tie of each row of the working strand, as {@link setWidths} counts it. */
function activeFromTip(mesh: ClothMesh, { activeFromMm, knotMm }: Placing): Float64Array {
  const { rows, rest, parts } = mesh.active;
  const share = Math.min(1, knotMm / clothInKnot(mesh));
  const at = new Float64Array(rows).fill(activeFromMm);
  for (let row = 1; row < rows; row++) at[row] = at[row - 1] - rest[row - 1] * (isInKnot(parts[row - 1]) ? share : 1);
  return at;
}

function standingFromTip({ rows, rest }: Strand, fromTipMm: number): Float64Array {
  const at = new Float64Array(rows).fill(fromTipMm);
  for (let row = 1; row < rows; row++) at[row] = at[row - 1] - rest[row - 1];
  return at;
}
