import type { Knot, Region } from '../../knot/knot.ts';
import { type Pass, passesOf } from '../../knot/passes.ts';
import { unit, type Vec3 } from '../../numeric/vector.ts';
import { neckPin, overArmMm } from '../forces/body.ts';
import {
  armAzimuth,
  azimuth,
  type Ball,
  hiddenSide,
  hide,
  type LooseStrand,
  onBall,
  Path,
  type Side,
  tuckEndsAt,
  tuckInside,
  wind,
} from '../mesh/loosePath.ts';

/** A knot that is being tied is wound closely: so that little has to be drawn in before it looks like a tie in somebody's hands. */
const ball: Ball = { firstMm: 26, layerMm: 5.5 };
/** What falls over the front or behind lies so much of what is wound away from its middle. */
const nearShare = 0.8;
/** A pass round the hanging end, and one round an arm, is followed to here: from there on the rest hangs out to the side it goes to. */
const followed = { tail: 0.64, arm: 0.86 } as const;
/** The rest hangs so far below the middle of the winding where it is held, mm. */
const endDownMm = 190;
const besideMm = 34;
/** The loop around the neck is not drawn up: what is wound hangs so far below the collar button, and so far in front of the shirt's, mm. */
const loopDownMm = 46;
const wearerBackMm = 34;
/** Where an arm leaves the neck, as seen from its side. */
const neckTangent = { x: 44, y: 6, z: 36 } as const;

const signs: Readonly<Record<Region, -1 | 0 | 1>> = { L: -1, C: 0, R: 1 };
const front: Vec3 = [0, 0, 1];

/** Both strands of a knot after `done` moves and parts of one, the finish counting as one more; laid loosely, mm. */
export function halfTied(knot: Knot, done: number): readonly [LooseStrand, LooseStrand] {
  const outMm = ball.firstMm + ball.layerMm * Math.min(knot.moves.length, Math.ceil(done)) + 12;
  return [onWearer(working(knot, done, outMm)), onWearer(standing(outMm))];
}

/** From where the middle of the winding is the origin to where the collar button is. */
function onWearer({ points, ...strand }: LooseStrand): LooseStrand {
  return { ...strand, points: points.map(([x, y, z]): Vec3 => [x, y - loopDownMm, z + wearerBackMm]) };
}

function loosePin(side: Side, offMm = 0): Vec3 {
  const [x, y, z] = neckPin(side, offMm);
  return [x, y + loopDownMm, z - wearerBackMm];
}

function arm(path: Path, azimuthDeg: number, outMm: number, toMm: number): void {
  const side = azimuthDeg < 90 ? 1 : -1;
  const pin = loosePin(side);
  const [, y, z] = pin;
  const tangent: Vec3 = [side * neckTangent.x, y - neckTangent.y, z + neckTangent.z];
  const out = onBall(azimuthDeg, 0, outMm);
  path.straight(pin, tangent, 'arm', unit([side, 0, 0.6]));
  path.straight(tangent, out, 'arm', unit([0.3 * side, 0, 1]));
  path.straight(out, onBall(azimuthDeg, 0, toMm), 'arm', front);
}

function standing(outMm: number): LooseStrand {
  const path = new Path();
  arm(path, armAzimuth.tailArm, outMm, 16);
  path.curve(onBall(armAzimuth.tailArm, 0, 16), [0, 0, 0], [0, -16, 0], 'arm', front, front);
  path.straight([0, -16, 0], [0, -endDownMm, -6], 'hang', front);
  return path;
}

function working(knot: Knot, done: number, outMm: number): LooseStrand {
  const path = new Path();
  const { firstMm } = ball;
  arm(path, armAzimuth.bladeArm, outMm, firstMm);
  if (done === 0) {
    // Not crossed yet: it hangs on its own side.
    path.curve(onBall(azimuth.R, 0, firstMm + 6), [firstMm + besideMm, -60, 2], [firstMm + besideMm, -endDownMm, 0], 'hang', front, front);
    return path;
  }
  for (let step = 1; step <= 6; step++) {
    const share = step / 6;
    const point = onBall(armAzimuth.bladeArm + (azimuth.R - armAzimuth.bladeArm) * share, 0, firstMm);
    path.add(point, 'arm', 0, unit([share * point[0], share * point[1], (1 - share) * firstMm]));
  }
  const passes = passesOf(knot);
  const moves = Math.min(done, knot.moves.length);
  const whole = Math.ceil(moves) - 1;
  const last = passes[whole] as Pass;
  const share = moves - whole;
  const isTucked = done > knot.moves.length;
  const upTo = last.region === 'C' ? share : share * (last.spoke === 'tail' ? followed.tail : followed.arm);
  const { radius, bandRadius } = wind(path, knot, ball, whole + (isTucked ? 1 : upTo));
  if (isTucked && knot.finish === 'tuck') tuck(path, knot.moves.length, radius, bandRadius);
  else if (isTucked && knot.finish === 'collar') hideAlong(path, hiddenSide(knot), radius, outMm);
  else hang(path, passes, whole, share, radius);
  return path;
}

