import { Button } from '../ui/Button.tsx';
import { savePng, saveSvg } from './drawingFile.ts';

interface TakeDrawingProps {
  /** The part of the page that holds the drawing, by its label. */
  readonly within: string;
  /** What the file is called. */
  readonly name: string;
}

/** A drawing of the page as a file for print or a letter. */
export function TakeDrawing({ within, name }: TakeDrawingProps) {
  const save = (write: (drawing: SVGSVGElement, name: string) => Promise<void>) => {
    const drawing = document.querySelector<SVGSVGElement>(`[aria-label="${within}"] svg[role=group]`);
    if (drawing) void write(drawing, name);
  };
  return (
    <span className="flex items-center gap-x-3 text-note">
      <Button look="text" className="min-h-6" onClick={() => save(saveSvg)}>
        {name}: SVG
      </Button>
      <Button look="text" className="min-h-6" aria-label={`${name}: PNG`} onClick={() => save(savePng)}>
        PNG
      </Button>
    </span>
  );
}
