import { type Collar, halfAngle } from '../../collar/collar.ts';
import { rounded } from '../mesh/exact.ts';
import type { ClothMesh } from '../mesh/mesh.ts';
import { chestRound, shirtZMm } from './body.ts';

/** The collar that knots are drawn up in where none is named: a semi-spread one. */
const usualCollar: Collar = { collarPointMm: 75, collarSpreadMm: 110, tieSpaceMm: 8 };
/** The leaves' edges start so far above the button, and lie so far off the shirt at the tips and more half-way down. */
const edgeStartsMm = 14;
const tipOffShirtMm = 5;
const leafRoomMm = 14;
/** Before they are laid over they stand so far up. */
const comesFromMm = 60;
/** A leaf is followed in so many places down its edge and in from it, and reaches so far in, mm. */
const downs = 7;
const inwards = 5;
const reachMm = 60;
/** A leaf's edge is rolled: what it covers comes under it all the way over so much, mm. */
const softEdgeMm = 6;
/** What stands out of a leaf is taken back by so much of it in a step, and no more than that of so many mm. */
const takenBack = 0.25;
const mostOutMm = 4;
/** Linen gives by so much of what presses it in a step, goes back by so little of what it gave, and by so much toward what is beside it. */
const gives = 0.5;
const goesBack = 0.0025;
const evens = 0.05;

/**
 * The leaves of a buttoned collar that is turned down, each a surface that gives: cloth under it is pressed back, and lifts it.
 * A leaf is held where it is buttoned and where it is folded. Sums are exact, so that no order of the cloth's points shows.
 */
export class Leaves {
  private readonly tipsBelowMm: number;
  /** How far the left leaf and the right one were lifted, and are pressed in this step, place by place, mm. */
  private readonly lifted = [new Float64Array(downs * inwards), new Float64Array(downs * inwards)] as const;
  private readonly pressed = [new Float64Array(downs * inwards), new Float64Array(downs * inwards)] as const;
  private readonly before = new Float64Array(downs * inwards);
  /** The place of a leaf that was looked up last, and the shares of it and its three neighbours. */
  private at = 0;
  private readonly shares = new Float64Array(4);

  constructor(private readonly collar: Collar = usualCollar) {
    this.tipsBelowMm = collar.collarPointMm * Math.cos(halfAngle(collar));
  }

  /** How far from the middle a leaf's edge is at a height, mm: below the tips there is none, and far above the button it is less than nothing. */
  edgeMm(y: number): number {
    if (y < -this.tipsBelowMm) return Number.POSITIVE_INFINITY;
    const { collarSpreadMm, tieSpaceMm } = this.collar;
    return (tieSpaceMm + this.downAt(y) * (collarSpreadMm - tieSpaceMm)) / 2;
  }

  /** How far forward a leaf lies at a place, mm; nothing where there is none. */
  frontMm(x: number, y: number): number | undefined {
    const covered = Math.abs(x) - this.edgeMm(y);
    if (y > edgeStartsMm || covered <= 0 || covered > reachMm) return undefined;
    const down = this.downAt(y);
    this.lookUp(down, covered);
    const { at, shares } = this;
    const lifted = this.lifted[x > 0 ? 1 : 0];
    const lift =
      shares[0] * lifted[at] + shares[1] * lifted[at + 1] + shares[2] * lifted[at + inwards] + shares[3] * lifted[at + inwards + 1];
    return shirtZMm + tipOffShirtMm + leafRoomMm * Math.sin(Math.PI * down) - (x * x) / chestRound + lift;
  }

  /** Presses what stands out of the leaves back below them, and lifts them by it. `near` grows from 0 to 1, as they are laid over. */
  press({ position: p, count }: ClothMesh, near: number): void {
    if (near <= 0) return;
    const { pressed, lifted, shares } = this;
    const standsUp = comesFromMm * (1 - near);
    for (const each of pressed) each.fill(0);
    for (let i = 0; i < 3 * count; i += 3) {
      const leaf = this.frontMm(p[i], p[i + 1]);
      if (leaf === undefined) continue;
      const out = Math.min(mostOutMm, p[i + 2] - leaf - standsUp);
      if (out <= 0) continue;
      const covered = Math.abs(p[i]) - this.edgeMm(p[i + 1]);
      const back = takenBack * out * Math.min(1, covered / softEdgeMm);
      p[i + 2] -= back;
      const on = pressed[p[i] > 0 ? 1 : 0];
      const { at } = this;
      on[at] += rounded(shares[0] * back);
      on[at + 1] += rounded(shares[1] * back);
      on[at + inwards] += rounded(shares[2] * back);
      on[at + inwards + 1] += rounded(shares[3] * back);
    }
    this.lift(lifted[0], pressed[0]);
    this.lift(lifted[1], pressed[1]);
  }

  private lift(lifted: Float64Array, pressed: Float64Array): void {
    const { before } = this;
    before.set(lifted);
    for (let down = 1; down < downs; down++)
      for (let inward = 0; inward < inwards - 1; inward++) {
        const at = down * inwards + inward;
        const own = before[at];
        const lower = down < downs - 1 ? before[at + inwards] : own;
        const outer = inward > 0 ? before[at - 1] : own;
        const beside = (before[at - inwards] + lower + before[at + 1] + outer) / 4;
        lifted[at] = Math.max(0, own + gives * pressed[at] - goesBack * own + evens * (beside - own));
      }
  }

  /** Between which places of a leaf one lies that is `down` its edge, from 0 to 1, and so far in from it. */
  private lookUp(down: number, inMm: number): void {
    const [d, i] = [down * (downs - 1), (inMm / reachMm) * (inwards - 1)];
    const [fromDown, fromIn] = [Math.min(downs - 2, Math.floor(d)), Math.min(inwards - 2, Math.floor(i))];
    const [lower, inner] = [d - fromDown, i - fromIn];
    this.at = fromDown * inwards + fromIn;
    const { shares } = this;
    shares[0] = (1 - lower) * (1 - inner);
    shares[1] = (1 - lower) * inner;
    shares[2] = lower * (1 - inner);
    shares[3] = lower * inner;
  }

  /** From 0 where the leaves' edges start to 1 at their tips. */
  private downAt(y: number): number {
    return (edgeStartsMm - y) / (edgeStartsMm + this.tipsBelowMm);
  }
}
