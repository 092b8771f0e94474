import { ClampToEdgeWrapping, DataTexture, LinearFilter, LinearMipmapLinearFilter, SRGBColorSpace } from 'three';
import { rgbOf } from '../../core/colour/rgb.ts';
import { weaves } from '../../core/seen/weave.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { usualColours } from '../../core/usual.ts';
import { reliefs } from './relief.ts';

const pxPerMm = 2.5;
const seamHalfMm = 0.7;
/** How much darker the hollows of a relief are than its heights. */
const hollow = 0.45;
const seamSideShade = 0.62;
const stitchMm = 9;
const twillMm = 3;
/** A lining is of another cloth, greyer than the tie's. */
const liningGrey = 150;
const liningShare = 0.55;
const mix = (a: number, b: number, share: number) => a + (b - a) * share;

export interface StripTextures {
  readonly face: DataTexture;
  /** The side with the seam: the ground in the shade, the seam with its stitches down the middle, and the lining at the end. */
  readonly seamSide: DataTexture;
}

/** The cloth of a strip laid flat, `wideMm` by `longMm`, in its colours, pattern and fabric; the last `liningMm` are lined behind. */
export function stripTextures({ colours, pattern, fabric }: FabricLook, wideMm: number, longMm: number, liningMm = 0): StripTextures {
  const [width, height] = [Math.ceil(wideMm * pxPerMm), Math.ceil(longMm * pxPerMm)];
  const ground = rgbOf(colours[0] ?? usualColours.tie);
  const inks = [ground, colours[1] ? rgbOf(colours[1]) : ground] as const;
  const weave = weaves[pattern];
  const relief = reliefs[fabric];
  const [face, seamSide] = [new Uint8Array(4 * width * height), new Uint8Array(4 * width * height)];
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const [across, along] = [(x + 0.5) / pxPerMm - wideMm / 2, (y + 0.5) / pxPerMm];
      const at = 4 * (y * width + x);
      const ink = inks[weave(across, along)];
      const lit = 1 - hollow * (1 - relief(across, along));
      const lined = along > longMm - liningMm;
      const shade = lined ? liningShade(across, along) : Math.abs(across) < seamHalfMm ? seamShade(along) : seamSideShade;
      for (let k = 0; k < 3; k++) {
        face[at + k] = lit * (ink[k] ?? 0);
        seamSide[at + k] = shade * (lined ? mix(ground[k] ?? 0, liningGrey, liningShare) : (ground[k] ?? 0));
      }
      face[at + 3] = 255;
      seamSide[at + 3] = 255;
    }
  }
  return { face: textureOf(face, width, height), seamSide: textureOf(seamSide, width, height) };
}

/** Slip stitches along the seam, a long one and a gap. */
function seamShade(alongMm: number): number {
  return alongMm % stitchMm < 0.7 * stitchMm ? 0.35 * seamSideShade : 0.8 * seamSideShade;
}

/** The lining is a thin twill, lighter than the cloth is behind. */
function liningShade(acrossMm: number, alongMm: number): number {
  return (acrossMm + alongMm + 4 * twillMm * 1000) % twillMm < 0.4 * twillMm ? 0.78 : 0.92;
}

function textureOf(bytes: Uint8Array, width: number, height: number): DataTexture {
  const texture = new DataTexture(bytes, width, height);
  texture.colorSpace = SRGBColorSpace;
  texture.wrapS = ClampToEdgeWrapping;
  texture.wrapT = ClampToEdgeWrapping;
  texture.magFilter = LinearFilter;
  texture.minFilter = LinearMipmapLinearFilter;
  texture.generateMipmaps = true;
  texture.anisotropy = 4;
  texture.needsUpdate = true;
  return texture;
}
