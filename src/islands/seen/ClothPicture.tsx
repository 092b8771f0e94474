import { useEffect, useRef } from 'react';
import type { SeenCloth } from '../../core/cloth/mesh/compact.ts';
import { paintRequest } from '../../core/seen/paintRequest.ts';
import { paintCloth } from '../../core/seen/picture.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { useTurning } from './useTurning.ts';

interface ClothPictureProps {
  readonly cloth: SeenCloth;
  readonly paint: FabricLook;
  readonly title: string;
  /** The side the blade started on: from the left the knot comes out as in a mirror. */
  readonly blade: 'right' | 'left';
  readonly turn: number;
  readonly onTurn: (degrees: number) => void;
}

const size = { widthPx: 420, heightPx: 400, heightMm: 150 } as const;

/** A knot tied in cloth, painted from its mesh without a graphics card. */
export function ClothPicture({ cloth, paint, title, blade, turn, onTurn }: ClothPictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const turning = useTurning(title, turn, onTurn);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const image = context.createImageData(size.widthPx, size.heightPx);
    image.data.set(paintCloth(cloth, paintRequest(paint, size, turn, blade)));
    context.putImageData(image, 0, 0);
  }, [cloth, paint, turn, blade]);
  return (
    <canvas
      ref={canvas}
      width={size.widthPx}
      height={size.heightPx}
      {...turning}
      className="w-full cursor-grab touch-pan-y outline-offset-2 focus-visible:outline-3 focus-visible:outline-set"
    />
  );
}
