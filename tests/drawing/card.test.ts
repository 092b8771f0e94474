import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { cardCaution, cardLines, cardNotes } from '../../src/core/guide/card.ts';
import { guideOf } from '../../src/core/guide/guide.ts';
import { formatKnot, parseKnot, supposeTie } from '../../src/core/index.ts';
import { type CardFormat, cardFormats } from '../../src/drawing/card/formats.ts';
import { TyingCard } from '../../src/drawing/card/TyingCard.tsx';
import { wrapped } from '../../src/drawing/card/wrapped.ts';

const formats = Object.keys(cardFormats) as CardFormat[];

function cardOf(word: string, format: CardFormat): string {
  const knot = parseKnot(word);
  const habits = { tightens: 'blade', keeper: 'before', button: 'first', tucks: 'buttons' } as const;
  const steps = guideOf(
    knot,
    { seat: 'mirror', blade: 'right', pins: 'left' },
    { tie: supposeTie({ lengthMm: 1470, bladeMm: 85, thicknessMm: 3.2 }), dimple: 'centred', habits, reachesKeeper: true },
  );
  const lines = cardLines(steps).map((line, i) => ({ ...line, href: `blob:step-${i}` }));
  const said = {
    title: 'A knot of many words in its name',
    who: 'A client of the pilots’ guild · Navy pin-dot, medium',
    start: 'Tail tip 29.5 cm below the collar button, crossed.',
    aim: 'The blade tip should end 36–44 cm below the collar button (2 times in 3).',
    moves: formatKnot(knot),
    steps: lines,
    lines: cardNotes(knot, steps, 'woven-silk'),
    caution: cardCaution,
  };
  return renderToStaticMarkup(createElement(TyingCard, { format, said }));
}

test('in every size all of a card is on it: each picture and line within its edges, none over another', () => {
  for (const format of formats) {
    const { widthMm, heightMm } = cardFormats[format];
    for (const word of ['Lo Ri Co T', 'Li Co Ri Lo Ci Ro Li Co T']) {
      const markup = cardOf(word, format);
      const pictures = [...markup.matchAll(/<image href="[^"]+" x="([\d.]+)" y="([\d.]+)" width="([\d.]+)" height="([\d.]+)"/g)].map(
        ([, ...at]) => at.map(Number) as [number, number, number, number],
      );
      assert.equal(pictures.length, parseKnot(word).moves.length + 3, `${format} ${word}`);
      for (const [x, y, w, h] of pictures) assert.ok(x >= 0 && y >= 0 && x + w <= widthMm && y + h <= heightMm, `${format}: ${x} ${y}`);
      const lines = [...markup.matchAll(/<(?:tspan|text) [^>]*?x="([\d.]+)" y="([\d.]+)"/g)].map(
        ([, x, y]) => [Number(x), Number(y)] as const,
      );
      assert.ok(lines.length > pictures.length);
      for (const [x, y] of lines) assert.ok(x > 0 && x < widthMm && y > 0 && y < heightMm, `${format}: a line at ${x} ${y}`);
      const lowest = Math.max(...pictures.map(([, y, , h]) => y + h));
      const foot = lines.filter(([, y]) => y > heightMm - 16);
      assert.ok(lowest < Math.min(...foot.map(([, y]) => y)), `${format} ${word}: pictures run into the foot`);
      assert.match(markup, /one finger’s room/);
    }
  }
});

test('a line is broken between words only, and holds what it has room for', () => {
  fc.assert(
    fc.property(fc.array(fc.stringMatching(/^[a-z]{1,12}$/), { maxLength: 30 }), fc.integer({ min: 10, max: 120 }), (words, widthMm) => {
      const lines = wrapped(words.join(' '), widthMm, 3);
      assert.equal(lines.join(' '), words.join(' '));
      const most = Math.floor(widthMm / (3 * 0.53));
      for (const line of lines) assert.ok(line.length <= most || !line.includes(' '), line);
    }),
  );
});
