import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { StepsIndex } from '../../src/contract/clothIndex.ts';
import { referenceSteps } from '../../src/core/cloth/reference.ts';
import { Simulation } from '../../src/core/cloth/simulate.ts';
import { frameAt } from '../../src/core/cloth/steps/moment.ts';
import { unpackSequence } from '../../src/core/cloth/steps/sequence.ts';
import { settle } from '../../src/core/cloth/steps/settle.ts';
import { formatKnot, parseKnot } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import { tyingPaintRequest } from '../../src/core/seen/paintRequest.ts';
import { paintCloth } from '../../src/core/seen/picture.ts';
import { stepsFolder } from '../cloth/readyFolder.ts';
import { report } from './report.ts';

type Line = readonly [string, string, string];

const words = ['Li Ro Li Co T', 'Li Ro Ci Lo Ri Co T', 'Li Co Ri Lo Ci Ro Li Co T'];
const silk = { fabric: 'woven-silk', pattern: 'stripe', colours: ['#3c508c', '#e6dcb4'] } as const;
const picture = { widthPx: 480, heightPx: 480, heightMm: 320 } as const;

/** Settling the steps of a knot, against tying it whole on the same core; what is kept ready; and one frame of a movement. */
export function benchSteps(): void {
  report([...words.map(settled), ...ready()]);
}

function settled(word: string): Line {
  const knot = parseKnot(word);
  const request = referenceSteps(knot);
  settle(request, 1);
  const first = secondsOf(() => settle(request, 0));
  const rest = secondsOf(() => {
    for (let done = 1; done <= knot.moves.length + 1; done++) settle(request, done);
  });
  const simulation = new Simulation(request);
  const whole = secondsOf(() => simulation.run(Number.POSITIVE_INFINITY));
  const all = first + rest;
  return [
    `${knot.moves.length} moves: ${formatKnot(knot)}`,
    `${all.toFixed(2)} s`,
    `first ${first.toFixed(2)} s, ${(all / (knot.moves.length + 2)).toFixed(2)} a step; ${(all / whole).toFixed(2)} × tying it whole`,
  ];
}

function ready(): Line[] {
  const { knots } = JSON.parse(readFileSync(join(stepsFolder, 'index.json'), 'utf8')) as StepsIndex;
  const bytes = Object.values(knots).map((each) => each.bytes);
  const packed = gunzipSync(readFileSync(join(stepsFolder, `${knotCode(parseKnot(words[2] ?? ''))}.bin.gz`)));
  const reading = secondsOf(() => unpackSequence(packed));
  const sequence = unpackSequence(packed);
  const frames = 40;
  let shown = 0;
  const mixing = secondsOf(() => {
    for (let i = 0; i < frames; i++) if (frameAt(sequence, { of: 'moves', done: (8 * i) / frames })) shown++;
  });
  const frame = frameAt(sequence, { of: 'moves', done: 5 });
  const painting = secondsOf(() => {
    for (let i = 0; i < 10; i++) if (frame) paintCloth(frame, tyingPaintRequest(silk, picture, 9 * i, 'right'));
  });
  return [
    [
      'ready steps with their movement',
      `${Math.round(bytes.reduce((sum, each) => sum + each, 0) / bytes.length)} bytes`,
      `a knot, ${Math.max(...bytes)} at most`,
    ],
    ['all of them read', `${(1000 * reading).toFixed(0)} ms`, 'an eight-move knot'],
    ['one frame of a movement, mixed', `${((1000 * mixing) / shown).toFixed(1)} ms`, ''],
    [`painted without a graphics card, ${picture.widthPx} × ${picture.heightPx}`, `${(100 * painting).toFixed(0)} ms`, 'a frame'],
  ];
}

function secondsOf(work: () => void): number {
  const started = performance.now();
  work();
  return (performance.now() - started) / 1000;
}
