import { Bench } from 'tinybench';
import { enumerateKnots, knotProperties, plan, takeUp } from '../../src/core/index.ts';
import { mappedKnots } from '../../src/core/knotMap/mappedKnots.ts';
import { supposeTie } from '../../src/core/tie/tie.ts';
import { startFor } from '../../src/core/tying/start.ts';
import { windingOf } from '../../src/core/tying/winding.ts';
import { question } from './question.ts';
import { median, report } from './report.ts';

const tie = supposeTie(question.tie);
const knots = enumerateKnots(9);
const mostMoves = 15;
const toEleven = enumerateKnots(11);

/** The ranking against the bare take-ups it is made of, and the enumeration. */
export async function benchCore(): Promise<void> {
  const bench = new Bench({ time: 1500, warmupTime: 300 });
  bench
    .add('85 take-ups', () => {
      for (const knot of knots) takeUp(knot, tie, { loopMm: 420, tailMm: 350 });
    })
    .add('plan of 85 knots', () => {
      plan(question);
    })
    .add(`enumeration to ${mostMoves} moves`, () => {
      enumerateKnots(mostMoves);
    })
    .add('properties of all to 11 moves', () => {
      for (const knot of toEleven) knotProperties(knot);
    })
    .add('the field for a new tie', () => {
      mappedKnots(question);
    });
  await bench.run();
  const [takeUps = 0, planning = 0, enumeration = 0, properties = 0, field = 0] = bench.tasks.map(median);
  const evaluations = knots.reduce((sum, knot) => sum + startFor(windingOf(knot), tie, { loopMm: 420, dropMm: 450 }).evaluations, 0);
  report([
    ['85 take-ups', `${takeUps.toFixed(3)} ms`, ''],
    ['plan of 85 knots', `${planning.toFixed(3)} ms`, `${(planning / takeUps).toFixed(1)} × 85 take-ups`],
    ['take-ups a knot while solving', (evaluations / knots.length).toFixed(2), 'at most 4'],
    [`enumeration to ${mostMoves} moves`, `${enumeration.toFixed(3)} ms`, `${enumerateKnots(mostMoves).length} knots`],
    [`properties of ${toEleven.length} knots`, `${properties.toFixed(3)} ms`, `${(properties / takeUps).toFixed(1)} × 85 take-ups`],
    ['the field for a new tie', `${field.toFixed(3)} ms`, `${(field / takeUps).toFixed(1)} × 85 take-ups`],
  ]);
}
