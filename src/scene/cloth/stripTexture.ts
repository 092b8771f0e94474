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

export interface StripTextures {
  readonly face: DataTexture;
  /** The side with the seam: the ground in the shade, and the seam down its middle. */
  readonly seamSide: DataTexture;
}

/** The cloth of a strip laid flat, `wideMm` by `longMm`, in its colours, pattern and fabric. */
export function stripTextures({ colours, pattern, fabric }: FabricLook, wideMm: number, longMm: number): StripTextures {
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
      const shade = Math.abs(across) < seamHalfMm ? 0.4 * seamSideShade : seamSideShade;
      for (let k = 0; k < 3; k++) {
        face[at + k] = lit * (ink[k] ?? 0);
        seamSide[at + k] = shade * (ground[k] ?? 0);
      }
      face[at + 3] = 255;
      seamSide[at + 3] = 255;
    }
  }
  return { face: textureOf(face, width, height), seamSide: textureOf(seamSide, width, height) };
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
