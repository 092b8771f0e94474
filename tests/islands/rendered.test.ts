import assert from 'node:assert/strict';
import test from 'node:test';
import { type ComponentProps, createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import type { ImportReport } from '../../src/contract/exchange/report.ts';
import { inOneGo } from '../../src/contract/exchange/table.ts';
import { sayIn } from '../../src/contract/lengths.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import { formatKnot, parseKnot } from '../../src/core/index.ts';
import { mappedKnots } from '../../src/core/knotMap/mappedKnots.ts';
import { buyingBrief } from '../../src/core/wardrobe/buyingBrief.ts';
import { BriefInWords } from '../../src/islands/fitting/choose/brief/BriefInWords.tsx';
import { ServedOutfits } from '../../src/islands/fitting/choose/brief/ServedOutfits.tsx';
import { filterLabels, noFilters, passes } from '../../src/islands/knots/filters.ts';
import { Similar } from '../../src/islands/knots/KnotPanel.tsx';
import { KnotTable } from '../../src/islands/knots/KnotTable.tsx';
import { Merge } from '../../src/islands/records/form/Merge.tsx';
import { drawnRequest } from '../../src/islands/records/pictures/drawnRequest.ts';
import { OpeningInWords } from '../../src/islands/records/pictures/OpeningInWords.tsx';
import { choosing } from '../../src/islands/studio/chosenFile.ts';
import { Report } from '../../src/islands/studio/ImportReport.tsx';
import { ReasonList } from '../../src/islands/ui/ReasonList.tsx';
import { question } from '../support/ties.ts';

/** What a view says, without its marks. */
const says = (element: Parameters<typeof renderToStaticMarkup>[0]) =>
  renderToStaticMarkup(element)
    .replace(/<[^>]+>/g, ' ')
    .replaceAll('&#x27;', '’')
    .replace(/\s+/g, ' ')
    .trim();
const nothing = () => undefined;

const line = (action: ImportReport['lines'][number]['action'], n: number, details: string[] = []) => ({
  line: n,
  what: 'tie',
  title: `Tie ${n}`,
  action,
  details,
});
const report = ({ lines = [], ...changes }: Partial<ImportReport>): ImportReport => {
  const counts = { fault: 0, change: 0, add: 0, same: 0 };
  for (const { action } of lines) counts[action] += 1;
  return { lines, counts, faults: [], notes: [], applied: false, ...changes };
};
const reported = (of: ImportReport, changes: Partial<ComponentProps<typeof Report>> = {}) =>
  says(
    createElement(Report, {
      report: of,
      table: undefined,
      isStale: false,
      onApply: nothing,
      onLook: nothing,
      onCell: nothing,
      onLine: nothing,
      ...changes,
    }),
  );

test('a report says what would be done, faults first, and offers it only when nothing is at fault', () => {
  const clean = reported(report({ lines: [line('add', 2), line('same', 3), line('change', 4, ['Length', 'Note'])] }));
  assert.match(clean, /1 to change, 1 to add, 1 unchanged\./);
  assert.match(clean, /Import/);
  assert.match(clean, /to change: Length, Note/);
  const bad = reported(report({ lines: [line('add', 2), line('fault', 3, ['Blade is missing.'])] }));
  assert.doesNotMatch(bad, /Import /);
  assert.match(bad, /1 error, 1 to add\. Nothing imported\. Fix the errors and choose the file again\./);
  assert.ok(bad.indexOf('Tie 3') < bad.indexOf('Tie 2'));
});

test('a report of what was done says so; one of nothing new offers nothing; a long one is cut with its count', () => {
  assert.match(reported(report({ lines: [line('add', 2)], applied: true })), /Imported: 1 added\./);
  assert.doesNotMatch(reported(report({ lines: [line('same', 2)] })), /Import /);
  const long = reported(report({ lines: Array.from({ length: 420 }, (_, i) => line('add', i + 2)) }));
  assert.match(long, /and 120 more lines/);
  assert.match(reported(report({ faults: ['The file is empty.'] })), /The file is empty\./);
});

test('lines of a table with errors are mended where they stand, and the good ones can be imported without them', () => {
  const { table } = inOneGo(choosing('ties.csv', 'ties.csv', 'Name,Blade\nNavy,8.5\nRust,850\n"open,8\n'));
  assert.ok(table);
  const lines = [line('add', 2), line('fault', 3, ['Blade can’t be 850 cm.']), line('fault', 4, ['A quotation mark is not closed.'])];
  const mending = reported(report({ lines }), { table });
  assert.match(mending, /Import the good line/);
  const markup = renderToStaticMarkup(
    createElement(Report, {
      report: report({ lines }),
      table,
      isStale: false,
      onApply: nothing,
      onLook: nothing,
      onCell: nothing,
      onLine: nothing,
    }),
  );
  assert.match(markup, /value="850"/, 'the cell that is wrong can be written anew');
  assert.match(markup, /value="&quot;open,8"/, 'and so can a line that could not be read');
  const changed = reported(report({ lines }), { table, isStale: true });
  assert.match(changed, /Check again/);
  assert.doesNotMatch(changed, /Import the good/, 'what was changed is looked at before it is imported');
});

test('two people’s changes stand side by side; a clash has to be chosen before they are put together', () => {
  const before = { ...kinds.clients.fresh, id: '1', version: 1, archived: false, name: 'A', nickname: 'a', crossingGapMm: 0 };
  const merge = (mine: object, theirs: object) =>
    renderToStaticMarkup(
      createElement(Merge, {
        kind: 'clients',
        before,
        mine: { ...before, ...mine },
        theirs: { ...before, version: 2, ...theirs },
        say: sayIn('in'),
        onMerge: nothing,
        onTakeTheirs: nothing,
      }),
    );
  const clash = merge({ nickname: 'mine', crossingGapMm: 25.4 }, { nickname: 'theirs' });
  assert.match(clash, /Gap below the collar button/);
  assert.match(clash, /1 in</, 'lengths in the reader’s unit');
  assert.equal(clash.match(/type="radio"/g)?.length, 2);
  assert.match(clash, /<button type="button" [^>]*disabled=""[^>]*>Combine and save/);
  const apart = merge({ nickname: 'mine' }, { note: 'theirs' });
  assert.doesNotMatch(apart, /type="radio"|disabled=""/);
});

const field = mappedKnots(question);

test('the list says every measure of every knot, in the reader’s unit', () => {
  const list = says(
    createElement(KnotTable, {
      knots: field,
      chosen: '4.1',
      colour: '#8c2230',
      frame: { view: 'facing', blade: 'right' },
      pictureOf: nothing,
      units: 'in',
      onChoose: nothing,
    }),
  );
  const frame = { view: 'facing', blade: 'right' } as const;
  for (const { title, plan } of field) {
    const spelled = formatKnot(parseKnot(plan.moves), frame);
    assert.ok(list.includes(`${title} ${spelled} `), `${title} is spelled in the view chosen`);
    assert.ok(!list.includes(`${title} ${plan.moves} `), `${title} is spelled once`);
  }
  assert.match(list, /Four-in-hand Ri Lo Ri Co T 1 [37]\/[48] in slightly to the wearer’s left/);
});

test('filters leave what they say, and all of them together what passes each', () => {
  const left = (changes: Partial<typeof noFilters>) => field.filter((knot) => passes(knot, { ...noFilters, ...changes }));
  assert.equal(left({}).length, 85);
  assert.ok(left({ named: true }).every(({ plan }) => plan.names.length > 0));
  assert.ok(left({ releasing: true }).every(({ plan }) => plan.properties.selfReleasing));
  assert.ok(left({ seamIn: true }).every(({ plan }) => plan.properties.moves % 2 === 0));
  assert.equal(left({ mostMoves: 5 }).length, 5);
  const all = left({ named: true, releasing: true, seamIn: true, feasible: true, mostMoves: 6 });
  assert.ok(all.length > 0 && all.every((knot) => left({ releasing: true }).includes(knot) && left({ named: true }).includes(knot)));
  assert.deepEqual(
    Object.keys(filterLabels).sort(),
    Object.keys(noFilters)
      .filter((key) => key !== 'mostMoves')
      .sort(),
  );
});

test('a knot at the end of the map has no step further, and says so', () => {
  const smallest = field.reduce((best, knot) => (knot.plan.shape.topMm < best.plan.shape.topMm ? knot : best));
  const text = says(createElement(Similar, { knot: smallest, knots: field, onChoose: nothing }));
  assert.match(text, /a little smaller none/);
  assert.match(text, /a little larger \S/);
});

test('what speaks for and against is told by more than its colour', () => {
  const reasons = renderToStaticMarkup(
    createElement(ReasonList, {
      reasons: [
        { code: 'a', verdict: 'good', text: 'Good.' },
        { code: 'b', verdict: 'fair', text: 'Fair.' },
        { code: 'c', verdict: 'poor', text: 'Poor.' },
      ],
    }),
  );
  for (const label of ['in favour', 'neutral', 'against']) assert.match(reasons, new RegExp(`aria-label="${label}"`));
});

test('what a jacket leaves open is told for the collar at hand, and nothing without a jacket', () => {
  const request = drawnRequest('cm');
  const jacket = { lapelMm: 85, waistcoat: false, lapelKind: 'notch', cut: 'single', worn: 'closed', buttoningMm: 330 } as const;
  const told = (collarSpreadMm: number, changes: object = {}) =>
    says(
      createElement(OpeningInWords, {
        request: { ...request, jacket: { ...jacket, ...changes }, shirt: { ...request.shirt, collarSpreadMm } },
        over: 'this collar',
      }),
    );
  assert.match(told(70), /end [12]\.\d cm short of the fronts/);
  assert.match(told(140), /reach .* under the fronts/);
  assert.match(told(110), /just meet the fronts/);
  assert.match(told(110), /shows 33 cm of the front.*the blade tip is hidden/);
  assert.match(told(110, { worn: 'open', buttoningMm: null }), /the whole tie shows\. The buttoning point is estimated/);
  assert.equal(says(createElement(OpeningInWords, { request: { ...request, jacket: null }, over: '' })), '');
});

test('a brief is read out with its ranges; one that finds nothing says what would open it', () => {
  const { tie: _, ...dressed } = question;
  const brief = buyingBrief({ question: dressed, shirtColour: '#f6f7f9' });
  const words = says(createElement(BriefInWords, { brief, units: 'cm', shirtColour: '#f6f7f9' }));
  assert.match(
    words,
    /Blade [\d.]+(–[\d.]+ cm| cm or (more|less)) Thickness (any|[\d.]+(–[\d.]+ mm| mm or (more|less))) Length \d+(–\d+ cm| cm or (more|less))/,
  );
  const none = buyingBrief({ question: { ...dressed, jacket: { lapelMm: 160 }, rules: { lapelRule: 'match' } }, shirtColour: '#f6f7f9' });
  assert.match(
    says(createElement(BriefInWords, { brief: none, units: 'cm', shirtColour: '#f6f7f9' })),
    /No tie in the shops serves this outfit/,
  );
});

test('the outfits a brief serves are told by how much of it, and those still looked at', () => {
  const served = [
    { key: 'a', title: 'Supper', share: 1 },
    { key: 'b', title: 'Office', share: 0.4 },
    { key: 'c', title: 'Evening', share: 0 },
  ];
  const text = says(createElement(ServedOutfits, { name: 'Tobiah', served, count: 4 }));
  assert.match(text, /Supper all of it Office 40% Evening none of it Loading the others…/);
  assert.doesNotMatch(says(createElement(ServedOutfits, { name: 'T', served, count: 3 })), /Loading/);
  assert.equal(says(createElement(ServedOutfits, { name: 'T', served: [], count: 0 })), '');
});
