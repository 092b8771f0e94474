import { Camera } from 'lucide-react';
import { useId, useState } from 'react';
import type { ColourShare } from '../../core/colour/cloth.ts';
import { paletteOfPhoto } from '../device/paletteOfPhoto.ts';
import { FileInput } from './FileInput.tsx';

interface FromPhotoProps {
  /** What the colours are of. */
  readonly label: string;
  readonly onPalette: (palette: readonly ColourShare[]) => void;
}

/** Reads the colours of a fabric from a photo of it, which never leaves the machine. */
export function FromPhoto({ label, onPalette }: FromPhotoProps) {
  const id = useId();
  const [state, setState] = useState<{ readonly reading: boolean; readonly fault?: string }>({ reading: false });
  const read = async (file: File | undefined) => {
    if (!file) return;
    setState({ reading: true });
    try {
      onPalette(await paletteOfPhoto(file));
      setState({ reading: false });
    } catch (error) {
      setState({ reading: false, fault: error instanceof Error ? error.message : 'That picture can’t be read.' });
    }
  };
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2">
      <label
        htmlFor={id}
        title="The photo stays on this device."
        className="flex min-h-9 cursor-pointer items-center gap-1 text-set focus-within:outline-3"
      >
        <Camera aria-hidden className="size-4" /> From a photo
        <span className="sr-only"> of the fabric: {label}</span>
        <FileInput id={id} accept="image/*" onFile={(file) => void read(file)} />
      </label>
      <span role="status" className={`text-note ${state.fault ? 'text-outside' : 'text-soft'}`}>
        {state.reading ? 'Reading the photo…' : state.fault}
      </span>
    </span>
  );
}
