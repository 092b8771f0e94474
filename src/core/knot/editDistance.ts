/** Levenshtein's distance between two sequences: how many places have to be changed, put in or left out. */
export function editDistance<T>(one: readonly T[], other: readonly T[]): number {
  let row = other.map((_, i) => i + 1);
  row.unshift(0);
  one.forEach((item, i) => {
    const next = [i + 1];
    other.forEach((each, j) => {
      const [left = 0, above = 0, corner = 0] = [next[j], row[j + 1], row[j]];
      next.push(Math.min(left + 1, above + 1, corner + (item === each ? 0 : 1)));
    });
    row = next;
  });
  return row[other.length] ?? 0;
}
