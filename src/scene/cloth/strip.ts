import { BackSide, BufferAttribute, BufferGeometry, FrontSide, Group, Mesh, MeshPhysicalMaterial } from 'three';
import type { SeenStrand } from '../../core/cloth/mesh/compact.ts';
import { type Surface, smoothSurface } from '../../core/seen/surface.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import { stripTextures } from './stripTexture.ts';

const finer = 2;

/**
 * One strand of a tied knot as an onlooker sees it: its face in its cloth, its other side with the seam.
 * `side` is −1 where the wearer's right is on the picture's left, as it is when one faces him.
 */
export function stripOf(strand: SeenStrand, columns: number, paint: FabricLook, side: 1 | -1): Group {
  const { cloth } = smoothSurface(strand, columns, finer);
  let [wideMm, longMm] = [1, 1];
  for (let v = 0; v < cloth.length / 2; v++) {
    wideMm = Math.max(wideMm, 2 * Math.abs(cloth[2 * v] ?? 0));
    longMm = Math.max(longMm, cloth[2 * v + 1] ?? 0);
  }
  const strip = new Strip(paint, { wideMm, longMm });
  strip.lay(strand, columns, side);
  return strip.group;
}

/** How large the cloth of a strip is laid flat, and how much of its end is lined behind, mm. */
export interface StripCloth {
  readonly wideMm: number;
  readonly longMm: number;
  readonly liningMm?: number;
  /** Whether it is the other way round across: where all of the picture is mirrored and the cloth must not be. */
  readonly isTurned?: boolean;
}

/** A strip of cloth that can be laid again and again. */
export class Strip {
  readonly group = new Group();
  private geometry = new BufferGeometry();
  private readonly meshes: readonly Mesh[];
  private points = 0;

  constructor(
    paint: FabricLook,
    private readonly cloth: StripCloth,
  ) {
    const { face, seamSide } = stripTextures(paint, cloth.wideMm, cloth.longMm, cloth.liningMm);
    const sheen = fabrics[paint.fabric].sheen;
    const material = {
      roughness: 0.95 - 0.5 * sheen,
      metalness: 0,
      specularIntensity: 0.25 + 0.75 * sheen,
      shadowSide: FrontSide,
    } as const;
    this.meshes = [
      new Mesh(this.geometry, new MeshPhysicalMaterial({ ...material, map: face, side: FrontSide })),
      new Mesh(this.geometry, new MeshPhysicalMaterial({ ...material, map: seamSide, side: BackSide })),
    ];
    for (const mesh of this.meshes) {
      mesh.castShadow = true;
      mesh.receiveShadow = true;
      this.group.add(mesh);
    }
  }

  lay(strand: SeenStrand, columns: number, side: 1 | -1): void {
    const surface = smoothSurface(strand, columns, finer);
    const count = surface.rows * surface.columns;
    if (count !== this.points) this.begin(surface, side);
    this.points = count;
    const { position, cloth } = surface;
    const { wideMm, longMm, isTurned } = this.cloth;
    const at = this.geometry.getAttribute('position').array;
    const uv = this.geometry.getAttribute('uv').array;
    const across = isTurned ? -wideMm : wideMm;
    for (let v = 0; v < count; v++) {
      at[3 * v] = side * (position[3 * v] ?? 0);
      at[3 * v + 1] = position[3 * v + 1] ?? 0;
      at[3 * v + 2] = position[3 * v + 2] ?? 0;
      uv[2 * v] = (cloth[2 * v] ?? 0) / across + 0.5;
      uv[2 * v + 1] = (cloth[2 * v + 1] ?? 0) / longMm;
    }
    this.geometry.getAttribute('position').needsUpdate = true;
    this.geometry.getAttribute('uv').needsUpdate = true;
    this.geometry.computeVertexNormals();
    this.geometry.computeBoundingSphere();
  }

  private begin({ rows, columns }: Surface, side: 1 | -1): void {
    const index: number[] = [];
    for (let row = 0; row < rows - 1; row++) {
      for (let c = 0; c < columns - 1; c++) {
        const v = row * columns + c;
        // The mirror turns a triangle over: it is wound so that the outermost side of the winding is its front.
        if (side < 0) index.push(v, v + 1, v + columns, v + 1, v + columns + 1, v + columns);
        else index.push(v, v + columns, v + 1, v + 1, v + columns, v + columns + 1);
      }
    }
    this.geometry.dispose();
    this.geometry = new BufferGeometry();
    this.geometry.setAttribute('position', new BufferAttribute(new Float32Array(3 * rows * columns), 3));
    this.geometry.setAttribute('uv', new BufferAttribute(new Float32Array(2 * rows * columns), 2));
    this.geometry.setIndex(index);
    for (const mesh of this.meshes) mesh.geometry = this.geometry;
  }
}
