import type { Bundle } from './bundle.ts';
import { depthOf, diameter, frontFlatness } from './packing.ts';
import type { Stance } from './stance.ts';

/** Outer measures of the drawn-up knot, mm; sides are the wearer's own. `lean` is a share of the top width. */
export interface KnotShape {
  readonly topMm: number;
  readonly middleMm: number;
  readonly bottomMm: number;
  readonly heightMm: number;
  /** From the shirt to the front of the knot. */
  readonly depthMm: number;
  readonly leftFlankMm: number;
  readonly rightFlankMm: number;
  readonly lean: number;
  /** How the front stands against level, degrees: positive where it rises to the wearer's right. */
  readonly tiltDeg: number;
  /** How far its widest stands aside of its bottom, as an angle over its height, degrees: positive toward the wearer's right. */
  readonly overhangDeg: number;
}

/** The lean, degrees, with its sign: the tilt, or the overhang where that is more. */
export function leanDegOf({ tiltDeg, overhangDeg }: Pick<KnotShape, 'tiltDeg' | 'overhangDeg'>): number {
  return Math.abs(tiltDeg) >= Math.abs(overhangDeg) ? tiltDeg : overhangDeg;
}

/** The bottom narrows from the middle, and keeps so much of the flanks: knots with full flanks are broad below too. */
const bottomShare = 0.75;
const flanksBelow = 0.6;
const heightShare = 0.85;

/** Share of its width that a panel keeps where it comes out of the throat, and where it leaves the knot below. */
const panelAtThroat = 0.5;
const panelBelow = 0.8;

/** Where no band tells, a heavier flank stands higher: degrees to a whole width of difference. */
const tiltOfFlanks = 120;

/**
 * The knot's outer measures from what is packed around each spoke, and how its front stands (`undefined` where no
 * band crosses it). Lean is the least certain of them.
 */
export function shapeOf({ sections, bare, facadeMm, panelMm, finish }: Bundle, stance: Stance | undefined): KnotShape {
  const packedMm = diameter(sections.tail * frontFlatness);
  // A panel lies over the middle of the knot, and over as much of its flanks as it is wider.
  const middleMm = finish === 'open' ? Math.max(packedMm, panelAtThroat * panelMm) : packedMm;
  const hidden = (middleMm - packedMm) / 2;
  const leftFlankMm = flank(sections.tailArm, bare.tailArm, hidden);
  const rightFlankMm = flank(sections.bladeArm, bare.bladeArm, hidden);
  const topMm = middleMm + leftFlankMm + rightFlankMm;
  return {
    topMm,
    middleMm,
    bottomMm: Math.max(finish === 'open' ? panelBelow * panelMm : 0, bottomShare * middleMm + flanksBelow * (leftFlankMm + rightFlankMm)),
    heightMm: heightShare * facadeMm,
    depthMm: depthOf(sections.tail),
    leftFlankMm,
    rightFlankMm,
    lean: topMm > 0 ? Math.abs(leftFlankMm - rightFlankMm) / topMm : 0,
    tiltDeg: stance?.tiltDeg ?? (topMm > 0 ? (tiltOfFlanks * (rightFlankMm - leftFlankMm)) / topMm : 0),
    overhangDeg: stance?.overhangDeg ?? 0,
  };
}

function flank(section: number, bare: number, hiddenMm: number): number {
  return hiddenMm > 0 ? Math.max(0, diameter(section) - diameter(bare) - hiddenMm) : diameter(section) - diameter(bare);
}
