import { readFileSync } from 'node:fs';
import { Session } from 'node:inspector/promises';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { ClothIndex } from '../../src/contract/clothIndex.ts';
import { Contacts } from '../../src/core/cloth/contact/contacts.ts';
import { unpackCloth } from '../../src/core/cloth/mesh/compact.ts';
import { referenceTie, referenceTying } from '../../src/core/cloth/reference.ts';
import { Simulation } from '../../src/core/cloth/simulate.ts';
import { enumerateKnots, formatKnot, takeUp } from '../../src/core/index.ts';
import { paintRequest } from '../../src/core/seen/paintRequest.ts';
import { paintCloth } from '../../src/core/seen/picture.ts';
import { readyFolder } from '../cloth/readyFolder.ts';
import { report } from './report.ts';

type Line = readonly [string, string, string];

const mostMoves = 9;
const passes = 200;
const paint = { fabric: 'woven-silk', pattern: 'stripe', colours: ['#3c508c', '#e6dcb4'] } as const;
const picture = { widthPx: 420, heightPx: 400, heightMm: 150 } as const;

/** Tying in cloth against what the formulas cost, where its time goes, and drawing what was tied. */
export async function benchCloth(): Promise<void> {
  const lines: Line[] = [];
  const session = new Session();
  session.connect();
  await session.post('Profiler.enable');
  await session.post('Profiler.start');
  for (let moves = 3; moves <= mostMoves; moves++) {
    const knot = enumerateKnots(mostMoves).find((each) => each.moves.length === moves);
    if (!knot) continue;
    const simulation = new Simulation(referenceTying(knot));
    const seconds = secondsOf(() => {
      while (!simulation.isTied) simulation.run(100);
    });
    const formula = secondsOf(() => {
      for (let i = 0; i < 1000; i++) takeUp(knot, referenceTie, { loopMm: 420, tailMm: 350 });
    });
    lines.push([
      `${moves} moves: ${formatKnot(knot)}`,
      `${seconds.toFixed(2)} s`,
      `${Math.round((1e6 * seconds) / (1000 * formula))} × its formula`,
    ]);
    if (moves === mostMoves) lines.push(contactLine(simulation));
  }
  const { profile } = await session.post('Profiler.stop');
  session.disconnect();
  lines.push(sharesLine(profile), ...pictureLines());
  report(lines);
}

function secondsOf(work: () => void): number {
  const started = performance.now();
  work();
  return (performance.now() - started) / 1000;
}

/** What one contact costs in a knot that is drawn up. */
function contactLine({ mesh }: Simulation): Line {
  const contacts = new Contacts(mesh, 0);
  contacts.follow();
  const before = mesh.position.slice();
  const seconds = secondsOf(() => {
    for (let i = 0; i < passes; i++) {
      // As pressed as it was: a pass undoes itself what the next would have to do.
      mesh.position.set(before);
      contacts.pass();
    }
  });
  return [
    'one contact in one pass',
    `${((1e9 * seconds) / passes / contacts.touching).toFixed(0)} ns`,
    `${contacts.touching} touch in that knot`,
  ];
}

interface Profile {
  readonly nodes: readonly { readonly id: number; readonly callFrame: { readonly url: string } }[];
  readonly samples?: readonly number[] | undefined;
  readonly timeDeltas?: readonly number[] | undefined;
}

/** How the time of tying is shared out, by the files it was spent in. */
function sharesLine({ nodes, samples = [], timeDeltas = [] }: Profile): Line {
  const urlOf = new Map(nodes.map(({ id, callFrame }) => [id, callFrame.url]));
  const spent = { contact: 0, constraints: 0, bookkeeping: 0 };
  samples.forEach((id, i) => {
    const url = urlOf.get(id) ?? '';
    const isKernel = url.startsWith('wasm:');
    if (!isKernel && !url.includes('/core/cloth/')) return;
    const kind = isKernel || url.includes('/contact/') ? 'contact' : url.endsWith('/elastic.ts') ? 'constraints' : 'bookkeeping';
    spent[kind] += timeDeltas[i] ?? 0;
  });
  const all = spent.contact + spent.constraints + spent.bookkeeping;
  const share = (part: number) => `${Math.round((100 * part) / all)} %`;
  return [
    'contact, constraints, bookkeeping',
    `${share(spent.contact)}, ${share(spent.constraints)}, ${share(spent.bookkeeping)}`,
    'of the time tying',
  ];
}

function pictureLines(): Line[] {
  const index = JSON.parse(readFileSync(join(readyFolder, 'index.json'), 'utf8')) as ClothIndex;
  const classic = Object.entries(index.knots).filter(([code]) => /^\d/.test(code));
  const bytes = classic.map(([, knot]) => knot.bytes);
  const total = bytes.reduce((sum, each) => sum + each, 0);
  const packed = gunzipSync(readFileSync(join(readyFolder, '8.8.bin.gz')));
  const unpacking = secondsOf(() => unpackCloth(packed));
  const cloth = unpackCloth(packed);
  const turns = Array.from({ length: 20 }, (_, i) => 18 * i);
  const painting = secondsOf(() => {
    for (const turn of turns) paintCloth(cloth, paintRequest(paint, picture, turn, 'right'));
  });
  return [
    [
      'a ready mesh, packed',
      `${Math.round(total / bytes.length)} bytes`,
      `${Math.round(total / 1000)} kB for ${bytes.length} classic words`,
    ],
    ['a mesh read, once its bytes are there', `${(1000 * unpacking).toFixed(1)} ms`, ''],
    [
      `painted without a graphics card, ${picture.widthPx} × ${picture.heightPx}`,
      `${((1000 * painting) / turns.length).toFixed(0)} ms`,
      'a frame',
    ],
  ];
}
