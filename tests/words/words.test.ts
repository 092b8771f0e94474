import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import ts from 'typescript';
import { root } from '../../scripts/machine/paths.ts';

/** What is never said, and what is said instead. */
const givenUp: readonly (readonly [pattern: RegExp, instead: string])[] = [
  [/\b(?:he|him|his|himself|she|her|hers|herself)\b/i, 'no pronoun for a client'],
  [/\bnarrow[ -](?:tip|end)\b/i, 'tail tip, tail'],
  [/\bfirst pick\b|\bback to the first\b/i, 'best match'],
  [/\bput away\b|\bbr(?:ing|ought) (?:back|in)\b/i, 'archive, restore, import'],
  [/\bsupposed?\b/i, 'estimated'],
  [/\bcannot\b/i, 'won’t work, can’t'],
  [/(?:ing|\{\}|clients) …/, 'an ellipsis without a space'],
  [/\d %|\} %/, 'no space before %'],
  [/\btwo times\b/i, 'twice'],
  [/\bgive or take\b/i, '±'],
  [/\bfront drop\b/i, 'collar button to belt'],
  [/\bcrossing gap\b/i, 'gap below the collar button'],
  [/\bbelt height\b/i, 'belt width'],
  [/\bdead centre\b|\bhair off\b/i, 'centred, slightly off-centre'],
  [/\bfalls? open\b|\bself-releasing\b|\breleasing sister\b/i, 'pulls open'],
  [/\b(?:laying|fetching|going through|looking at) (?:out |the )/i, 'Loading…'],
  [/\bthe bench\b|^bench$/i, 'fitting'],
  [/\bthe rack\b|^Rack$|\bwhich tie\?/, 'wardrobe, choose a tie'],
  [/^in and out$/i, 'import and export'],
  [/\blikings\b/i, 'preferences'],
  [/\bundoing\b/i, 'untying'],
  [/\btie off\b/i, 'no tie'],
  [/\bnotation\b|\bsequence of moves\b|\b(?:its|a knot’s|own) word\b/i, 'moves'],
  [/\bnarrow-end\b|\b(?:third|fourth|second) path\b/i, 'tail ties, variant'],
  [/\bat fault\b|\bis not right yet\b|\bthings? (?:is|are) not right\b/i, 'error'],
  [/\bthe house\b|\bhouse rules?\b/i, 'the studio'],
  [/\bmen’s knot\b|\ba man of\b/i, 'a wearer of'],
  [/\ba (?:oriental|estimate|outfit|inch)\b/i, 'an'],
];

/** Names of things in the demo studio that hold such a word by right. */
const byRight = /House (?:white|navy|crest)|house style/i;

function faultsOf(text: string): string[] {
  if (byRight.test(text)) return [];
  return givenUp.filter(([pattern]) => pattern.test(text)).map(([, instead]) => `“${text.trim().slice(0, 90)}” → ${instead}`);
}

function filesUnder(folder: string, endings: RegExp): string[] {
  return readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => endings.test(file))
    .map((file) => join(folder, file));
}

/** Every text of a source file that may be seen: strings, templates and what stands between tags; not names of modules and classes. */
function textsOf(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(join(root, file), 'utf8'), ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const texts: string[] = [];
  const walk = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isImportTypeNode(node)) return;
    if (ts.isJsxAttribute(node) && /^(?:className|id|d|key|viewBox|name|href|data-\w+)$/.test(node.name.getText())) return;
    if (ts.isRegularExpressionLiteral(node)) return;
    if (ts.isJsxText(node)) texts.push(node.text.replace(/\s+/g, ' '));
    else if (ts.isTemplateExpression(node)) {
      texts.push(node.head.text + node.templateSpans.map(({ literal }) => `{}${literal.text}`).join(''));
      for (const { expression } of node.templateSpans) walk(expression);
      return;
    } else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) texts.push(node.text);
    ts.forEachChild(node, walk);
  };
  walk(source);
  return texts.filter((text) => /\p{L}/u.test(text));
}

/** Codes of programs, not words: keys of tables and shapes of the database. */
const isCode = (text: string) => /^[a-z0-9_.:/#@$-]+$/i.test(text) && !/^[A-Z][a-z]+$/.test(text);
/** Statements for the database are nobody's reading. */
const isStatement = (text: string) =>
  /\b(?:select|insert|update|delete|alter|create)\b[\s\S]*\b(?:from|into|set|table|database|role)\b/i.test(text);

test('nothing that can be seen speaks in pronouns, or in words that were given up', () => {
  const files = [...filesUnder('src', /\.tsx?$/), ...filesUnder('scripts', /\.ts$/), 'db/demo/load.ts'];
  // What a person may type in other words is read all the same.
  const read = files.filter((file) => !/core\/knot\/(?:read|parse)\.ts$/.test(file));
  const faults = read.flatMap((file) =>
    textsOf(file)
      .filter((text) => !isCode(text) && !isStatement(text))
      .flatMap((text) => faultsOf(text).map((fault) => `${file}: ${fault}`)),
  );
  assert.deepEqual(faults, []);
});

test('pages, demo data and documents hold to it too', () => {
  const plain = [...filesUnder('src', /\.astro$/), ...filesUnder('db/demo', /\.json$/), 'README.md', ...filesUnder('docs', /\.md$/)];
  const faults = plain.flatMap((file) =>
    readFileSync(join(root, file), 'utf8')
      .replace(/^---[\s\S]*?---/, '')
      .replace(/```[\s\S]*?```|`[^`]*`/g, '')
      .split('\n')
      .flatMap((line) => faultsOf(line).map((fault) => `${file}: ${fault}`)),
  );
  assert.deepEqual(faults, []);
});

test('the look for such words finds them', () => {
  for (const text of ['The tie hangs on his right.', 'Fetching the clients …', 'about 36 % of it', 'cannot be worn', 'narrow tip'])
    assert.ok(faultsOf(text).length > 0, text);
  for (const text of ['The tail tip', 'Loading…', '36%', 'won’t work', 'this heron, there']) assert.deepEqual(faultsOf(text), [], text);
});
