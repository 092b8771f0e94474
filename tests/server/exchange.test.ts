import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { after, before, test } from 'node:test';
import type { ExchangeFile, ImportReport } from '../../src/contract/exchange/report.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import { type App, startApp } from '../support/app.ts';
import { requestsTo } from '../support/requests.ts';

/** Text that breaks careless writers: quotes, lines, emoji, right-to-left, formulas, apostrophes, separators. */
const hostile = [
  'Say “it” "twice", \'once\'',
  'line one\nline two\r\nline three',
  '🪢 knot 👔 \u202Eמלח\u202C مرحبا',
  '=SUM(A1:A9)',
  "'=quoted already",
  "'plain apostrophe",
  '+1 -2 @here',
  '-cmd|calc',
  '\tbegins with a tab',
  'a;b,c\td:e\\n\\,\\;',
  ' spaces around ',
  '#ffffff',
  'ＦＵＬＬ width ﷽ \u0301 combining',
];

let app: App;
before(async () => {
  app = await startApp();
});
after(() => app.stop());

const { exported: out, sendFile } = requestsTo(() => app);
const into = (name: ExchangeFile, text: string, apply = false, address = app.address): Promise<ImportReport> =>
  requestsTo(() => ({ address })).bring(name, text, apply);
const actions = ({ lines }: ImportReport) => [...new Set(lines.map(({ action }) => action))].sort();

