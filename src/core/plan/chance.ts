/** Shares that people say without reckoning. */
const said: readonly (readonly [share: number, words: string])[] = [
  [1 / 10, '1 in 10'],
  [1 / 5, '1 in 5'],
  [1 / 4, '1 in 4'],
  [1 / 3, '1 in 3'],
  [2 / 5, '2 in 5'],
  [1 / 2, '1 in 2'],
  [3 / 5, '3 in 5'],
  [2 / 3, '2 in 3'],
  [3 / 4, '3 in 4'],
  [4 / 5, '4 in 5'],
  [9 / 10, '9 in 10'],
];
const seldomUnder = 0.07;
const nearlyAlwaysFrom = 0.95;

/** A chance as it is said: `1 in 3`. */
export function chanceInWords(chance: number): string {
  if (chance < seldomUnder) return 'under 1 in 15';
  if (chance >= nearlyAlwaysFrom) return 'nearly always';
  return said.reduce((best, each) => (Math.abs(each[0] - chance) < Math.abs(best[0] - chance) ? each : best))[1];
}
