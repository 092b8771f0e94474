import { BackSide, BufferAttribute, BufferGeometry, FrontSide, Group, Mesh, MeshPhysicalMaterial } from 'three';
import type { SeenStrand } from '../../core/cloth/mesh/compact.ts';
import { smoothSurface } from '../../core/seen/surface.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import { stripTextures } from './stripTexture.ts';

const finer = 2;

/**
 * One strand of a tied knot as an onlooker sees it: its face in its cloth, its other side with the seam.
 * `side` is −1 where the wearer's right is on the picture's left, as it is when one faces him.
 */
export function stripOf(strand: SeenStrand, columns: number, paint: FabricLook, side: 1 | -1): Group {
  const surface = smoothSurface(strand, columns, finer);
  const { rows, columns: fine, position, cloth } = surface;
  const count = rows * fine;
  let [wideMm, longMm] = [1, 1];
  for (let v = 0; v < count; v++) {
    wideMm = Math.max(wideMm, 2 * Math.abs(cloth[2 * v] ?? 0));
    longMm = Math.max(longMm, cloth[2 * v + 1] ?? 0);
  }
  const [at, uv] = [new Float32Array(3 * count), new Float32Array(2 * count)];
  for (let v = 0; v < count; v++) {
    at.set([side * (position[3 * v] ?? 0), position[3 * v + 1] ?? 0, position[3 * v + 2] ?? 0], 3 * v);
    uv.set([(cloth[2 * v] ?? 0) / wideMm + 0.5, (cloth[2 * v + 1] ?? 0) / longMm], 2 * v);
  }
  const index: number[] = [];
  for (let row = 0; row < rows - 1; row++) {
    for (let c = 0; c < fine - 1; c++) {
      const v = row * fine + c;
      // The mirror turns a triangle over: it is wound so that the outermost side of the winding is its front.
      if (side < 0) index.push(v, v + 1, v + fine, v + 1, v + fine + 1, v + fine);
      else index.push(v, v + fine, v + 1, v + 1, v + fine, v + fine + 1);
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(at, 3));
  geometry.setAttribute('uv', new BufferAttribute(uv, 2));
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  const { face, seamSide } = stripTextures(paint, wideMm, longMm);
  const sheen = fabrics[paint.fabric].sheen;
  const group = new Group();
  for (const [map, facing] of [
    [face, FrontSide],
    [seamSide, BackSide],
  ] as const) {
    const material = new MeshPhysicalMaterial({
      map,
      side: facing,
      roughness: 0.95 - 0.5 * sheen,
      metalness: 0,
      specularIntensity: 0.25 + 0.75 * sheen,
      shadowSide: FrontSide,
    });
    const mesh = new Mesh(geometry, material);
    mesh.castShadow = true;
    mesh.receiveShadow = true;
    group.add(mesh);
  }
  return group;
}
