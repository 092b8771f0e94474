import { transfer, wrap } from 'comlink';
import type { ColourShare } from '../../core/colour/cloth.ts';
import type { PaletteWorker } from '../../workers/palette.worker.ts';

/** The main colours of a photo, found in a worker. Throws a sentence for a file that is no picture. */
export async function paletteOfPhoto(file: File): Promise<ColourShare[]> {
  const photo = await createImageBitmap(file).catch(() => {
    throw new Error(`“${file.name}” isn’t a picture that can be read.`);
  });
  const thread = new Worker(new URL('../../workers/palette.worker.ts', import.meta.url), { type: 'module' });
  try {
    const worker = wrap(thread) as unknown as PaletteWorker;
    const palette = await worker.palette(transfer(photo, [photo]));
    if (palette.length === 0) throw new Error(`“${file.name}” is fully transparent: there are no colours in it.`);
    return palette;
  } finally {
    thread.terminate();
  }
}
