import { plainJson } from '../plainJson.ts';
import { kindCodes } from '../records/kindWords.ts';
import type { StudioRecord } from '../records/records.ts';

/** Tells our own files from others, and later shapes from this one. */
export const studioFormat = { format: 'ropewalk-studio', formatVersion: 1 } as const;

type Values = Readonly<Record<string, unknown>>;

/** One list of the file, in whatever portions it is read. */
export interface StudioList {
  readonly key: string;
  readonly portions: AsyncIterable<readonly object[]>;
}

/**
 * Everything a studio keeps, in one file, as text in pieces: however much it is, no more than a portion of it is held. JSON,
 * as `JSON.stringify(…, null, 1)` lays it out.
 */
export async function* studioPieces(studio: StudioRecord, lists: Iterable<StudioList>): AsyncGenerator<string> {
  const { format, formatVersion } = studioFormat;
  yield `{\n "format": "${format}",\n "formatVersion": ${formatVersion},\n "studio": ${laidOut(studio, 1)}`;
  for (const { key, portions } of lists) {
    let isEmpty = true;
    for await (const portion of portions) {
      if (portion.length === 0) continue;
      yield (isEmpty ? `,\n "${key}": [\n  ` : ',\n  ') + portion.map((record) => laidOut(record, 2)).join(',\n  ');
      isEmpty = false;
    }
    yield isEmpty ? `,\n "${key}": []` : '\n ]';
  }
  yield '\n}\n';
}

/** Line breaks within a value are written as such, so that every one of the text is one of the layout. */
function laidOut(value: object, depth: number): string {
  return JSON.stringify(value, null, 1).replaceAll('\n', `\n${' '.repeat(depth)}`);
}

/** What stands in a studio’s file: a value by itself, or one record of a list, `at` counting from 1. */
export interface StudioEntry {
  readonly key: string;
  readonly value: unknown;
  readonly at: number;
}

const cutOff = 'The file is not complete: it may have been cut off.';
const otherFile = 'The file is not a studio saved by Ropewalk.';

/** Whether a text that begins so is laid out as ours are, and can be read line by line. */
export function isInLines(beginning: string): boolean {
  return /^\uFEFF?\{\r?\n "/.test(beginning);
}

/** Reads a studio’s file that is laid out as ours are, a record at a time. Throws a sentence for anything else. */
export async function* entriesInLines(lines: AsyncIterable<string>): AsyncGenerator<StudioEntry> {
  const soundness = sound();
  // The list that is being read, the text of the value that is being read, and at which depth it ends.
  let list: { readonly key: string; at: number } | undefined;
  let value: { readonly key: string; readonly depth: number; text: string } | undefined;
  let isOver = false;
  let isFirst = true;
  for await (const raw of lines) {
    const line = raw.endsWith('\r') ? raw.slice(0, -1) : raw;
    if (isFirst) {
      isFirst = false;
      continue;
    }
    if (isOver) {
      if (line.trim() !== '') throw new Error(cutOff);
      continue;
    }
    if (value) {
      value.text += `\n${line}`;
      if (closes(line, value.depth)) {
        yield soundness(entry(value, list));
        value = undefined;
      }
    } else if (list && /^ \],?$/.test(line)) {
      list = undefined;
    } else if (list) {
      const begun = { key: list.key, depth: 2, text: line };
      list.at += 1;
      if (/^ {2}[{[]$/.test(line)) value = begun;
      else yield soundness(entry(begun, list));
    } else if (line === '}') {
      isOver = true;
    } else {
      const [, key, rest = ''] = /^ ("(?:[^"\\]|\\.)*"): (.*)$/.exec(line) ?? [];
      if (key === undefined) throw new Error(cutOff);
      const begun = { key: parsed(key) as string, depth: 1, text: rest };
      if (rest === '[') list = { key: begun.key, at: 0 };
      else if (/^\[\],?$/.test(rest)) continue;
      else if (rest === '{') value = begun;
      else yield soundness(entry(begun, undefined));
    }
  }
  if (!isOver) throw new Error(cutOff);
  soundness(undefined);
}

function closes(line: string, depth: number): boolean {
  return /^ +[}\]],?$/.test(line) && line.search(/[}\]]/) === depth;
}

function entry({ key, text }: { readonly key: string; readonly text: string }, list: { readonly at: number } | undefined): StudioEntry {
  return { key, value: parsed(text.replace(/,$/, '')), at: list?.at ?? 1 };
}

/** Reads a studio’s file of any layout, whole. Throws a sentence for anything else. */
export function* entriesOf(text: string): Generator<StudioEntry> {
  const soundness = sound();
  const file = parsed(text.replace(/^\uFEFF/, ''));
  const lists = Object.entries(valuesOf(file)).sort(([a], [b]) => placeOf(a) - placeOf(b));
  for (const [key, value] of lists) {
    if (!Array.isArray(value)) yield soundness({ key, value, at: 1 });
    else for (const [i, each] of value.entries()) yield { key, value: each, at: i + 1 };
  }
  soundness(undefined);
}

/** What is referred to stands before what refers to it, in whatever order another program wrote them. */
const order: readonly string[] = ['format', 'formatVersion', 'studio', ...kindCodes, 'fittings'];
const placeOf = (key: string) => (order.includes(key) ? order.indexOf(key) : order.length);

/** Sees to it that the file says it is one of ours before its end, and that it is none of a later version. */
function sound() {
  let isOurs = false;
  return <E extends StudioEntry | undefined>(read: E): E => {
    if (read?.key === 'format') {
      if (read.value !== studioFormat.format) throw new Error(otherFile);
      isOurs = true;
    }
    if (read?.key === 'formatVersion' && read.value !== studioFormat.formatVersion)
      throw new Error('The file was saved by a later Ropewalk than this one.');
    if (read === undefined && !isOurs) throw new Error(otherFile);
    return read;
  };
}

function parsed(text: string): unknown {
  try {
    return plainJson(text);
  } catch {
    throw new Error(cutOff);
  }
}

export function valuesOf(value: unknown): Values {
  return typeof value === 'object' && value !== null ? (value as Values) : {};
}
