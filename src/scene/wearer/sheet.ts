import { BufferAttribute, BufferGeometry, DoubleSide, Mesh, MeshStandardMaterial } from 'three';

export type At = readonly [x: number, y: number, z: number];

/** A curved piece of cloth or form: `place` gives x, y, z in mm for two shares from 0 to 1. */
export function sheetOf(colour: string, [across, down]: readonly [number, number], place: (u: number, v: number) => At): Mesh {
  const at = new Float32Array(3 * (across + 1) * (down + 1));
  const index: number[] = [];
  for (let i = 0; i <= down; i++) {
    for (let j = 0; j <= across; j++) {
      at.set(place(j / across, i / down), 3 * (i * (across + 1) + j));
      if (i === down || j === across) continue;
      const v = i * (across + 1) + j;
      index.push(v, v + across + 1, v + 1, v + 1, v + across + 1, v + across + 2);
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(at, 3));
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  const mesh = new Mesh(geometry, new MeshStandardMaterial({ color: colour, roughness: 0.92, side: DoubleSide }));
  mesh.castShadow = true;
  mesh.receiveShadow = true;
  return mesh;
}

export function mix(a: number, b: number, share: number): number {
  return a + (b - a) * share;
}
