import { useQuery } from '@tanstack/react-query';
import { wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { ClothIndex } from '../../contract/clothIndex.ts';
import { knotCode } from '../../core/knot/code.ts';
import { parseKnot } from '../../core/knot/parse.ts';
import { frontFoot } from '../../core/seen/front.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import type { KnotPicture } from '../../drawing/knot/picture.ts';
import type { PictureWorker } from '../../workers/picture.worker.ts';
import { readyClothQuery } from './readyCloth.ts';

const indexQuery = {
  queryKey: ['cloth', 'index'],
  staleTime: Number.POSITIVE_INFINITY,
  queryFn: async () => {
    const answer = await fetch('/cloth/index.json');
    if (!answer.ok) throw new Error('The list of knots in cloth did not come.');
    return (await answer.json()) as ClothIndex;
  },
} as const;

let started: PictureWorker | undefined;

/** Painting is done off the page's thread, by one worker for all of a page. */
export function painter(): PictureWorker {
  started ??= wrap<PictureWorker>(
    new Worker(new URL('../../workers/picture.worker.ts', import.meta.url), { type: 'module' }),
  ) as unknown as PictureWorker;
  return started;
}

/** Small pictures of knots tied in cloth of one colour, by their words; nothing until they have come, and for knots that are not tied ready. */
export function useKnotPictures(colour: string): (word: string) => KnotPicture | undefined {
  const index = useQuery(indexQuery).data;
  const [href, setHref] = useState<string>();
  const shown = useRef<string>(undefined);
  useEffect(() => {
    let gone = false;
    const show = (blob: Blob) => {
      if (gone) return;
      // The old ones are shown until the new ones are there.
      if (shown.current) URL.revokeObjectURL(shown.current);
      shown.current = URL.createObjectURL(blob);
      setHref(shown.current);
    };
    // Where they do not come the outlines stay.
    painter()
      .dyeAll(colour)
      .then(show, () => undefined);
    return () => {
      gone = true;
    };
  }, [colour]);
  if (!index || !href) return nothing;
  const { atlas, knots } = index;
  const { cellPx, columns, rows, pxPerMm, topPx, codes } = atlas;
  const [width, height] = cellPx;
  return (word) => {
    const code = knotCode(parseKnot(word));
    const at = codes.indexOf(code);
    const measures = knots[code]?.measures;
    if (at < 0 || !measures) return undefined;
    return {
      href,
      sheetPx: [columns * width, rows * height],
      cellPx: [(at % columns) * width, Math.floor(at / columns) * height, width, height],
      pxPerMm,
      topPx,
      topMm: measures.topMm,
      heightMm: measures.heightMm,
    };
  };
}

const alone = { widthPx: 480, heightPx: 480, heightMm: 96 } as const;
const aloneTopPx = 40;

/** One knot in the tie's own cloth, larger, painted off the page's thread; nothing where it is not tied ready. */
export function useKnotInCloth(word: string | undefined, paint: FabricLook): KnotPicture | undefined {
  const code = word === undefined ? '' : knotCode(parseKnot(word));
  const cloth = useQuery({ ...readyClothQuery(code), enabled: code !== '' }).data;
  const measures = useQuery(indexQuery).data?.knots[code]?.measures;
  const [painted, setPainted] = useState<{ readonly of: string; readonly href: string }>();
  const dye = JSON.stringify(paint);
  const wanted = `${code} ${dye}`;
  useEffect(() => {
    if (!cloth) return;
    let made: string | undefined;
    let gone = false;
    const show = (blob: Blob) => {
      if (gone) return;
      made = URL.createObjectURL(blob);
      setPainted({ of: wanted, href: made });
    };
    painter()
      .paintAlone(cloth, JSON.parse(dye) as FabricLook, alone, aloneTopPx)
      .then(show, () => undefined);
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [cloth, dye, wanted]);
  if (painted?.of !== wanted || !measures) return undefined;
  const { widthPx, heightPx, heightMm } = alone;
  return {
    href: painted.href,
    sheetPx: [widthPx, heightPx],
    cellPx: [0, 0, widthPx, heightPx],
    pxPerMm: heightPx / heightMm,
    topPx: aloneTopPx,
    topMm: measures.topMm,
    heightMm: measures.heightMm,
    footMm: cloth ? frontFoot(cloth) : undefined,
  };
}

const nothing = () => undefined;
