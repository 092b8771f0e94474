import type { Side } from '../mesh/loosePath.ts';
import type { ClothMesh } from '../mesh/mesh.ts';
import { rub } from './rub.ts';

/** Radius of the neck, and how far behind the knot's middle its front and the shirt are, mm. */
export const neckRadiusMm = 58;
export const shirtZMm = -25;
const axisZMm = shirtZMm - neckRadiusMm;
/** Before the body is there it stands this far back. */
const farBackMm = 160;

/** The neck goes over into the chest without an edge, within so much below the collar. */
const throatMm = 40;
/** The chest falls off to the sides by the square of how far they are over this, mm. */
export const chestRound = 420;

/** How far forward the body comes below the collar, mm: as the neck at y = 0, as the chest further down. */
function chestAt(x: number, y: number, shirt: number, axis: number): number {
  const neck = axis + (x * x < neckRadiusMm * neckRadiusMm ? Math.sqrt(neckRadiusMm * neckRadiusMm - x * x) : 0);
  const t = Math.min(1, -y / throatMm);
  return neck + t * t * (3 - 2 * t) * (shirt - (x * x) / chestRound - neck);
}

/**
 * Keeps cloth out of the shirt front and the neck, on which it slides as far as its `grip`, a share of what presses it, lets it.
 * `near` grows from 0 (far back) to 1 (in place).
 */
export function keepOffBody(mesh: ClothMesh, near: number, grip = 0): void {
  if (near <= 0) return;
  const { position: p, count } = mesh;
  const back = farBackMm * (1 - near);
  const shirt = shirtZMm - back;
  const axis = axisZMm - back;
  for (let i = 0; i < 3 * count; i += 3) {
    const x = p[i];
    const y = p[i + 1];
    const z = p[i + 2];
    if (y < 0) {
      const floor = chestAt(x, y, shirt, axis);
      if (z >= floor) continue;
      const pushed = 0.5 * (floor - z);
      p[i + 2] = z + pushed;
      if (grip > 0) rub(mesh, i, 0, 0, 1, grip * pushed);
      continue;
    }
    const dz = z - axis;
    const square = x * x + dz * dz;
    if (square >= neckRadiusMm * neckRadiusMm || square < 1) continue;
    const r = Math.sqrt(square);
    const share = (0.5 * (neckRadiusMm - r)) / r;
    p[i] = x + share * x;
    p[i + 2] = z + share * dz;
    if (grip > 0) rub(mesh, i, x / r, 0, dz / r, grip * share * r);
  }
}

/** How far the arms climb from the knot to the neck's sides: they lie under the collar's fold. */
const armsRiseMm = 28;

/** A working end that is hidden under the collar lies so far off the neck, over the arm that is there, mm. */
export const overArmMm = 9;

/** Where the arms leave for the nape: at the neck's sides, or so far off it. `side` is +1 on the wearer's right. */
export function neckPin(side: Side, offMm = 0): readonly [number, number, number] {
  const angle = (95 * Math.PI) / 180;
  const radius = neckRadiusMm + offMm;
  return [side * radius * Math.sin(angle), armsRiseMm, axisZMm + radius * Math.cos(angle)];
}
