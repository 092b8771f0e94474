import type { ClothMesh } from '../mesh/mesh.ts';

/** Of each face: its middle, three axes of a box around it, half the box's length along each, and the farthest corner from the middle. */
const each = 16;

/** The faces between neighbouring rows and columns, each in a box of its own: enough to tell at once that a point is far from one. */
export class Faces {
  /** The vertex of each face in its first row and column. */
  readonly first: Int32Array;
  /** Two triangles a face, three vertices each; all first corners lie in its first row. */
  readonly corners: Int32Array;
  readonly count: number;
  private readonly boxes: Float64Array;
  private readonly measuredIn: Int32Array;
  private time = 0;

  constructor(private readonly mesh: ClothMesh) {
    this.first = firstVertices(mesh);
    this.count = this.first.length;
    this.corners = trianglesOf(this.first, mesh);
    this.boxes = new Float64Array(each * this.count);
    this.measuredIn = new Int32Array(this.count);
  }

  /** What was measured before counts no more: the cloth has moved. */
  outdate(): void {
    this.time++;
  }

  /** Largest distance of a corner from the middle, mm. */
  sizeOf(face: number): number {
    this.measure(face);
    return this.boxes[each * face + 15];
  }

  /** A face's middle along an axis, mm; as last measured. */
  middleOf(face: number, axis: 0 | 1 | 2): number {
    return this.boxes[each * face + axis];
  }

  /** A place is at least so far from any point of the face, mm: as far as from its box. */
  leastApart(face: number, px: number, py: number, pz: number): number {
    if (this.measuredIn[face] !== this.time) this.measure(face);
    const { boxes } = this;
    const i = each * face;
    const x = px - boxes[i];
    const y = py - boxes[i + 1];
    const z = pz - boxes[i + 2];
    const r = Math.max(0, Math.abs(x * boxes[i + 3] + y * boxes[i + 4] + z * boxes[i + 5]) - boxes[i + 12]);
    const t = Math.max(0, Math.abs(x * boxes[i + 6] + y * boxes[i + 7] + z * boxes[i + 8]) - boxes[i + 13]);
    const n = Math.max(0, Math.abs(x * boxes[i + 9] + y * boxes[i + 10] + z * boxes[i + 11]) - boxes[i + 14]);
    return Math.sqrt(r * r + t * t + n * n);
  }

  /** Lays the box along the plane across both diagonals, and in that plane along the row. */
  private measure(face: number): void {
    const { boxes, mesh } = this;
    const { position: p, columns } = mesh;
    const i = each * face;
    const a = 3 * this.first[face];
    const b = a + 3;
    const c = a + 3 * columns;
    const d = c + 3;
    const ux = p[d] - p[a];
    const uy = p[d + 1] - p[a + 1];
    const uz = p[d + 2] - p[a + 2];
    const wx = p[b] - p[c];
    const wy = p[b + 1] - p[c + 1];
    const wz = p[b + 2] - p[c + 2];
    // Both diagonals together run along the row.
    setUnit(boxes, i + 3, ux + wx, uy + wy, uz + wz);
    setUnit(boxes, i + 9, wy * uz - wz * uy, wz * ux - wx * uz, wx * uy - wy * ux);
    const rx = boxes[i + 3];
    const ry = boxes[i + 4];
    const rz = boxes[i + 5];
    const nx = boxes[i + 9];
    const ny = boxes[i + 10];
    const nz = boxes[i + 11];
    setUnit(boxes, i + 6, ny * rz - nz * ry, nz * rx - nx * rz, nx * ry - ny * rx);
    // Summed row by row: the same for a face in a mirror, to the bit.
    const mx = (p[a] + p[b] + (p[c] + p[d])) / 4;
    const my = (p[a + 1] + p[b + 1] + (p[c + 1] + p[d + 1])) / 4;
    const mz = (p[a + 2] + p[b + 2] + (p[c + 2] + p[d + 2])) / 4;
    boxes[i] = mx;
    boxes[i + 1] = my;
    boxes[i + 2] = mz;
    for (let axis = 0; axis < 3; axis++) {
      const k = i + 3 + 3 * axis;
      const ex = boxes[k];
      const ey = boxes[k + 1];
      const ez = boxes[k + 2];
      const ofA = Math.abs((p[a] - mx) * ex + (p[a + 1] - my) * ey + (p[a + 2] - mz) * ez);
      const ofB = Math.abs((p[b] - mx) * ex + (p[b + 1] - my) * ey + (p[b + 2] - mz) * ez);
      const ofC = Math.abs((p[c] - mx) * ex + (p[c + 1] - my) * ey + (p[c + 2] - mz) * ez);
      const ofD = Math.abs((p[d] - mx) * ex + (p[d + 1] - my) * ey + (p[d + 2] - mz) * ez);
      boxes[i + 12 + axis] = Math.max(ofA, ofB, ofC, ofD);
    }
    const inner = Math.max(squareTo(p, a, mx, my, mz), squareTo(p, b, mx, my, mz));
    boxes[i + 15] = Math.sqrt(Math.max(inner, squareTo(p, c, mx, my, mz), squareTo(p, d, mx, my, mz)));
    this.measuredIn[face] = this.time;
  }
}

function squareTo(p: Float64Array, i: number, x: number, y: number, z: number): number {
  const dx = p[i] - x;
  const dy = p[i + 1] - y;
  const dz = p[i + 2] - z;
  return dx * dx + dy * dy + dz * dz;
}

function firstVertices({ columns, active, standing }: ClothMesh): Int32Array {
  const all: number[] = [];
  for (const { first, rows } of [active, standing])
    for (let row = 0; row < rows - 1; row++) for (let column = 0; column < columns - 1; column++) all.push(first + row * columns + column);
  return Int32Array.from(all);
}

/**
 * Two triangles a face, their corners as vertices of the mesh. Diagonals alternate, so that the cloth has no grain of its
 * own, and are the same from either edge to the middle, so that it has no left or right.
 */
function trianglesOf(first: Int32Array, { columns, standing }: ClothMesh): Int32Array {
  const corners = new Int32Array(6 * first.length);
  first.forEach((vertex, face) => {
    const along = vertex < standing.first ? vertex : vertex - standing.first;
    const [row, column] = [Math.floor(along / columns), along % columns];
    const inward = column < (columns - 1) / 2;
    const v = inward ? vertex : vertex + 1;
    const w = inward ? vertex + 1 : vertex;
    const even = (row + (inward ? column : columns - 2 - column)) % 2 === 0;
    corners.set(even ? [v, w, v + columns, w, w + columns, v + columns] : [v, w, w + columns, v, w + columns, v + columns], 6 * face);
  });
  return corners;
}

function setUnit(into: Float64Array, i: number, x: number, y: number, z: number): void {
  const length = Math.sqrt(x * x + y * y + z * z) || 1;
  into[i] = x / length;
  into[i + 1] = y / length;
  into[i + 2] = z / length;
}