async function addHostile(): Promise<void> {
  for (const text of hostile) {
    const client = {
      ...kinds.clients.fresh,
      id: randomUUID(),
      name: text,
      nickname: text,
      note: text,
      email: text,
      phone: text,
      address: text,
    };
    const tie = { ...kinds.ties.fresh, id: randomUUID(), label: text, note: text, clientId: client.id };
    for (const [kind, body] of [
      ['clients', client],
      ['ties', tie],
    ] as const) {
      const response = await fetch(`${app.address}/api/${kind}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
      assert.equal(response.status, 201, `${kind} “${text}”: ${await response.text()}`);
    }
  }
}

const files: readonly ExchangeFile[] = [
  'clients.csv',
  'shirts.csv',
  'jackets.csv',
  'ties.csv',
  'squares.csv',
  'outfits.csv',
  'clients.vcf',
  'studio.json',
];

test('what leaves comes back identical: the demo studio and hostile text, in every file', async () => {
  await addHostile();
  for (const name of files) {
    const report = await into(name, await out(name));
    assert.deepEqual(report.faults, [], name);
    assert.deepEqual(
      report.lines.filter(({ action }) => action !== 'same'),
      [],
      name,
    );
    assert.ok(report.lines.length > 5, name);
  }
});

test('a whole studio goes into an empty one, and leaves it again as the same file', async () => {
  const file = await out('studio.json');
  const other = await startApp();
  try {
    await other.sql`truncate studios cascade`;
    await other.sql`insert into studios (id, name, units) values (${JSON.parse(file).studio.id}, 'Empty', 'in')`;
    const report = await into('studio.json', file, true, other.address);
    assert.deepEqual([report.applied, actions(report)], [true, ['add', 'change']]);
    assert.equal(await (await fetch(`${other.address}/api/export/studio.json`)).text(), file);
    for (const name of files) assert.equal(await (await fetch(`${other.address}/api/export/${name}`)).text(), await out(name), name);
  } finally {
    await other.stop();
  }
});

test('looking changes nothing; doing changes what was told, and only once', async () => {
  const csv = 'label,client_id_name,client_name,length_mm,blade_mm,thickness_mm,colours,shares_percent\r\n'.replace('client_id_name,', '');
  const table = `${csv}"New, with comma",Tobiah Wrenfield,1480,82,"2,9",#112233 #aabbcc,60 40\r\n`;
  const before = await out('ties.csv');
  const look = await into('ties.csv', table);
  assert.deepEqual(
    [look.applied, look.lines.map(({ line, title, action }) => [line, title, action])],
    [false, [[2, 'New, with comma', 'add']]],
  );
  assert.equal(await out('ties.csv'), before);
  assert.equal((await into('ties.csv', table, true)).applied, true);
  const after = await (await fetch(`${app.address}/api/ties?find=with+comma`)).json();
  assert.equal(after.total, 1);
  assert.deepEqual([after.rows[0].thicknessMm, after.rows[0].shares, after.rows[0].neckMm], [2.9, [60, 40], kinds.ties.fresh.neckMm]);
});

test('all or nothing: one line at fault keeps every other out, and each is told with its line', async () => {
  const table = [
    'name,height_mm,front_drop_mm,blade,aim',
    'Good One,1780,455,right,belt-top',
    '"Two\nlines",17,tall,up,belt-top',
    ',1800,,right,belt-top',
  ].join('\n');
  const report = await into('clients.csv', table, true);
  assert.equal(report.applied, false);
  assert.deepEqual(
    report.lines.map(({ line, action }) => [line, action]),
    [
      [2, 'add'],
      [3, 'fault'],
      [5, 'fault'],
    ],
  );
  assert.match(report.lines[1]!.details.join(' '), /not a length: “tall”.*Height can’t be 1\.7 cm.*must be one of: right, left/s);
  assert.equal((await (await fetch(`${app.address}/api/clients?find=good+one`)).json()).total, 0);
});

test('a change by table: the record is found by its identifier, and only what differs is told', async () => {
  const { rows } = await (await fetch(`${app.address}/api/clients?find=wrenfield`)).json();
  const table = `id,name,neck_mm,neck_taken_on\n${rows[0].id},Tobiah Wrenfield,401,2026-11-21\n`;
  const report = await into('clients.csv', table, true);
  assert.deepEqual(report.lines[0], { line: 2, what: 'client', title: 'Tobiah Wrenfield', action: 'change', details: ['Measures'] });
  const after = await (await fetch(`${app.address}/api/clients/${rows[0].id}`)).json();
  assert.equal(after.measures.length, rows[0].measures.length + 1);
  assert.deepEqual([after.note, after.version], [rows[0].note, rows[0].version + 1]);
});

test('files that are none of ours are refused in words', async () => {
  const faults = async (name: ExchangeFile, text: string) => (await into(name, text, true)).faults.join(' ');
  assert.match(await faults('ties.csv', ''), /The file is empty/);
  assert.match(await faults('ties.csv', 'a,b\n1,2\n'), /names none of these columns/);
  assert.match(await faults('ties.csv', 'label,label\nx,y\n'), /“label” is there twice/);
  const spoilt = await into('ties.csv', 'label,note\n"open,x\n', true);
  assert.deepEqual([spoilt.applied, spoilt.lines[0]?.line], [false, 2]);
  assert.match(spoilt.lines[0]?.details.join(' ') ?? '', /quotation mark/);
  assert.match(await faults('clients.vcf', 'hello'), /not a contact card/);
  assert.match(await faults('studio.json', '{"a":'), /not complete: it may have been cut off/);
  assert.match(await faults('studio.json', '{"format":"other"}'), /not a studio/);
  assert.match(await faults('studio.json', '{"format":"ropewalk-studio","formatVersion":99}'), /later Ropewalk/);
  assert.equal((await fetch(`${app.address}/api/export/passwords.csv`)).status, 404);
});

test('names that are looked up must be there, and be one', async () => {
  await into('clients.csv', 'name\nSame Name\nSame Name\n', true);
  const report = await into('shirts.csv', 'label,client_name\nA,Same Name\nB,Nobody\nC,Edrin Mallowfrost\n');
  assert.deepEqual(
    report.lines.map(({ action, details }) => [action, details.join('')]),
    [
      ['fault', 'Belongs to: 2 clients are called “Same Name”; enter the identifier.'],
      ['fault', 'Belongs to: no client is called “Nobody”.'],
      ['add', ''],
    ],
  );
});

test('contact cards from elsewhere add clients who were not measured yet', async () => {
  const card =
    'BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Orla Tarwick\r\nNICKNAME:Orly\r\nTEL;VALUE=uri:tel:+44-555-0100\r\nADR;LABEL="x":;;1 Quay;Lanternmoor;;L1;\r\nEND:VCARD\r\n';
  const report = await into('clients.vcf', card, true);
  assert.deepEqual([report.applied, report.lines[0]?.action], [true, 'add']);
  const { rows } = await (await fetch(`${app.address}/api/clients?find=orla`)).json();
  const { nickname, phone, address, measures } = rows[0];
  assert.deepEqual(
    { nickname, phone, address, measures },
    { nickname: 'Orly', phone: '+44-555-0100', address: '1 Quay, Lanternmoor, L1', measures: [] },
  );
});

test('an import whose answer was lost is done once, however often it is sent, and answered as it was', async () => {
  const key = randomUUID();
  const table = 'name,height_mm\nOnce Only,1800\n';
  const send = async () => {
    const response = await sendFile('clients.csv', table, `apply=true&key=${key}`);
    assert.equal(response.status, 200);
    return (await response.json()) as ImportReport;
  };
  const reports = [...(await Promise.all([send(), send(), send()])), await send()];
  for (const report of reports) assert.deepEqual([report.applied, report.counts.add, report.lines[0]?.action], [true, 1, 'add']);
  const found = (await (await fetch(`${app.address}/api/clients?find=once%20only`)).json()) as { total: number };
  assert.equal(found.total, 1);
  const odd = await sendFile('clients.csv', table, 'apply=true&key=x');
  assert.equal(odd.status, 400);
});

test('imports that change the same records in another order come one after the other, and none is lost', async () => {
  const clients = ['Left Bank', 'Right Bank', 'Mid Stream'].map((name) => ({ id: randomUUID(), name }));
  const table = (note: string, rows: typeof clients) => ['id,name,note', ...rows.map(({ id, name }) => `${id},${name},${note}`)].join('\n');
  await into('clients.csv', table('first', clients), true);
  const reports = await Promise.all(
    Array.from({ length: 6 }, (_, i) => into('clients.csv', table(`round ${i}`, i % 2 ? clients : clients.toReversed()), true)),
  );
  for (const { applied, counts } of reports) assert.deepEqual([applied, counts.change], [true, 3]);
});

test('a large studio goes out and in a portion at a time, others being answered meanwhile; one bad record at its end keeps all out', async () => {
  const other = await startApp({ taught: true });
  try {
    // Enough that no portion holds them.
    const [{ names } = { names: '' }] = await other.sql<{ names: string }[]>`
      select string_agg(quote_ident(attname), ', ') as names from pg_attribute
      where attrelid = 'fittings'::regclass and attnum > 0 and attgenerated = '' and not attisdropped and attname not in ('id', 'created_at')`;
    await other.sql.unsafe(`
      insert into fittings (id, created_at, ${names})
      select gen_random_uuid(), created_at + make_interval(secs => n), ${names}
      from (select * from fittings limit 1) as one, generate_series(1, 450) as n`);
    const file = await (await fetch(`${other.address}/api/export/studio.json`)).text();
    const count = Number((await other.sql`select count(*)::int as n from fittings`)[0]?.['n']);
    assert.equal((JSON.parse(file) as { fittings: unknown[] }).fittings.length, count);
    await other.sql`delete from fittings`;
    const bad = file.replace(/"knot": "[^"]*"(?![\s\S]*"knot")/, '"knot": "no knot"');
    assert.notEqual(bad, file);
    const refused = await into('studio.json', bad, true, other.address);
    assert.deepEqual([refused.applied, refused.counts.fault], [false, 1]);
    assert.equal((await other.sql`select 1 from fittings`).length, 0, 'nothing of it stays');
    let answered = 0;
    let isOver = false;
    const asking = (async () => {
      while (!isOver) {
        await fetch(`${other.address}/api/studio`);
        answered += 1;
      }
    })();
    const report = await into('studio.json', file, true, other.address);
    isOver = true;
    await asking;
    assert.deepEqual([report.applied, report.counts.add, report.counts.fault], [true, count, 0]);
    assert.ok(answered > 5, `${answered} were answered meanwhile`);
    assert.equal(await (await fetch(`${other.address}/api/export/studio.json`)).text(), file);
  } finally {
    await other.stop();
  }
});
