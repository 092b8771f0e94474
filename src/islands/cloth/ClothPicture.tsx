import { useEffect, useRef, useState } from 'react';
import type { SeenCloth } from '../../core/cloth/compact.ts';
import { paintCloth, type Rgb } from '../../core/cloth/picture.ts';
import { weaves } from '../../core/cloth/weave.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import type { Cloth } from '../../drawing/cloth/cloth.ts';

interface ClothPictureProps {
  readonly cloth: SeenCloth;
  readonly paint: Cloth;
  readonly title: string;
  /** The side the blade started on: from the left the knot comes out as in a mirror. */
  readonly blade: 'right' | 'left';
}

const size = { width: 360, height: 340 } as const;
const pxPerMm = 2.6;
const degreesAKey = 10;
const degreesAPixel = 0.6;
const smooth = new Set(['satin', 'printed-silk', 'woven-silk']);

/** A knot tied in cloth, turned by dragging or by the arrow keys. */
export function ClothPicture({ cloth, paint, title, blade }: ClothPictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [turn, setTurn] = useState(0);
  const dragged = useRef<number>(undefined);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const first = rgb(paint.colours[0] ?? '#5a626b');
    const bytes = paintCloth(cloth, {
      widthPx: size.width,
      heightPx: size.height,
      pxPerMm,
      centrePx: [size.width / 2, size.height * 0.42],
      turnDeg: turn,
      colours: [first, paint.colours[1] ? rgb(paint.colours[1]) : first],
      weave: weaves[paint.pattern],
      sheen: smooth.has(paint.fabric) ? 1 - fabrics[paint.fabric].grip * 0.6 : 0.1,
      facing: blade === 'right',
    });
    const image = context.createImageData(size.width, size.height);
    image.data.set(bytes);
    context.putImageData(image, 0, 0);
  }, [cloth, paint, turn, blade]);
  const by = (degrees: number) => setTurn((now) => ((((now + degrees + 180) % 360) + 360) % 360) - 180);
  return (
    <canvas
      ref={canvas}
      width={size.width}
      height={size.height}
      role="slider"
      tabIndex={0}
      aria-label={`${title} tied in cloth; turn it by the arrow keys`}
      aria-valuemin={-180}
      aria-valuemax={180}
      aria-valuenow={Math.round(turn)}
      aria-valuetext={sideSeen(turn)}
      className="max-w-full cursor-grab touch-pan-y outline-offset-2 focus-visible:outline-3 focus-visible:outline-set"
      onKeyDown={(event) => {
        const step = { ArrowLeft: -degreesAKey, ArrowRight: degreesAKey }[event.key];
        if (step === undefined && event.key !== 'Home') return;
        event.preventDefault();
        if (step === undefined) setTurn(0);
        else by(step);
      }}
      onPointerDown={(event) => {
        dragged.current = event.clientX;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (dragged.current === undefined) return;
        by((event.clientX - dragged.current) * degreesAPixel);
        dragged.current = event.clientX;
      }}
      onPointerUp={() => {
        dragged.current = undefined;
      }}
    />
  );
}

function sideSeen(turn: number): string {
  const side = Math.abs(turn);
  if (side < 25) return 'from the front';
  if (side > 155) return 'from behind';
  return `from his ${turn > 0 ? 'right' : 'left'}${side < 65 ? ', half turned' : ''}`;
}

function rgb(colour: string): Rgb {
  const value = Number.parseInt(colour.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255];
}
