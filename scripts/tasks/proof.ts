import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { runTask } from '../machine/failure.ts';
import { root } from '../machine/paths.ts';
import { meanOf, proveFitBook, type Stretch } from '../proof/proveFitBook.ts';

/** `npm run proof` runs simulated studios through the fit book, prints what came of it and draws it for the documents. */
const sizes = { clients: 120, ties: 80, knots: 12, people: 6, tyings: 1000, every: 50 } as const;
const seeds = [1, 2, 3, 4, 5, 6, 7, 8] as const;

/** Studios side by side, stretch by stretch. */
function together(runs: readonly (readonly Stretch[])[]): Stretch[] {
  const [first = []] = runs;
  return first.map((stretch, i) => {
    const here = runs.flatMap((run) => run[i] ?? []);
    const mean = (key: Parameters<typeof meanOf>[1]) => meanOf(here, key);
    return {
      records: stretch.records,
      tyings: here.reduce((sum, { tyings }) => sum + tyings, 0),
      formulaMm: mean('formulaMm'),
      bookMm: mean('bookMm'),
      oracleMm: mean('oracleMm'),
      formulaWithin: mean('formulaWithin'),
      bookWithin: mean('bookWithin'),
      oracleWithin: mean('oracleWithin'),
      band: mean('band'),
    };
  });
}

const width = 640;
const height = 300;
const margin = { top: 14, right: 150, bottom: 40, left: 52 } as const;

function chart(plain: readonly Stretch[], stood: readonly Stretch[]): string {
  const x = scaleLinear([0, sizes.tyings], [margin.left, width - margin.right]);
  const y = scaleLinear([0, 1], [height - margin.bottom, margin.top]);
  const of = (key: 'formulaWithin' | 'bookWithin' | 'oracleWithin', run: readonly Stretch[]) =>
    line<Stretch>()
      .x((_, i) => x((i + 0.5) * sizes.every))
      .y((stretch) => y(stretch[key]))([...run]) ?? '';
  const lines = [
    { d: of('oracleWithin', plain), dash: '2 4', says: 'all truths known', at: plain.at(-1)?.oracleWithin ?? 0 },
    { d: of('bookWithin', stood), dash: '', says: 'book, each tie stood once', at: (stood.at(-1)?.bookWithin ?? 0) + 0.02 },
    { d: of('bookWithin', plain), dash: '8 4', says: 'book', at: (plain.at(-1)?.bookWithin ?? 0) - 0.04 },
    { d: of('formulaWithin', plain), dash: '1 2', says: 'formulas alone', at: plain.at(-1)?.formulaWithin ?? 0 },
  ];
  const ticks = [0, 0.25, 0.5, 0.75, 1]
    .map(
      (share) =>
        `<path d="M${margin.left} ${y(share)}H${width - margin.right}" stroke="#d5dbe0"/><text x="${margin.left - 6}" y="${y(share) + 4}" text-anchor="end">${100 * share}%</text>`,
    )
    .join('');
  const days = [0, 250, 500, 750, 1000]
    .map((at) => `<text x="${x(at)}" y="${height - margin.bottom + 18}" text-anchor="middle">${at}</text>`)
    .join('');
  const drawn = lines
    .map(
      ({ d, dash, says, at }) =>
        `<path d="${d}" fill="none" stroke="#00695c" stroke-width="2" stroke-dasharray="${dash}"/><text x="${width - margin.right + 8}" y="${y(at) + 4}">${says}</text>`,
    )
    .join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-size="12" fill="#1b2630"><title>First tries within tolerance, by how many tyings are on record</title><rect width="${width}" height="${height}" fill="#fff"/>${ticks}${days}${drawn}<text x="${(margin.left + width - margin.right) / 2}" y="${height - 6}" text-anchor="middle">tyings on record</text></svg>\n`;
}

await runTask(async () => {
  const plain = together(seeds.map((seed) => proveFitBook({ ...sizes, seed, stands: false })));
  const stood = together(seeds.map((seed) => proveFitBook({ ...sizes, seed, stands: true })));
  const percent = (share: number) => `${Math.round(100 * share)}%`;
  console.log(
    '| tyings on record | formulas alone, mm | book, mm | book, each tie stood once, mm | all truths known, mm | first tries within 12.5 mm: formulas | book | stood | truths | 90% band holds |',
  );
  console.log('|---|---|---|---|---|---|---|---|---|---|');
  plain.forEach((stretch, i) => {
    if (i % 3 !== 0 && i !== plain.length - 1) return;
    const other = stood[i] ?? stretch;
    console.log(
      `| ${stretch.records} | ${stretch.formulaMm.toFixed(1)} | ${stretch.bookMm.toFixed(1)} | ${other.bookMm.toFixed(1)} | ${stretch.oracleMm.toFixed(1)} | ${percent(stretch.formulaWithin)} | ${percent(stretch.bookWithin)} | ${percent(other.bookWithin)} | ${percent(stretch.oracleWithin)} | ${percent(stretch.band)} |`,
    );
  });
  console.log(`\nOver all: the 90% band holds ${percent(meanOf(plain, 'band'))}, with stands ${percent(meanOf(stood, 'band'))}.`);
  writeFileSync(join(root, 'docs', 'fit-book.svg'), chart(plain, stood));
});
