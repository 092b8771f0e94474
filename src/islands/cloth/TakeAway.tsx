import type { SeenCloth } from '../../core/cloth/compact.ts';
import { paintRequest } from '../../core/cloth/seen/paintRequest.ts';
import { paintCloth } from '../../core/cloth/seen/picture.ts';
import { drawCloth } from '../../core/cloth/seen/vector.ts';
import type { FieldKnot } from '../../core/field/knotField.ts';
import type { Cloth } from '../../drawing/cloth/cloth.ts';
import { saveFile } from '../controls/saveFile.ts';

interface TakeAwayProps {
  readonly knot: FieldKnot;
  readonly cloth: SeenCloth;
  readonly paint: Cloth;
  readonly blade: 'right' | 'left';
  readonly turn: number;
}

const print = { widthPx: 1680, heightPx: 1600, heightMm: 150 } as const;
const lines = { widthPx: 420, heightPx: 400, heightMm: 150 } as const;

/** The knot as it is turned now, as a file for print: as points, or as shapes that stay sharp at any size. */
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
      <button type="button" className="min-h-8 cursor-pointer text-set underline" onClick={points}>
        Save as PNG
      </button>
      <button type="button" className="min-h-8 cursor-pointer text-set underline" onClick={shapes}>
        Save as SVG
      </button>
    </p>
  );
}
