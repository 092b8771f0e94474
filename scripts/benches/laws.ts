import { rankingLaws, situations } from '../../tests/support/rankingLaws.ts';
import { report } from './report.ts';

const count = 2000;

/** How often each law of the ranking is broken, over situations that no test has seen. */
export function benchLaws(): void {
  const seed = Date.now();
  const samples = situations(count, seed);
  report(
    Object.entries(rankingLaws).map(([law, broken]) => [
      law,
      `${((100 * samples.filter(broken).length) / count).toFixed(2)}%`,
      `of ${count} situations (seed ${seed}), at most 2%`,
    ]),
  );
}
