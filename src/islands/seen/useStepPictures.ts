import { useEffect, useState } from 'react';
import type { SeenCloth } from '../../core/cloth/mesh/compact.ts';
import { painter } from './useKnotPictures.ts';

const size = { widthPx: 340, heightPx: 340, heightMm: 285 } as const;

/** Pictures of a tie being tied, for paper, painted off the page's thread one after the other; those that are not painted yet are missing. */
export function useStepPictures(frames: readonly (SeenCloth | undefined)[], isFacing: boolean): readonly (string | undefined)[] {
  const [painted, setPainted] = useState<readonly (string | undefined)[]>([]);
  useEffect(() => {
    let gone = false;
    const made: string[] = [];
    const paintAll = async () => {
      const hrefs: (string | undefined)[] = [];
      for (const frame of frames) {
        if (gone) return;
        if (frame) made.push(URL.createObjectURL(await painter().paintOnPaper(frame, size, isFacing)));
        hrefs.push(frame && made.at(-1));
        setPainted([...hrefs]);
      }
    };
    // Where they cannot be painted the words alone are printed.
    paintAll().catch(() => undefined);
    return () => {
      gone = true;
      for (const href of made) URL.revokeObjectURL(href);
    };
  }, [frames, isFacing]);
  return painted;
}
