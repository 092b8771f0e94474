import { packCloth, seenOf } from '../../src/core/cloth/compact.ts';
import { paintCloth } from '../../src/core/cloth/picture.ts';
import { referenceTie, referenceTying } from '../../src/core/cloth/reference.ts';
import { Simulation } from '../../src/core/cloth/simulate.ts';
import { weaves } from '../../src/core/cloth/weave.ts';
import { formatKnot, parseKnot, takeUp } from '../../src/core/index.ts';
import { report } from './report.ts';

const words = ['Lo Ri Co T', 'Li Ro Li Co T', 'Li Ro Ci Lo Ri Co T', 'Li Co Ri Lo Ci Ro Li Co T'];
const pictures = 20;

/** Tying in cloth against what the formulas cost, and drawing what was tied. */
export async function benchCloth(): Promise<void> {
  const lines: (readonly [string, string, string])[] = [];
  for (const word of words) {
    const knot = parseKnot(word);
    const simulation = new Simulation(referenceTying(knot));
    const started = performance.now();
    while (!simulation.isTied) simulation.run(100);
    const seconds = (performance.now() - started) / 1000;
    const before = performance.now();
    for (let i = 0; i < 1000; i++) takeUp(knot, referenceTie, { loopMm: 420, tailMm: 350 });
    const formula = (performance.now() - before) / 1000;
    lines.push([
      `tied in cloth: ${formatKnot(knot)}`,
      `${seconds.toFixed(2)} s`,
      `${Math.round((1000 * seconds) / formula)} × its formula`,
    ]);
    if (word !== words[1]) continue;
    const seen = seenOf(simulation.mesh);
    const painting = performance.now();
    for (let i = 0; i < pictures; i++)
      paintCloth(seen, {
        widthPx: 360,
        heightPx: 340,
        pxPerMm: 2.6,
        centrePx: [180, 143],
        turnDeg: 18 * i,
        colours: [
          [60, 80, 140],
          [230, 220, 180],
        ],
        weave: weaves.stripe,
        sheen: 0.5,
        facing: true,
      });
    const picture = (performance.now() - painting) / pictures;
    lines.push(['a picture of it, 360 × 340', `${picture.toFixed(1)} ms`, `${packCloth(seen).length} bytes before packing`]);
  }
  report(lines);
}
