import { type QueryClient, queryOptions, skipToken, useQuery } from '@tanstack/react-query';
import { wrap } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { ClothIndex } from '../../contract/clothIndex.ts';
import type { SeenCloth } from '../../core/cloth/mesh/compact.ts';
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

/** Where a place of a sheet lies, counted row by row, px. */
function cellAt(at: number, columns: number, [width, height]: readonly [number, number]): readonly [x: number, y: number] {
  return [(at % columns) * width, Math.floor(at / columns) * height];
}

interface Dyed {
  readonly href: string;
  /** The knots in it, row by row. */
  readonly codes: readonly string[];
}

/** Small pictures of these knots tied in cloth of one colour, by their codes; nothing until they have come, and for knots that are not tied ready. */
export function useKnotPictures(colour: string, codes: readonly string[]): (code: string) => KnotPicture | undefined {
  const index = useQuery(indexQuery).data;
  const [dyed, setDyed] = useState<Dyed>();
  const shown = useRef<string>(undefined);
  // In an order of their own: another ranking of the same knots asks for no other pictures.
  const wanted = [...new Set(codes)].toSorted().join(' ');
  useEffect(() => {
    if (!index) return;
    const { codes: all, columns, cellPx } = index.atlas;
    const ready = wanted.split(' ').filter((code) => all.includes(code) && index.knots[code]);
    if (ready.length === 0) return;
    const cells = ready.map((code) => cellAt(all.indexOf(code), columns, cellPx));
    let gone = false;
    const show = (blob: Blob) => {
      if (gone) return;
      // The old ones are shown until the new ones are there.
      if (shown.current) URL.revokeObjectURL(shown.current);
      shown.current = URL.createObjectURL(blob);
      setDyed({ href: shown.current, codes: ready });
    };
    // Where they do not come the outlines stay.
    painter()
      .dye(colour, cells, cellPx, Math.min(columns, cells.length))
      .then(show, () => undefined);
    return () => {
      gone = true;
    };
  }, [index, colour, wanted]);
  return useMemo(() => {
    const pictures = index && dyed ? picturesIn(index, dyed) : undefined;
    return (code) => pictures?.get(code);
  }, [index, dyed]);
}

function picturesIn({ atlas, knots }: ClothIndex, { href, codes }: Dyed): ReadonlyMap<string, KnotPicture> {
  const { cellPx, pxPerMm, topPx } = atlas;
  const [width, height] = cellPx;
  const columns = Math.min(atlas.columns, codes.length);
  const sheetPx = [columns * width, Math.ceil(codes.length / columns) * height] as const;
  return new Map(
    codes.flatMap((code, at) => {
      const measures = knots[code]?.measures;
      if (!measures) return [];
      const { topMm, heightMm } = measures;
      return [[code, { href, sheetPx, cellPx: [...cellAt(at, columns, cellPx), width, height], pxPerMm, topPx, topMm, heightMm }]];
    }),
  );
}

const alone = { widthPx: 480, heightPx: 480, heightMm: 96 } as const;
const aloneTopPx = 40;

/** Painted once for as long as it is asked for now and then: a handle moved to and fro brings the same two knots again and again. */
function knotAloneQuery(code: string, cloth: SeenCloth | null | undefined, paint: FabricLook) {
  return queryOptions({
    queryKey: [paintedKey, code, paint],
    queryFn: cloth
      ? async ({ client }) => {
          giveBackUnshown(client);
          return URL.createObjectURL(await painter().paintAlone(cloth, paint, alone, aloneTopPx));
        }
      : skipToken,
    // Nothing that changes on record changes it: asked for anew, the one before would never be given back.
    staleTime: 'static',
    networkMode: 'always',
    retry: false,
  });
}

const paintedKey = 'painted';
const watched = new WeakSet<QueryClient>();

/** What was painted is the browser's to keep until it is told that nobody shows it any more. */
function giveBackUnshown(queries: QueryClient): void {
  if (watched.has(queries)) return;
  watched.add(queries);
  queries.getQueryCache().subscribe(({ type, query }) => {
    const href: unknown = query.state.data;
    if (type === 'removed' && query.queryKey[0] === paintedKey && typeof href === 'string') URL.revokeObjectURL(href);
  });
}

/** One knot in the tie's own cloth, larger, painted off the page's thread; nothing where it is not tied ready. */
export function useKnotInCloth(word: string | undefined, paint: FabricLook): KnotPicture | undefined {
  const code = word === undefined ? '' : knotCode(parseKnot(word));
  const cloth = useQuery({ ...readyClothQuery(code), enabled: code !== '' }).data;
  const measures = useQuery(indexQuery).data?.knots[code]?.measures;
  const href = useQuery(knotAloneQuery(code, cloth, paint)).data;
  return useMemo(() => {
    if (!href || !measures) return undefined;
    const { widthPx, heightPx, heightMm } = alone;
    return {
      href,
      sheetPx: [widthPx, heightPx],
      cellPx: [0, 0, widthPx, heightPx],
      pxPerMm: heightPx / heightMm,
      topPx: aloneTopPx,
      topMm: measures.topMm,
      heightMm: measures.heightMm,
      footMm: cloth ? frontFoot(cloth) : undefined,
    };
  }, [href, measures, cloth]);
}
