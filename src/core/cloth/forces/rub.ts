import type { ClothMesh } from '../mesh/mesh.ts';

/**
 * Friction on what doesn't move with the cloth: a point that was pressed off a surface along its way out, of length 1, is held back
 * along it, all of it up to `heldMm` (Coulomb: its grip's share of what presses it). `i` is where the point's x is.
 */
export function rub({ position: p, before: q }: ClothMesh, i: number, nx: number, ny: number, nz: number, heldMm: number): void {
  let x = p[i] - q[i];
  let y = p[i + 1] - q[i + 1];
  let z = p[i + 2] - q[i + 2];
  const along = x * nx + y * ny + z * nz;
  x -= along * nx;
  y -= along * ny;
  z -= along * nz;
  const slid = Math.sqrt(x * x + y * y + z * z);
  if (slid < 1e-9) return;
  const held = Math.min(1, heldMm / slid);
  p[i] -= held * x;
  p[i + 1] -= held * y;
  p[i + 2] -= held * z;
}
