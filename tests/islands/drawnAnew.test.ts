import '../support/dom.ts';
import assert from 'node:assert/strict';
import { afterEach, mock, test } from 'node:test';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render } from '@testing-library/react';
import { createElement, Profiler, type ReactNode, useMemo } from 'react';
import { usualPreferences } from '../../src/contract/preferences.ts';
import { plan } from '../../src/core/index.ts';
import { measures } from '../../src/core/measures/measures.ts';
import { AtHandProvider } from '../../src/islands/atHand/AtHandProvider.tsx';
import { Sentence } from '../../src/islands/atHand/Sentence.tsx';
import { useAsked } from '../../src/islands/atHand/useAtHand.ts';
import type { AtHand } from '../../src/islands/atHand/values.ts';
import { withAim } from '../../src/islands/atHand/values.ts';
import { PreferencesProvider } from '../../src/islands/device/preferences.tsx';
import { CollarInHand } from '../../src/islands/fitting/choose/CollarInHand.tsx';
import { KnotRanking } from '../../src/islands/fitting/choose/KnotRanking.tsx';
import { FittingHeader } from '../../src/islands/fitting/FittingHeader.tsx';
import { drawnColours } from '../../src/islands/seen/dressed.ts';
import type { EntryStore } from '../../src/islands/ui/entryStore.ts';
import { MeasureField } from '../../src/islands/ui/MeasureField.tsx';
import { createQueryClient, wardrobeQuery } from '../../src/islands/wire/queries.ts';
import { emptyWardrobe } from '../support/wardrobe.ts';

afterEach(() => {
  cleanup();
  sessionStorage.clear();
  mock.timers.reset();
});

const nothing = () => undefined;

function StoreOf({ onStore }: { readonly onStore: (store: EntryStore<AtHand>) => void }) {
  onStore(useAsked().store);
  return null;
}

/** Draws a view where a fitting stands, and counts how often any of it is drawn. */
function watched(children: ReactNode) {
  const queries = createQueryClient();
  queries.setDefaultOptions({ queries: { enabled: false, gcTime: Number.POSITIVE_INFINITY } });
  queries.setQueryData(wardrobeQuery(null).queryKey, emptyWardrobe);
  let store: EntryStore<AtHand> | undefined;
  let drawn = 0;
  const onStore = (stands: EntryStore<AtHand>) => {
    store = stands;
  };
  const view = createElement(Profiler, { id: 'view', onRender: () => drawn++ }, children);
  const fitting = { children: [createElement(StoreOf, { key: 'store', onStore }), createElement('div', { key: 'view' }, view)] };
  const device = { initial: usualPreferences, children: createElement(AtHandProvider, fitting) };
  const { container } = render(createElement(QueryClientProvider, { client: queries }, createElement(PreferencesProvider, device)));
  return {
    container,
    /** How often it was drawn for one change. */
    after: (change: (entries: EntryStore<AtHand>) => void): number => {
      assert.ok(store);
      const entries = store;
      const before = drawn;
      act(() => change(entries));
      return drawn - before;
    },
  };
}

const beltTo = (mm: number) => (entries: EntryStore<AtHand>) => entries.set('question.client.frontDropMm', mm);

test('who wears what is not drawn anew while a measure is moved, and is once it reads otherwise', () => {
  const { after, container } = watched(createElement(Sentence));
  after(beltTo(440));
  assert.equal(after(beltTo(450)), 0);
  assert.equal(after(beltTo(460)), 0);
  assert.ok(after((entries) => entries.change((now) => withAim(now, 'belt-top'))) > 0);
  assert.match(container.textContent ?? '', /Aim:/);
});

test('the tools are drawn anew when there is something to undo for the first time, not with every millimetre', () => {
  const { after, container } = watched(createElement(FittingHeader, { onCommand: nothing, onKeys: nothing }));
  const undo = () => container.querySelector<HTMLButtonElement>('[aria-label^="Undo"]');
  assert.equal(undo()?.disabled, true);
  assert.equal(after(beltTo(440)), 1);
  assert.equal(undo()?.disabled, false);
  assert.equal(after(beltTo(450)), 0);
});

function Ranking() {
  const { question, units } = useAsked();
  const { knots } = plan(question);
  const [chosen] = knots;
  return (
    chosen && createElement(KnotRanking, { titleOf: ({ title }) => title, knots, chosen, units, colour: '#336699', onChoose: nothing })
  );
}

test('every line of the ranking tells what the plan says now', () => {
  const { after, container } = watched(createElement(Ranking));
  const lines = () => [...container.querySelectorAll('[data-knot]')].map((line) => line.textContent);
  after(beltTo(440));
  const before = lines();
  after(beltTo(500));
  assert.notDeepEqual(lines(), before);
  after(beltTo(440));
  assert.deepEqual(lines(), before);
});

test('buttons beside figures that move are left alone', () => {
  const { after, container } = watched(createElement(Ranking));
  after(beltTo(440));
  const touched: string[] = [];
  const watching = new MutationObserver((changes) => touched.push(...changes.map(({ attributeName }) => String(attributeName))));
  for (const button of container.querySelectorAll('input[type=radio]')) watching.observe(button, { attributes: true });
  const first = () => container.querySelector('[data-knot]')?.getAttribute('data-knot');
  const before = first();
  assert.ok(after(beltTo(445)) > 0);
  assert.equal(first(), before);
  for (const { attributeName } of watching.takeRecords()) touched.push(String(attributeName));
  watching.disconnect();
  assert.deepEqual(touched, []);
});

function Collar() {
  const { question, request, frame, values } = useAsked();
  const drawn = useMemo(() => {
    const [chosen] = plan(question).knots;
    assert.ok(chosen && request);
    return { request, plan: chosen, view: frame.view, picture: undefined, colours: drawnColours(request, values.colours) };
  }, [question, request, frame, values.colours]);
  return createElement(CollarInHand, { drawn });
}

test('the picture of the collar waits while a hand pulls at the belt, and follows one that pulls at the collar', () => {
  mock.timers.enable({ apis: ['setTimeout'] });
  const { after, container } = watched(createElement(Collar));
  const drawn = () => container.querySelector('svg')?.outerHTML;
  const rest = () => act(() => mock.timers.tick(500));
  after(beltTo(470));
  rest();
  const before = drawn();
  after(beltTo(473));
  after(beltTo(476));
  assert.ok(drawn() === before);
  rest();
  const rested = drawn();
  assert.ok(rested !== before);
  after((entries) => entries.set('question.shirt.collarSpreadMm', 130));
  assert.ok(drawn() !== rested);
});

test('what is on record is told under a field once the hand rests, not as it passes by', () => {
  mock.timers.enable({ apis: ['setTimeout'] });
  const { after, container } = watched(createElement(Belt));
  const told = () => /On record: 47/.test(container.textContent ?? '');
  const rest = () => act(() => mock.timers.tick(500));
  after(beltTo(470));
  rest();
  assert.equal(told(), false);
  after(beltTo(480));
  assert.equal(told(), false);
  rest();
  assert.equal(told(), true);
  after(beltTo(470));
  after(beltTo(460));
  assert.equal(told(), true);
});

function Belt() {
  const measure = measures.client.frontDropMm;
  return createElement(MeasureField, { name: 'question.client.frontDropMm', measure, units: 'cm', recordedMm: 470 });
}
