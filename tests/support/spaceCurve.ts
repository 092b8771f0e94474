import type { Knot, Region } from '../../src/core/index.ts';
import type { Vec3 } from '../../src/core/numeric/vector.ts';

const firstRadius = 50;
const layer = 8;
const far = 5000;
/** Where the regions and the blade's arm lie around the crossing, degrees. */
const azimuth: Readonly<Record<Region, number>> = { L: 200, C: 90, R: -20 };
const bladeArmAzimuth = 50;
const passElevation = 48;

/**
 * The blade's strand of a tied knot with the narrow end and its arm drawn out, as a closed
 * curve: it winds on a growing ball, later layers outside earlier ones, in front for `i`
 * and behind for `o`; the tuck goes down just inside the last front band,
 * a panel or a hidden end outside everything. Both ends run far
 * away and are joined there.
 */
export function bladeStrand({ moves, finish }: Knot): Vec3[] {
  const points: Vec3[] = [onBall(bladeArmAzimuth, 0, far), onBall(bladeArmAzimuth, 0, firstRadius), onBall(azimuth.R, 0, firstRadius)];
  let at = azimuth.R;
  let radius = firstRadius;
  let bandRadius = 0;
  moves.forEach(({ region, direction }, i) => {
    const isBand = finish === 'tuck' && i === moves.length - 2;
    const turn = shortWay(azimuth[region] - at);
    const elevation = direction === 'i' ? passElevation : -passElevation;
    const next = radius + layer * (isBand ? 1.3 : 1);
    for (let step = 1; step <= 6; step++) {
      const share = step / 6;
      const here = radius + (next - radius) * share;
      points.push(onBall(at + turn * share, elevation * Math.sin(Math.PI * share), here));
      if (isBand && step === 3) bandRadius = here;
    }
    at += turn;
    radius = next;
  });
  // Without a tuck the end goes over everything that lies in front.
  const inside = finish === 'tuck' ? bandRadius - 1.15 * layer : radius + layer;
  for (let elevation = 20; elevation <= 160; elevation += 10) {
    const share = Math.min(1, Math.max(0, (elevation - 40) / 60));
    points.push(onBall(azimuth.C, elevation, radius + (inside - radius) * share));
  }
  points.push(onBall(-90, 20, far), [2 * far, -2 * far, 2 * far], [2 * far, 2 * far, 2 * far]);
  return points;
}

/** The same angle between −180° and 180°, however often the strand has gone round. */
function shortWay(degrees: number): number {
  return degrees - 360 * Math.round(degrees / 360);
}

function onBall(azimuthDeg: number, elevationDeg: number, radius: number): Vec3 {
  const a = (azimuthDeg * Math.PI) / 180;
  const e = (elevationDeg * Math.PI) / 180;
  return [radius * Math.cos(e) * Math.cos(a), radius * Math.cos(e) * Math.sin(a), radius * Math.sin(e)];
}
