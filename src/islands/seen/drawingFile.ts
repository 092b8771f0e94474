import { saveFile } from '../device/saveFile.ts';

/** Points a millimetre, in a picture for print (about 150 to an inch). */
const pxPerMm = 6;
const font = '"Bricolage Grotesque Variable", "Bricolage Grotesque", system-ui, sans-serif';

/**
 * A drawing's markup as a file of its own, true to scale: what the page gives it (colours by name, typeface) written in.
 * `colourOf` gives the value of a custom property of the page.
 */
export function standalone(markup: string, colourOf: (name: string) => string): string {
  const [, width = '0', height = '0'] = /viewBox="[-\d.]+ [-\d.]+ ([\d.]+) ([\d.]+)"/.exec(markup) ?? [];
  return markup
    .replace(/^<svg[^>]*>/, (opening) => {
      const rest = opening.replace(/ (class|style|xmlns|width|height|role)="[^"]*"/g, '').slice('<svg'.length);
      return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" font-family='${font}'${rest}`;
    })
    .replace(/var\((--[\w-]+)\)/g, (_, name: string) => colourOf(name).trim());
}

/** Saves a drawing of the page as shapes that stay sharp at any size. */
export async function saveSvg(drawing: SVGSVGElement, name: string): Promise<void> {
  saveFile(`${name}.svg`, new Blob([await fileOf(drawing)], { type: 'image/svg+xml' }));
}

/** Saves a drawing of the page as points, on white. */
export async function savePng(drawing: SVGSVGElement, name: string): Promise<void> {
  const { width, height } = drawing.viewBox.baseVal;
  const picture = await loaded(`data:image/svg+xml;charset=utf-8,${encodeURIComponent(await fileOf(drawing))}`);
  const canvas = new OffscreenCanvas(Math.round(width * pxPerMm), Math.round(height * pxPerMm));
  const context = canvas.getContext('2d');
  if (!context) return;
  context.fillStyle = 'white';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(picture, 0, 0, canvas.width, canvas.height);
  saveFile(`${name}.png`, await canvas.convertToBlob({ type: 'image/png' }));
}

async function fileOf(drawing: SVGSVGElement): Promise<string> {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  // Handles are for the hand, not for paper.
  for (const handle of copy.querySelectorAll('[role=slider]')) handle.remove();
  await Promise.all([...copy.querySelectorAll('image')].map(writeIn));
  const page = getComputedStyle(document.documentElement);
  return standalone(new XMLSerializer().serializeToString(copy), (name) => page.getPropertyValue(name));
}

/** A picture that only this page knows becomes part of the drawing. */
async function writeIn(image: SVGImageElement): Promise<void> {
  const href = image.getAttribute('href');
  if (!href?.startsWith('blob:')) return;
  const picture = await loaded(href);
  const canvas = document.createElement('canvas');
  canvas.width = picture.naturalWidth;
  canvas.height = picture.naturalHeight;
  canvas.getContext('2d')?.drawImage(picture, 0, 0);
  image.setAttribute('href', canvas.toDataURL('image/png'));
}

async function loaded(src: string): Promise<HTMLImageElement> {
  const image = new Image();
  image.src = src;
  await image.decode();
  return image;
}
