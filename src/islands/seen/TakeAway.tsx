import type { SeenCloth } from '../../core/cloth/mesh/compact.ts';
import { paintRequest, tyingPaintRequest } from '../../core/seen/paintRequest.ts';
import { paintCloth } from '../../core/seen/picture.ts';
import { drawCloth } from '../../core/seen/vector.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { saveFile } from '../device/saveFile.ts';
import { Button } from '../ui/Button.tsx';

interface TakeAwayProps {
  /** What the file is called. */
  readonly name: string;
  readonly cloth: SeenCloth;
  readonly paint: FabricLook;
  readonly blade: 'right' | 'left';
  readonly turn: number;
  /** A tie that is still being tied takes more room than a knot, and shows both its sides. */
  readonly isTying?: boolean;
}

const print = { widthPx: 1680, heightPx: 1600 } as const;
const lines = { widthPx: 420, heightPx: 400 } as const;
const high = { knot: 150, tying: 330 } as const;

/** The knot as it stands turned, as a file for print: as points, or as shapes that stay sharp at any size. */
export function TakeAway({ name, cloth, paint, blade, turn, isTying = false }: TakeAwayProps) {
  const request = isTying ? tyingPaintRequest : paintRequest;
  const heightMm = isTying ? high.tying : high.knot;
  const points = () => {
    const canvas = new OffscreenCanvas(print.widthPx, print.heightPx);
    const context = canvas.getContext('2d');
    if (!context) return;
    const image = context.createImageData(print.widthPx, print.heightPx);
    image.data.set(paintCloth(cloth, request(paint, { ...print, heightMm }, turn, blade)));
    context.putImageData(image, 0, 0);
    void canvas.convertToBlob({ type: 'image/png' }).then((blob) => saveFile(`${name}.png`, blob));
  };
  const shapes = () =>
    saveFile(
      `${name}.svg`,
      new Blob([drawCloth(cloth, request(paint, { ...lines, heightMm }, turn, blade), name)], { type: 'image/svg+xml' }),
    );
  return (
    <p className="flex gap-4 text-note">
      <Button look="text" onClick={points}>
        {isTying ? 'This step: PNG' : 'Save as PNG'}
      </Button>
      <Button look="text" onClick={shapes}>
        {isTying ? 'This step: SVG' : 'Save as SVG'}
      </Button>
    </p>
  );
}
