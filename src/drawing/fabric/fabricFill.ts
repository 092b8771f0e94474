/** Fill of cloth running down (the blade) or across (the last band of a knot). */
export function fabricFill(id: string, run: 'down' | 'across' | 'aside'): string {
  return `url(#${id}-${run})`;
}
