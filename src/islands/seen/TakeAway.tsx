import type { SeenCloth } from '../../core/cloth/mesh/compact.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { paintRequest } from '../../core/seen/paintRequest.ts';
import { paintCloth } from '../../core/seen/picture.ts';
import { drawCloth } from '../../core/seen/vector.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { saveFile } from '../device/saveFile.ts';
import { Button } from '../ui/Button.tsx';

interface TakeAwayProps {
  readonly knot: MappedKnot;
  readonly cloth: SeenCloth;
  readonly paint: FabricLook;
  readonly blade: 'right' | 'left';
  readonly turn: number;
}

const print = { widthPx: 1680, heightPx: 1600, heightMm: 150 } as const;
const lines = { widthPx: 420, heightPx: 400, heightMm: 150 } as const;

/** The knot as it stands turned, as a file for print: as points, or as shapes that stay sharp at any size. */
export function TakeAway({ knot, cloth, paint, blade, turn }: TakeAwayProps) {
  const name = `${knot.title} in cloth`;
  const points = () => {
    const canvas = new OffscreenCanvas(print.widthPx, print.heightPx);
    const context = canvas.getContext('2d');
    if (!context) return;
    const image = context.createImageData(print.widthPx, print.heightPx);
    image.data.set(paintCloth(cloth, paintRequest(paint, print, turn, blade)));
    context.putImageData(image, 0, 0);
    void canvas.convertToBlob({ type: 'image/png' }).then((blob) => saveFile(`${name}.png`, blob));
  };
  const shapes = () =>
    saveFile(`${name}.svg`, new Blob([drawCloth(cloth, paintRequest(paint, lines, turn, blade), name)], { type: 'image/svg+xml' }));
  return (
    <p className="flex gap-4 text-note">
      <Button look="text" onClick={points}>
        Save as PNG
      </Button>
      <Button look="text" onClick={shapes}>
        Save as SVG
      </Button>
    </p>
  );
}
