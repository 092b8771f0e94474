import type { Knot, Region, Spoke } from '../../knot/knot.ts';
import { passesOf } from '../../knot/passes.ts';
import { minus, size, unit, type Vec3 } from '../../numeric/vector.ts';

/** Which part of the knot a row of cloth is in; folds and hands treat each of them in its own way. */
export const parts = ['arm', 'turn', 'throat', 'band', 'top', 'tuck', 'hang'] as const;
export type Part = (typeof parts)[number];

/** A strand laid loosely: mm, x toward the wearer's right, y up, z out of the chest. */
export interface LooseStrand {
  readonly points: readonly Vec3[];
  /** Away from the middle of the ball it is wound on: the side of the cloth that is outermost. */
  readonly normals: readonly Vec3[];
  readonly parts: readonly Part[];
  /** The move each point belongs to, from 1; 0 outside the moves. */
  readonly moves: readonly number[];
}

/** What a strand is wound on: how large it begins, and how much larger it is with every layer, mm. */
export interface Ball {
  readonly firstMm: number;
  readonly layerMm: number;
}

const ball: Ball = { firstMm: 36, layerMm: 8 };
/** How far a pass rises to the front or back of the ball. */
const elevationDeg = 48;
export const azimuth: Readonly<Record<Region, number>> = { L: 200, C: 90, R: -20 };
export const armAzimuth: Readonly<Record<Exclude<Spoke, 'tail'>, number>> = { tailArm: 130, bladeArm: 50 };
const hangAzimuth = -90;
/** How far the arms stick out of the loosest turn, so that none can slip over their ends, mm. */
const clearMm = 70;
const hangReachMm = 175;
/** An end that is hidden leaves the winding so far before its arm. */
const beforeArmDeg = 28;
/** The tuck goes down this much of a layer inside the last band, which leaves it that room. */
const bandRoom = 1.3;
export const tuckInside = 1.15;
/** From here on down what came through the band hangs free. */
export const tuckEndsAt = 125;

/** The working strand: from the neck down its arm, round the ball by the word, later turns outside earlier ones, and down. */
export function activePath(knot: Knot): LooseStrand {
  const path = new Path();
  const { moves, finish } = knot;
  path.straight(onBall(armAzimuth.bladeArm, 0, reachOf(knot)), onBall(armAzimuth.bladeArm, 0, ball.firstMm), 'arm', front);
  for (let step = 1; step <= 6; step++) {
    const share = step / 6;
    const point = onBall(armAzimuth.bladeArm + (azimuth.R - armAzimuth.bladeArm) * share, 0, ball.firstMm);
    path.add(point, 'arm', 0, unit([share * point[0], share * point[1], (1 - share) * ball.firstMm]));
  }
  const { radius, bandRadius } = wind(path, knot, ball, moves.length);
  if (finish === 'collar') {
    hide(path, hiddenSide(knot), radius, reachOf(knot) - radius);
    return path;
  }
  const inside = finish === 'tuck' ? bandRadius - tuckInside * ball.layerMm : radius + ball.layerMm;
  for (let elevation = 15; elevation <= 165; elevation += 7.5) {
    const share = Math.min(1, Math.max(0, (elevation - 40) / 60));
    path.add(
      onBall(azimuth.C, elevation, radius + (inside - radius) * share),
      elevation < 60 ? 'top' : elevation < tuckEndsAt ? 'tuck' : 'hang',
      moves.length,
    );
  }
  const [, y, z] = onBall(azimuth.C, 165, inside);
  path.straight([0, y, z], [0, y - hangReachMm, z * 0.4], 'hang', front);
  return path;
}

/** On which arm an end that is hidden under the collar comes to lie: it goes on over the top as it came up. */
export function hiddenSide({ moves }: Knot): Side {
  return moves.at(-2)?.region === 'L' ? 1 : -1;
}

/** From the top of what is wound over to an arm, and outward before it, `alongMm` far. */
export function hide(path: Path, side: Side, radius: number, alongMm: number): void {
  const arm = side === 1 ? armAzimuth.bladeArm : armAzimuth.tailArm;
  for (let step = 1; step <= 6; step++) {
    const share = step / 6;
    const [x, y, z] = onBall(azimuth.C + (arm - azimuth.C) * share, beforeArmDeg * share, radius);
    path.add([x, y, z], 'hang', 0, unit([(1 - share) * x, (1 - share) * y, (1 - share) * z + share * radius]));
  }
  const from = path.points.at(-1) ?? front;
  const [x, y] = onBall(arm, 0, alongMm);
  path.straight(from, [from[0] + x, from[1] + y, from[2]], 'hang', front);
}

/** Where a winding has come to. */
export interface Wound {
  /** Of its outermost layer, and where there is one of its last band in the middle of the front, mm. */
  readonly radius: number;
  readonly bandRadius: number;
}

