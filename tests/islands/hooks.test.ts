import '../support/dom.ts';
import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { afterEach, mock, test } from 'node:test';
import { gunzipSync } from 'node:zlib';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { createElement, type ReactNode } from 'react';
import { answerVersion } from '../../src/contract/keptAnswer.ts';
import { changedInBetween } from '../../src/contract/problem.ts';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import { unpackCloth } from '../../src/core/cloth/mesh/compact.ts';
import { referenceTying } from '../../src/core/cloth/reference.ts';
import { parseKnot } from '../../src/core/index.ts';
import { knotCode } from '../../src/core/knot/code.ts';
import type { FabricLook } from '../../src/core/tie/fabricLook.ts';
import type { RankedTie } from '../../src/core/wardrobe/rankTies.ts';
import { keptAtHand } from '../../src/islands/atHand/kept.ts';
import { soundQuestion } from '../../src/islands/atHand/question.ts';
import { useSavedHere } from '../../src/islands/atHand/savedHere.ts';
import { useAddress } from '../../src/islands/atHand/useAddress.ts';
import { freshAtHand } from '../../src/islands/atHand/values.ts';
import { useTieRanking } from '../../src/islands/fitting/choose/ties/useTieRanking.ts';
import { useSaving } from '../../src/islands/fitting/useSaving.ts';
import { useKeeping } from '../../src/islands/records/form/useKeeping.ts';
import { useKnotInCloth } from '../../src/islands/seen/useKnotPictures.ts';
import { useLiveCloth } from '../../src/islands/seen/useLiveCloth.ts';
import { createEntryStore } from '../../src/islands/ui/entryStore.ts';
import { createQueryClient } from '../../src/islands/wire/queries.ts';
import { emptyWardrobe } from '../support/wardrobe.ts';
import { answerWorkers } from '../support/workers.ts';

afterEach(() => {
  cleanup();
  sessionStorage.clear();
  mock.restoreAll();
});

function quickQueries() {
  const queries = createQueryClient();
  // Waiting is the same however long it takes; and what is done with is not kept for minutes.
  const { queries: asked, mutations } = queries.getDefaultOptions();
  const gcTime = Number.POSITIVE_INFINITY;
  queries.setDefaultOptions({ queries: { ...asked, gcTime }, mutations: { ...mutations, retryDelay: 1, gcTime } });
  return queries;
}

function inQueries(queries = quickQueries()) {
  return { wrapper: ({ children }: { readonly children: ReactNode }) => createElement(QueryClientProvider, { client: queries }, children) };
}

Object.assign(globalThis, { __CLOTH_SOURCE__: 'test' });

const values = freshAtHand(emptyWardrobe);
const question = soundQuestion(values.question, 'cm');
assert.ok(question);

/** Answers one request after another; the last answer stays. */
function answering(...answers: readonly (() => Response)[]) {
  const sent: { id: string }[] = [];
  mock.method(globalThis, 'fetch', async (_: string, init: RequestInit) => {
    sent.push(JSON.parse(String(init.body)) as { id: string });
    const answer = answers[Math.min(sent.length, answers.length) - 1];
    assert.ok(answer);
    return answer();
  });
  return sent;
}
const json = (status: number, body: unknown) => () => new Response(JSON.stringify(body), { status });
const refusal = (code: string, more: object = {}) => ({ error: { code, message: 'No.', fields: [], ...more } });

test('a fitting is saved again and again under one id while the records are away, and then once', async () => {
  const sent = answering(
    json(503, refusal('records-unreachable')),
    json(503, refusal('records-unreachable')),
    json(201, { id: 'f', clientName: 'W' }),
  );
  const { result } = renderHook(() => useSaving(values, useSavedHere()), inQueries());
  assert.equal(result.current.state.kind, 'unsaved');
  act(() => result.current.save(values, question, 'Li Ro Li Co T'));
  await waitFor(() => assert.equal(result.current.state.kind, 'saved'));
  assert.equal(sent.length, 3);
  assert.equal(new Set(sent.map(({ id }) => id)).size, 1);
});

test('a fitting changed since it was saved is not told as saved; another one has another id', async () => {
  const sent = answering(json(201, { id: 'f', clientName: 'W' }));
  const { result, rerender } = renderHook(({ now }) => useSaving(now, useSavedHere()), { ...inQueries(), initialProps: { now: values } });
  act(() => result.current.save(values, question, 'Li Ro Li Co T'));
  await waitFor(() => assert.equal(result.current.state.kind, 'saved'));
  const changed = { ...values, note: 'shorter' };
  rerender({ now: changed });
  assert.equal(result.current.state.kind, 'unsaved');
  act(() => result.current.save(changed, question, 'Li Ro Li Co T'));
  await waitFor(() => assert.equal(result.current.state.kind, 'saved'));
  assert.notEqual(sent[0]?.id, sent[1]?.id);
});

