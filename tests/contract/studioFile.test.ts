import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  entriesInLines,
  entriesOf,
  isInLines,
  type StudioEntry,
  studioFormat,
  studioPieces,
} from '../../src/contract/exchange/studioFile.ts';
import { plainJson } from '../../src/contract/plainJson.ts';

const studio = { id: '7b1c8f0e-2f5e-4f0a-9c61-3a5f3b8d2c11', name: 'Brückenhaus “}”\n ]', units: 'cm', timeZone: 'UTC' } as const;

/** Records of whatever shape, with text that looks like the layout. */
const record = fc.dictionary(fc.string(), fc.oneof(fc.jsonValue(), fc.constantFrom('\n  }', ' ],\n}', '\r\n', '"a": [')), { maxKeys: 5 });
const lists = fc.record({
  people: fc.array(record, { maxLength: 5 }),
  clients: fc.array(record, { maxLength: 3 }),
  fittings: fc.array(record, { maxLength: 5 }),
});

async function* portionsOf(records: readonly object[], size: number): AsyncGenerator<readonly object[]> {
  for (let i = 0; i < records.length; i += size) yield records.slice(i, i + size);
}
async function written(of: Readonly<Record<string, readonly object[]>>, size = 2): Promise<string> {
  let text = '';
  for await (const piece of studioPieces(
    studio,
    Object.entries(of).map(([key, records]) => ({ key, portions: portionsOf(records, size) })),
  ))
    text += piece;
  return text;
}
async function* linesOf(text: string): AsyncGenerator<string> {
  yield* text.replace(/\n$/, '').split('\n');
}
async function all(entries: AsyncIterable<StudioEntry> | Iterable<StudioEntry>): Promise<StudioEntry[]> {
  const read: StudioEntry[] = [];
  for await (const entry of entries) read.push(entry);
  return read;
}

test('written in pieces it is the very text of the whole, however it is portioned', async () => {
  await fc.assert(
    fc.asyncProperty(lists, fc.integer({ min: 1, max: 4 }), async (of, size) => {
      assert.equal(await written(of, size), `${JSON.stringify({ ...studioFormat, studio, ...of }, null, 1)}\n`);
    }),
  );
});

test('read line by line it says what it says read whole', async () => {
  await fc.assert(
    fc.asyncProperty(lists, async (of) => {
      const text = await written(of);
      assert.ok(isInLines(text));
      const inLines = await all(entriesInLines(linesOf(text)));
      assert.deepEqual(inLines, await all(entriesOf(text)));
      const values = (key: string) => inLines.filter((entry) => entry.key === key).map(({ value }) => value);
      for (const [key, records] of Object.entries(of)) assert.deepEqual(values(key), plainJson(JSON.stringify(records)));
    }),
  );
});

test('cut off anywhere, it is never taken for complete', async () => {
  const text = await written({ people: [{ name: 'A', list: [1, { b: 2 }] }, { name: 'B' }], clients: [], fittings: [{ x: null }] });
  for (let end = 3; end < text.length - 2; end += 1)
    await assert.rejects(all(entriesInLines(linesOf(text.slice(0, end)))), /not complete: it may have been cut off/, `${end}`);
  await assert.rejects(all(entriesInLines(linesOf(`${text}{"and": 1}\n`))), /not complete/);
});

test('line ends of another system and a mark of its encoding are no matter', async () => {
  const text = await written({ people: [{ name: 'A' }] });
  const others = `\uFEFF${text.replaceAll('\n', '\r\n')}`;
  assert.ok(isInLines(others));
  assert.deepEqual(await all(entriesInLines(linesOf(others))), await all(entriesOf(text)));
});

test('another layout is read whole, what is referred to first; it is known by what it says of itself', async () => {
  const one = JSON.stringify({
    fittings: [{ id: 'f' }],
    ties: [{ id: 't' }],
    clients: [{ id: 'c' }],
    formatVersion: 1,
    format: studioFormat.format,
  });
  assert.ok(!isInLines(one));
  const keys = (await all(entriesOf(`\uFEFF${one}`))).map(({ key }) => key);
  assert.deepEqual(keys, ['format', 'formatVersion', 'clients', 'ties', 'fittings']);
  await assert.rejects(async () => all(entriesOf('[]')), /not a studio/);
  await assert.rejects(async () => all(entriesOf('nonsense')), /not complete: it may have been cut off/);
  await assert.rejects(async () => all(entriesOf('{"format":"ropewalk-studio","formatVersion":99}')), /later Ropewalk/);
  await assert.rejects(all(entriesInLines(linesOf('{\n "clients": []\n}\n'))), /not a studio/);
});
