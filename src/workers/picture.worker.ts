import { expose, type Remote } from 'comlink';
import type { SeenCloth } from '../core/cloth/mesh/compact.ts';
import { paintAlone } from '../core/seen/alone.ts';
import { frontEdges } from '../core/seen/front.ts';
import { paintOnPaper } from '../core/seen/onPaper.ts';
import { type PaintedSize, paintRequest } from '../core/seen/paintRequest.ts';
import type { FabricLook } from '../core/tie/fabricLook.ts';

let sheet: Promise<ImageBitmap> | undefined;

/** The sheet of small grey pictures; asked for again where it did not come. */
function wholeSheet(): Promise<ImageBitmap> {
  sheet ??= (async () => {
    const answer = await fetch('/cloth/atlas.png');
    if (!answer.ok) throw new Error('The small pictures did not come.');
    return createImageBitmap(await answer.blob());
  })();
  sheet.catch(() => {
    sheet = undefined;
  });
  return sheet;
}

/** The page's ground, as a rim that keeps dark knots apart where they overlap. */
const rim = '#eef2f5';
const rimPx = 2.5;
const rimSteps = 12;
/** The blade is drawn below the picture; of the knot's own it ends so far above the lower edge that none stands out beside that. */
const bladeMm = -2.5;

function canvasOf(width: number, height: number) {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('There is nothing to paint on.');
  return { canvas, context };
}

const pictureWorker = {
  /** Some of the small pictures in one colour, each with a rim, in rows of so many: those at `cells` of the sheet of all. */
  async dye(
    colour: string,
    cells: readonly (readonly [x: number, y: number])[],
    [width, height]: readonly [number, number],
    columns: number,
  ): Promise<Blob> {
    const sheet = await wholeSheet();
    const size = [columns * width, Math.ceil(cells.length / columns) * height] as const;
    const grey = canvasOf(...size);
    for (const [i, [x, y]] of cells.entries())
      grey.context.drawImage(sheet, x, y, width, height, (i % columns) * width, Math.floor(i / columns) * height, width, height);
    const { canvas, context } = canvasOf(...size);
    context.drawImage(grey.canvas, 0, 0);
    context.globalCompositeOperation = 'multiply';
    context.fillStyle = colour;
    context.fillRect(0, 0, ...size);
    context.globalCompositeOperation = 'destination-in';
    context.drawImage(grey.canvas, 0, 0);
    // The grey ones are done with: their outline in the rim's colour, put down all around, costs a tenth of a blurred shadow.
    grey.context.globalCompositeOperation = 'source-in';
    grey.context.fillStyle = rim;
    grey.context.fillRect(0, 0, ...size);
    const rimmed = canvasOf(...size);
    for (let step = 0; step < rimSteps; step++) {
      const angle = (2 * Math.PI * step) / rimSteps;
      rimmed.context.drawImage(grey.canvas, rimPx * Math.cos(angle), rimPx * Math.sin(angle));
    }
    rimmed.context.drawImage(canvas, 0, 0);
    return rimmed.canvas.convertToBlob();
  },

  /** A knot without arms and without blade, in its cloth, as its wearer sees it in his mirror, its upper edge `topPx` down. */
  async paintAlone(cloth: SeenCloth, paint: FabricLook, size: PaintedSize, topPx: number): Promise<Blob> {
    const { canvas, context } = canvasOf(size.widthPx, size.heightPx);
    const request = paintRequest(paint, size, 0, 'left');
    const image = context.createImageData(size.widthPx, size.heightPx);
    const centrePx = [size.widthPx / 2, topPx + request.pxPerMm * frontEdges(cloth).top] as const;
    image.data.set(paintAlone(cloth, bladeMm, { ...request, centrePx }));
    context.putImageData(image, 0, 0);
    return canvas.convertToBlob();
  },

  /** A tie being tied, for paper: in greys, its edges inked, the middle of the winding a fifth down. */
  async paintOnPaper(cloth: SeenCloth, size: PaintedSize, isFacing: boolean): Promise<Blob> {
    const { canvas, context } = canvasOf(size.widthPx, size.heightPx);
    const image = context.createImageData(size.widthPx, size.heightPx);
    const { widthPx, heightPx } = size;
    const centrePx = [widthPx / 2, heightPx / 5] as const;
    image.data.set(paintOnPaper(cloth, { widthPx, heightPx, pxPerMm: heightPx / size.heightMm, centrePx, facing: isFacing }));
    context.putImageData(image, 0, 0);
    return canvas.convertToBlob();
  },
};

export type PictureWorker = Remote<typeof pictureWorker>;

expose(pictureWorker);