test('what was saved stays saved over a reload, goes on as another fitting when that is wanted, and its tyings are not saved twice', async () => {
  const attempt = {
    moves: 'Li Ro Li Co T',
    tie: 't',
    tailMm: 430,
    state: 'snug',
    tipOffMm: 20,
    tailEndMm: null,
    takeUpMm: 187,
    errorMm: 15,
    noiseMm: 10,
  } as const;
  const tried = { ...values, attempts: [attempt] };
  const first = { id: 'f', clientName: 'W', answerVersion, attempts: [attempt] };
  const sent = answering(json(201, first), json(201, { ...first, id: 'g', attempts: [] })) as unknown as {
    id: string;
    attempts: unknown[];
  }[];
  const asOpened = () => renderHook(() => ({ saved: useSavedHere(), saving: useSaving(tried, useSavedHere()) }), inQueries());
  const once = renderHook(() => useSaving(tried, useSavedHere()), inQueries());
  act(() => once.result.current.save(tried, question, 'Li Ro Li Co T'));
  await waitFor(() => assert.equal(once.result.current.state.kind, 'saved'));
  assert.deepEqual(sent[0]?.attempts, [attempt]);
  once.unmount();
  const again = asOpened();
  await waitFor(() => assert.equal(again.result.current.saving.state.kind, 'saved'));
  act(() => again.result.current.saved.startAnew());
  again.unmount();
  const anew = renderHook(() => useSaving(tried, useSavedHere()), inQueries());
  assert.equal(anew.result.current.state.kind, 'unsaved');
  act(() => anew.result.current.save(tried, question, 'Li Ro Li Co T'));
  await waitFor(() => assert.equal(anew.result.current.state.kind, 'saved'));
  assert.notEqual(sent[1]?.id, sent[0]?.id);
  assert.deepEqual(sent[1]?.attempts, [], 'the tying went with the first fitting');
});

test('a knot’s picture is painted once, goes on being shown when all is asked for anew, and is given back in the end', async () => {
  let painted = 0;
  answerWorkers({ paintAlone: () => ++painted });
  mock.method(URL, 'createObjectURL', (picture: unknown) => `blob:${picture}`);
  const given = mock.method(URL, 'revokeObjectURL', () => undefined);
  const queries = quickQueries();
  const ready = (file: string) => readFileSync(new URL(`../../public/cloth/${file}`, import.meta.url));
  queries.setQueryData(['cloth', 'index'], JSON.parse(ready('index.json').toString()));
  const words = ['Li Ro Li Co T', 'Lo Ri Co T'];
  for (const code of words.map((word) => knotCode(parseKnot(word))))
    queries.setQueryData(['cloth', code], unpackCloth(new Uint8Array(gunzipSync(ready(`${code}.bin.gz`)))));
  const paint: FabricLook = { fabric: 'woven-silk', pattern: 'solid', colours: ['#102030'] };
  const { result, rerender } = renderHook(({ word }) => useKnotInCloth(word, paint), {
    ...inQueries(queries),
    initialProps: { word: words[0]! },
  });
  await waitFor(() => assert.notEqual(result.current, undefined));
  const first = result.current?.href;
  rerender({ word: words[1]! });
  await waitFor(() => assert.notEqual(result.current, undefined));
  assert.notEqual(result.current?.href, first);
  rerender({ word: words[0]! });
  assert.equal(result.current?.href, first);
  await act(() => queries.invalidateQueries({ queryKey: ['painted'] }));
  assert.equal(painted, 2);
  assert.equal(given.mock.callCount(), 0);
  queries.clear();
  assert.ok(given.mock.calls.some((call) => call.arguments[0] === first));
});

test('what stands at hand is written down when the hand rests, or when the page is left before', () => {
  mock.timers.enable({ apis: ['setTimeout'] });
  const store = createEntryStore(values);
  const { rerender } = renderHook(({ now }) => useAddress(store, now, undefined, true, false), {
    ...inQueries(),
    initialProps: { now: values },
  });
  mock.timers.tick(1000);
  const moved = { ...values, note: 'a' };
  rerender({ now: moved });
  assert.deepEqual(keptAtHand()?.values, values);
  window.dispatchEvent(new window.Event('pagehide'));
  assert.deepEqual(keptAtHand()?.values, moved);
  const on = { ...moved, note: 'ab' };
  rerender({ now: on });
  mock.timers.tick(1000);
  assert.deepEqual(keptAtHand()?.values, on);
  mock.timers.reset();
});

