import { expose, type Remote } from 'comlink';
import type { ColourShare } from '../core/colour/cloth.ts';
import { paletteOf } from '../core/colour/palette.ts';

/** A larger picture says nothing more about its colours. */
const longestSidePx = 320;
/** Edges of a photo show the table; the cloth lies in the middle. */
const middle = 0.8;

const paletteWorker = {
  /** The main colours of a photo of cloth. The picture is looked at here and goes nowhere else. */
  palette(photo: ImageBitmap): ColourShare[] {
    const scale = Math.min(1, longestSidePx / Math.max(photo.width, photo.height));
    const width = Math.max(1, Math.round(photo.width * scale));
    const height = Math.max(1, Math.round(photo.height * scale));
    const context = new OffscreenCanvas(width, height).getContext('2d');
    if (!context) throw new Error('This browser can’t read pictures.');
    // Neighbouring threads mixed together would be colours the cloth does not have.
    context.imageSmoothingEnabled = false;
    const cut = (1 - middle) / 2;
    context.drawImage(photo, photo.width * cut, photo.height * cut, photo.width * middle, photo.height * middle, 0, 0, width, height);
    photo.close();
    return paletteOf(context.getImageData(0, 0, width, height).data);
  },
};

export type PaletteWorker = Remote<typeof paletteWorker>;

expose(paletteWorker);
