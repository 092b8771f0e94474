export type { Dyed as Cloth } from '../../core/tie/dyed.ts';

/** Fill of cloth running down (the blade) or across (the last band of a knot). */
export function clothFill(id: string, run: 'down' | 'across' | 'aside'): string {
  return `url(#${id}-${run})`;
}
