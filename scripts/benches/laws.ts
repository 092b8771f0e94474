import { rankingLaws, situations } from '../../tests/support/rankingLaws.ts';
import { report } from './report.ts';

const count = 6000;

/** How often each law of the ranking is broken, over situations that no test has seen. */
export function benchLaws(): void {
  const seed = Date.now();
  const samples = situations(count, seed);
  report(
    Object.entries(rankingLaws).map(([law, broken]) => {
      const share = samples.filter(broken).length / count;
      // Another draw would differ by so much two times in three.
      const sd = Math.sqrt((share * (1 - share)) / count);
      return [law, `${(100 * share).toFixed(2)}% ±${(100 * sd).toFixed(2)}`, `of ${count} situations (seed ${seed}), at most 2%`];
    }),
  );
}
