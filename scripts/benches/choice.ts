import { Bench } from 'tinybench';
import { plan } from '../../src/core/index.ts';
import { howSure } from '../../src/core/plan/howSure.ts';
import { whyNot } from '../../src/core/plan/whyNot.ts';
import { question } from './question.ts';
import { median, report } from './report.ts';

const samples = 500;
const asked = { ...question, taste: { knots: 'named' as const } };

/** “How sure” against the bare plans it is made of, and “why not” against one plan. */
export async function benchChoice(): Promise<void> {
  const bench = new Bench({ time: 4000, warmupTime: 500 });
  bench
    .add('plans', () => {
      for (let i = 0; i < samples; i++) plan(asked);
    })
    .add('how sure', () => {
      const trying = howSure(asked, samples, 1);
      while (!trying.next().done);
    })
    .add('why not', () => {
      whyNot(asked, 'Li Co Ri Lo Ci Ro Li Co T');
    });
  await bench.run();
  const [plans = 0, sure = 0, why = 0] = bench.tasks.map(median);
  report([
    [`${samples} plans of named knots`, `${plans.toFixed(0)} ms`, ''],
    [`how sure, ${samples} samples`, `${sure.toFixed(0)} ms`, `${(sure / plans).toFixed(2)} × its plans, at most 1.5`],
    ['why not, one knot', `${why.toFixed(1)} ms`, `${((why * samples) / plans).toFixed(1)} × one plan`],
  ]);
}