/** Winds a strand that has come to the wearer's right by the word, later turns outside earlier ones, for so many moves and parts of one. */
export function wind(path: Path, knot: Knot, { firstMm, layerMm }: Ball, done: number): Wound {
  const { moves, finish } = knot;
  let atDeg = azimuth.R;
  let radius = firstMm;
  let bandRadius = firstMm;
  for (const [i, { region, spoke, side }] of passesOf(knot).entries()) {
    const made = Math.min(1, done - i);
    if (made <= 0) break;
    const isBand = finish === 'tuck' && i === moves.length - 2;
    const turn = shortWay(azimuth[region] - atDeg);
    const lift = side === 'front' ? elevationDeg : -elevationDeg;
    const next = radius + layerMm * (isBand ? bandRoom : 1);
    const part: Part = isBand ? 'band' : i === moves.length - 1 ? 'top' : spoke === 'tail' ? 'turn' : 'throat';
    const steps = Math.ceil(made * stepsAMove);
    for (let step = 1; step <= steps; step++) {
      const share = (made * step) / steps;
      const here = radius + (next - radius) * share;
      path.add(onBall(atDeg + turn * share, lift * Math.sin(Math.PI * share), here), part, i + 1);
      if (isBand && 2 * step === stepsAMove) bandRadius = here;
    }
    atDeg += turn * made;
    radius += (next - radius) * made;
  }
  return { radius, bandRadius };
}

/** The standing strand: down its arm, through the middle of the ball, and down. */
export function standingPath(knot: Knot): LooseStrand {
  const path = new Path();
  path.straight(onBall(armAzimuth.tailArm, 0, reachOf(knot)), onBall(armAzimuth.tailArm, 0, 12), 'arm', front);
  path.straight(onBall(hangAzimuth, 0, 12), onBall(hangAzimuth, 0, hangReachMm + reachOf(knot) - clearMm), 'hang', front);
  return path;
}

/** On which side of the wearer the arm of the end that ties lies: 1 on their right, −1 on their left. */
export type Side = 1 | -1;

/** Both strands, the working one first; from the other side exactly as in a mirror. */
export function loosePaths(knot: Knot, side: Side): readonly [LooseStrand, LooseStrand] {
  const paths = [activePath(knot), standingPath(knot)] as const;
  return side === 1 ? paths : [mirrored(paths[0]), mirrored(paths[1])];
}

function mirrored({ points, normals, ...rest }: LooseStrand): LooseStrand {
  const other = ([x, y, z]: Vec3): Vec3 => [-x, y, z];
  return { ...rest, points: points.map(other), normals: normals.map(other) };
}

const front: Vec3 = [0, 0, 1];
const stepsAMove = 12;
const straightStepMm = 10;

function reachOf({ moves }: Knot): number {
  return ball.firstMm + ball.layerMm * moves.length + clearMm;
}

/** A strand that is being laid, point by point. */
export class Path implements LooseStrand {
  readonly points: Vec3[] = [];
  readonly normals: Vec3[] = [];
  readonly parts: Part[] = [];
  readonly moves: number[] = [];

  add(point: Vec3, part: Part, move: number, normal: Vec3 = unit(point)): void {
    this.points.push(point);
    this.normals.push(normal);
    this.parts.push(part);
    this.moves.push(move);
  }

  straight(from: Vec3, to: Vec3, part: Part, normal?: Vec3): void {
    const steps = Math.max(1, Math.round(size(minus(from, to)) / straightStepMm));
    for (let i = this.points.length > 0 && size(minus(from, this.points.at(-1) ?? to)) < 1e-9 ? 1 : 0; i <= steps; i++) {
      const share = i / steps;
      this.add(
        [0, 1, 2].map((axis) => (from[axis] ?? 0) + ((to[axis] ?? 0) - (from[axis] ?? 0)) * share) as unknown as Vec3,
        part,
        0,
        normal,
      );
    }
  }

  /** Bent once on its way, the cloth's outermost side turning from one direction to another. Quadratic, after Bézier. */
  curve(from: Vec3, bend: Vec3, to: Vec3, part: Part, normal: Vec3, toNormal: Vec3): void {
    const steps = Math.max(2, Math.round((size(minus(from, bend)) + size(minus(bend, to))) / straightStepMm));
    for (let i = 1; i <= steps; i++) {
      const share = i / steps;
      const [a, b, c] = [(1 - share) ** 2, 2 * share * (1 - share), share ** 2];
      const turned = Math.min(1, 1.6 * share);
      const at = (axis: 0 | 1 | 2) => a * from[axis] + b * bend[axis] + c * to[axis];
      const out = (axis: 0 | 1 | 2) => (1 - turned) * normal[axis] + turned * toNormal[axis];
      this.add([at(0), at(1), at(2)], part, 0, unit([out(0), out(1), out(2)]));
    }
  }
}

/** The same angle between −180° and 180°, however often the strand has gone round. */
function shortWay(degrees: number): number {
  return degrees - 360 * Math.round(degrees / 360);
}

/** A place on a ball around the middle of the winding, mm. */
export function onBall(azimuthDeg: number, elevation: number, radius: number): Vec3 {
  const a = (azimuthDeg * Math.PI) / 180;
  const e = (elevation * Math.PI) / 180;
  return [radius * Math.cos(e) * Math.cos(a), radius * Math.cos(e) * Math.sin(a), radius * Math.sin(e)];
}
