/** Shares of a triangle's corners in the point of it that was last found nearest. */
export let shareA: f64 = 0;
export let shareB: f64 = 0;
export let shareC: f64 = 0;

/**
 * Square of the distance from a point to a triangle. `a`, `b`, `c` are places in `p` of x, y, z.
 * Source: Ericson, "Real-Time Collision Detection" (2005), 5.1.5.
 */
export function nearestOnTriangle(p: StaticArray<f64>, px: f64, py: f64, pz: f64, a: i32, b: i32, c: i32): f64 {
  const ax = p[a];
  const ay = p[a + 1];
  const az = p[a + 2];
  const abx = p[b] - ax;
  const aby = p[b + 1] - ay;
  const abz = p[b + 2] - az;
  const acx = p[c] - ax;
  const acy = p[c + 1] - ay;
  const acz = p[c + 2] - az;
  const x = px - ax;
  const y = py - ay;
  const z = pz - az;
  const d1 = abx * x + aby * y + abz * z;
  const d2 = acx * x + acy * y + acz * z;
  const bb = abx * abx + aby * aby + abz * abz;
  const cc = acx * acx + acy * acy + acz * acz;
  const bc = abx * acx + aby * acy + abz * acz;
  const d3 = d1 - bb;
  const d4 = d2 - bc;
  const d5 = d1 - bc;
  const d6 = d2 - cc;
  let sb: f64;
  let sc: f64;
  const vc = d1 * d4 - d3 * d2;
  const vb = d5 * d2 - d1 * d6;
  const va = d3 * d6 - d5 * d4;
  if (d1 <= 0 && d2 <= 0) {
    sb = 0;
    sc = 0;
  } else if (d3 >= 0 && d4 <= d3) {
    sb = 1;
    sc = 0;
  } else if (vc <= 0 && d1 >= 0 && d3 <= 0 && bb > 0) {
    sb = d1 / (d1 - d3);
    sc = 0;
  } else if (d6 >= 0 && d5 <= d6) {
    sb = 0;
    sc = 1;
  } else if (vb <= 0 && d2 >= 0 && d6 <= 0) {
    sb = 0;
    sc = d2 / (d2 - d6);
  } else if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) {
    sc = (d4 - d3) / (d4 - d3 + (d5 - d6));
    sb = 1 - sc;
  } else {
    const all = va + vb + vc;
    sb = vb / all;
    sc = vc / all;
  }
  shareA = 1 - sb - sc;
  shareB = sb;
  shareC = sc;
  const dx = x - sb * abx - sc * acx;
  const dy = y - sb * aby - sc * acy;
  const dz = z - sb * abz - sc * acz;
  return dx * dx + dy * dy + dz * dz;
}