/** Down through the last front band, which was left a finger of room. */
function tuck(path: Path, moves: number, radius: number, bandRadius: number): void {
  const inside = bandRadius - tuckInside * ball.layerMm;
  for (let elevation = 15; elevation <= 150; elevation += 7.5) {
    const share = Math.min(1, Math.max(0, (elevation - 40) / 60));
    const part = elevation < 60 ? 'top' : elevation < tuckEndsAt ? 'tuck' : 'hang';
    path.add(onBall(azimuth.C, elevation, radius + (inside - radius) * share), part, moves + 1);
  }
  const [, y, z] = onBall(azimuth.C, 150, inside);
  path.curve([0, y, z], [0, y - 30, z], [0, -endDownMm, z * 0.5], 'hang', front, front);
}

/** Over to an arm and along it to the neck's side, where it lies under the collar. */
function hideAlong(path: Path, side: Side, radius: number, outMm: number): void {
  hide(path, side, radius, outMm - radius);
  const from = path.points.at(-1) ?? front;
  const [x, y, z] = loosePin(side, overArmMm);
  const tangent: Vec3 = [side * (neckTangent.x + overArmMm), y - neckTangent.y, z + neckTangent.z];
  path.straight(from, tangent, 'hang', unit([0.3 * side, 0, 1]));
  path.straight(tangent, [x, y, z], 'hang', unit([side, 0, 0.6]));
}

/** The rest of the end that ties, from where it leaves what is wound to where a hand lets it hang. */
function hang(path: Path, passes: readonly Pass[], at: number, share: number, radius: number): void {
  const last = passes[at] as Pass;
  const from = path.points.at(-1) as Vec3;
  const normal = path.normals.at(-1) as Vec3;
  const isFront = last.side === 'front';
  const outward = radius + 8;
  if (last.region !== 'C') {
    const begins = asideAt(passes, at - 1, radius);
    const ends = signs[last.region] * (radius + besideMm);
    const x = begins + (ends - begins) * share;
    const z = (isFront ? 1 : -1) * Math.sin(Math.PI * share) * outward + (isFront ? 6 : -6);
    const bend: Vec3 = [0.25 * from[0] + 0.75 * x, from[1] - 4, 0.4 * from[2] + 0.6 * z + (isFront ? 6 : -6)];
    path.curve(from, bend, [x, -endDownMm, z], 'hang', normal, [0, 0, isFront ? 1 : -1]);
    return;
  }
  const rests = asideAt(passes, at, radius);
  if (share < 1) {
    const begins = asideAt(passes, at - 1, radius);
    const x = begins + (rests - begins) * share;
    const swing = Math.PI * (isFront ? share : 1 - share);
    const reach = 150;
    const deep = Math.cos(swing) < 0 ? 30 : outward;
    path.curve(
      from,
      [0.5 * (from[0] + x), from[1] + 30, from[2] + (isFront ? 20 : -14) * (1 - share)],
      [x, reach * Math.sin(swing) ** 2 - endDownMm * (1 - Math.sin(swing) ** 2), deep * Math.cos(swing)],
      'hang',
      normal,
      [0, 0, isFront ? 1 : -1],
    );
    return;
  }
  const way = isFront ? -1 : 1;
  for (let elevation = 15; elevation <= 105; elevation += 15) {
    // What is wound is drawn in by and by: over it the end falls as near as it may.
    const [, y, z] = onBall(azimuth.C, way * elevation, radius + (nearShare * radius + 8 - radius) * Math.sin((elevation * Math.PI) / 180));
    path.add([rests * 0.3 * (elevation / 105), y, z], 'hang', 0, unit([0, y, z]));
  }
  const over = path.points.at(-1) as Vec3;
  path.curve(
    over,
    [0.6 * rests, over[1] - 50, over[2] * 1.05],
    [rests, -endDownMm, way * (outward * 0.7)],
    'hang',
    [0, 0, way],
    [0, 0, way],
  );
}

/** How far to the wearer's right the end rests after the pass `at`, mm. */
function asideAt(passes: readonly Pass[], at: number, radius: number): number {
  const pass = passes[at];
  if (!pass) return radius + besideMm;
  if (pass.region !== 'C') return signs[pass.region] * (radius + besideMm);
  // In front it falls down the middle; behind it shows on the side that it goes to next.
  return pass.side === 'front' ? signs[passes[at + 1]?.region ?? 'C'] * (radius + besideMm) : 0;
}
