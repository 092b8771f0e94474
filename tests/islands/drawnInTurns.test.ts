import assert from 'node:assert/strict';
import { test } from 'node:test';
import { createElement, useId } from 'react';
import { answerKeys } from '../../src/contract/answerKeys.ts';
import { noAnswers } from '../../src/contract/given.ts';
import { usualPreferences } from '../../src/contract/preferences.ts';
import { FittingPage } from '../../src/islands/fitting/FittingPage.tsx';
import { OwnTurn } from '../../src/islands/ui/OwnTurn.tsx';
import drawnInTurns from '../../src/layouts/drawnInTurns.ts';
import { emptyWardrobe, studio } from '../support/wardrobe.ts';

interface PartProps {
  readonly of: () => string;
}

function Part({ of }: PartProps) {
  return createElement('p', { id: useId() }, of());
}

function Page({ parts }: { readonly parts: readonly PartProps['of'][] }) {
  return parts.map((of, key) => {
    const turn = { key, children: createElement(Part, { of }) };
    return createElement(OwnTurn, turn);
  });
}

/** Draws parts of a page, each in a turn of its own, as one answer. */
function drawn(parts: readonly PartProps['of'][], result: object = {}) {
  return { ...drawnInTurns, result }.renderToStaticMarkup(Page, { parts });
}

/** Counts the turns of the event loop that others have meanwhile. */
function countTurns() {
  const turns = { had: 0, goOn: true };
  const turn = () => {
    turns.had++;
    if (turns.goOn) setImmediate(turn);
  };
  setImmediate(turn);
  return turns;
}

test('what stands in turns of its own is sent whole and in its place, with nothing for a script to put there', async () => {
  const long = 'rope '.repeat(10_000);
  const { html } = await drawn([() => 'first', () => long, () => 'last']);
  assert.match(html, /first.*rope.*last/su);
  assert.doesNotMatch(html, /<script|<template|<!--\$\?-->|hidden/u);
});

test('between two parts of a page, and two pages drawn at once, others have their turn', async () => {
  const turns = countTurns();
  const at: number[] = [];
  const note = () => String(at.push(turns.had));
  await Promise.all([drawn([note, note, note]), drawn([note, note, note])]);
  turns.goOn = false;
  assert.equal(at.length, 6);
  assert.equal(new Set(at).size, 6, `turns ${at.join(', ')}`);
});

test('islands of one page have ids of their own; another page begins anew', async () => {
  const page = {};
  const prefixes = [(await drawn([], page)).attrs.prefix, (await drawn([], page)).attrs.prefix, (await drawn([])).attrs.prefix];
  assert.equal(prefixes[0], prefixes[2]);
  assert.notEqual(prefixes[0], prefixes[1]);
});

test('a part that fails fails the page: it is not sent without it', async () => {
  await assert.rejects(
    drawn([
      () => 'first',
      () => {
        throw new Error('no second');
      },
    ]),
    /no second/u,
  );
});

test('of a page that was sent the server holds nothing', async () => {
  const answers = JSON.stringify([[answerKeys.wardrobe(null), emptyWardrobe]]);
  const given = { preferences: usualPreferences, studio, people: noAnswers, answers };
  const timers = () => process.getActiveResourcesInfo().filter((each) => each === 'Timeout').length;
  const before = timers();
  const { html } = await { ...drawnInTurns, result: {} }.renderToStaticMarkup(FittingPage, { given, address: '' });
  assert.match(html, /Knots, best match first/u);
  assert.equal(timers(), before);
});