test('who stops trying is told that nothing was saved; who saves again tries the same fitting', async () => {
  const sent = answering(json(503, refusal('records-unreachable')));
  const { result } = renderHook(() => useSaving(values, useSavedHere()), inQueries());
  act(() => result.current.save(values, question, 'Li Ro Li Co T'));
  await waitFor(() => assert.equal(result.current.state.kind, 'waiting'));
  act(() => result.current.giveUp());
  await waitFor(() => assert.equal(result.current.state.kind, 'given-up'));
  const tries = sent.length;
  answering(json(201, { id: 'f', clientName: 'W' }));
  act(() => result.current.save(values, question, 'Li Ro Li Co T'));
  await waitFor(() => assert.equal(result.current.state.kind, 'saved'));
  assert.ok(tries >= 1);
});

const client = { ...kinds.clients.fresh, id: 'c', version: 1, archived: false, name: 'A' };

test('a record that somebody else changed comes back with theirs, and a refusal with its faults', async () => {
  const theirs = { ...client, version: 2, name: 'B' };
  answering(
    json(409, refusal(changedInBetween, { current: theirs })),
    json(400, refusal('invalid', { fields: [{ path: 'name', message: 'No name.' }] })),
  );
  const kept: unknown[] = [];
  const { result } = renderHook(() => useKeeping('clients', 'cm', (record) => kept.push(record)), inQueries());
  act(() => result.current.keep(client));
  await waitFor(() => assert.deepEqual(result.current.theirs, theirs));
  assert.equal(result.current.message, undefined, 'the two records speak for themselves');
  act(() => result.current.settle());
  act(() => result.current.keep(client));
  await waitFor(() => assert.deepEqual(result.current.faults, [{ path: 'name', message: 'No name.' }]));
  assert.deepEqual(kept, []);
});

test('a kept record is handed on once, and told as kept', async () => {
  answering(json(503, refusal('records-unreachable')), json(200, { ...client, version: 2 }));
  const kept: unknown[] = [];
  const { result } = renderHook(() => useKeeping('clients', 'cm', (record) => kept.push(record)), inQueries());
  act(() => result.current.keep(client));
  await waitFor(() => assert.equal(result.current.state, 'kept'));
  assert.deepEqual(kept, [{ ...client, version: 2 }]);
});

test('ties are ranked as they are judged; another outfit begins anew; stopping is told', async () => {
  const ranked = (id: string, score: number): RankedTie => ({ id, score, feasible: true, landing: 1, missingMm: 0, best: 'Windsor' });
  let finish: (finished: boolean) => void = () => undefined;
  const stopped: true[] = [];
  answerWorkers({
    judge: async (_outfit: unknown, _ties: unknown, onBatch: (batch: readonly RankedTie[]) => Promise<void>) => {
      await onBatch([ranked('a', 0.2), ranked('b', 0.9)]);
      return new Promise<boolean>((resolve) => {
        finish = resolve;
      });
    },
    stop: () => {
      stopped.push(true);
      finish(false);
    },
  });
  const outfit = { question, shirtColour: null };
  const ties: never[] = [];
  const { result } = renderHook(() => useTieRanking(outfit, ties), inQueries());
  await waitFor(() =>
    assert.deepEqual(
      result.current.ranked.map(({ id }) => id),
      ['b', 'a'],
    ),
  );
  assert.equal(result.current.state, 'judging');
  act(() => result.current.stop());
  await waitFor(() => assert.equal(result.current.state, 'stopped'));
  assert.deepEqual([stopped.length, result.current.judged], [1, 2]);
  act(() => result.current.again());
  assert.equal(result.current.state, 'judging');
  await waitFor(() => assert.equal(result.current.judged, 2));
  finish(true);
  await waitFor(() => assert.equal(result.current.state, 'done'));
});

test('where the browser does not get through a tying that is told as what it is, and can be tried again', async () => {
  let calls = 0;
  answerWorkers({
    tie: async () => {
      calls++;
      throw new WebAssembly.CompileError('refused by the policy');
    },
  });
  const { result } = renderHook(() => useLiveCloth(referenceTying(parseKnot('Li Ro Li Co T'))), inQueries());
  await waitFor(() => assert.equal(result.current.live.kind, 'failed'));
  act(() => result.current.again());
  await waitFor(() => assert.equal(calls, 2));
  await waitFor(() => assert.equal(result.current.live.kind, 'failed'));
});

test('a knot that can’t be tied in this tie is told so; one that is stopped is not tied on', async () => {
  let calls = 0;
  answerWorkers({
    tie: async (_request: unknown, onProgress: (share: number, attempt: number) => Promise<void>) => {
      calls++;
      await onProgress(0.5, 0);
      return undefined;
    },
  });
  const request = referenceTying(parseKnot('Li Ro Li Co T'));
  const { result } = renderHook(() => useLiveCloth(request), inQueries());
  assert.deepEqual(result.current.live, { kind: 'tying', share: 0, attempt: 0 });
  await waitFor(() => assert.equal(result.current.live.kind, 'refused'));
  assert.equal(calls, 1);
  act(() => result.current.again());
  assert.equal(result.current.live.kind, 'tying');
  act(() => result.current.stop());
  assert.equal(result.current.live.kind, 'stopped');
});
