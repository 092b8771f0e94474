import '../support/dom.ts';
import assert from 'node:assert/strict';
import { afterEach, beforeEach, mock, test } from 'node:test';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { createElement, type ReactNode } from 'react';
import { packCloth, type SeenCloth } from '../../src/core/cloth/mesh/compact.ts';
import { referenceSteps } from '../../src/core/cloth/reference.ts';
import { settle } from '../../src/core/cloth/steps/settle.ts';
import { parseKnot } from '../../src/core/index.ts';
import { useRehearsing } from '../../src/islands/fitting/tie/useRehearsing.ts';
import { useSpeaking } from '../../src/islands/fitting/tie/useSpeaking.ts';
import { useTying } from '../../src/islands/fitting/tie/useTying.ts';
import { useTyingFrames } from '../../src/islands/seen/useTyingFrames.ts';
import { createQueryClient } from '../../src/islands/wire/queries.ts';
import { answerWorkers } from '../support/workers.ts';

const moves = 'Li Ro Li Co T';
let stills = true;
const frames: ((now: number) => void)[] = [];
Object.assign(globalThis, {
  __STEPS_SOURCE__: 'test',
  matchMedia: () => ({ matches: stills }),
  requestAnimationFrame: (frame: (now: number) => void) => frames.push(frame),
  cancelAnimationFrame: () => frames.splice(0),
});
beforeEach(() => {
  stills = true;
  frames.splice(0);
  sessionStorage.clear();
});
afterEach(() => {
  cleanup();
  mock.restoreAll();
  mock.timers.reset();
});

test('one goes forward and back within the steps, and the place is kept for this knot and no other', () => {
  const { result } = renderHook(() => useTying(moves, 4));
  act(() => result.current.go(1));
  act(() => result.current.go(2));
  assert.deepEqual([result.current.at, result.current.shownAt], [2, 2]);
  act(() => result.current.go(9));
  assert.equal(result.current.at, 3, 'no further than the last');
  act(() => result.current.go(-1));
  assert.equal(result.current.at, 0);
  act(() => result.current.go(2));
  cleanup();
  assert.equal(renderHook(() => useTying(moves, 4)).result.current.at, 2);
  assert.equal(renderHook(() => useTying('Lo Ri Co T', 4)).result.current.at, 0);
  assert.equal(renderHook(() => useTying(moves, 2)).result.current.at, 1, 'a guide that is shorter now ends earlier');
});

test('what was kept and cannot be read any more is as if nothing was', () => {
  for (const kept of ['{', '7', 'null', '{"moves":"Li Ro Li Co T","at":"two"}', '{"moves":"Li Ro Li Co T","at":-1}']) {
    sessionStorage.setItem('ropewalk.tying.1', kept);
    assert.equal(renderHook(() => useTying(moves, 4)).result.current.at, 0, kept);
    cleanup();
  }
});

test('between two steps the picture moves, never before where it began, and ends on the step; a jump does not move', () => {
  stills = false;
  const { result } = renderHook(() => useTying(moves, 6));
  const began = performance.now();
  act(() => result.current.go(1));
  assert.ok(result.current.isMoving);
  const seen: number[] = [];
  for (const ms of [-20, 200, 600, 1000, 5000]) {
    act(() => frames.shift()?.(began + ms));
    seen.push(result.current.shownAt);
  }
  assert.deepEqual(
    seen,
    seen.toSorted((a, b) => a - b),
  );
  assert.ok(seen[0] === 0 && (seen[2] ?? 0) > 0 && (seen[2] ?? 0) < 1);
  assert.deepEqual([seen.at(-1), result.current.isMoving], [1, false]);
  act(() => result.current.go(4));
  assert.deepEqual([result.current.shownAt, result.current.isMoving], [4, false]);
});

test('led by hand it stands where the hand is, and the step is the nearer one', () => {
  const { result } = renderHook(() => useTying(moves, 6));
  act(() => result.current.setByItself(true));
  act(() => result.current.scrub(2.6));
  assert.deepEqual([result.current.shownAt, result.current.at, result.current.isByItself], [2.6, 3, false]);
});

test('by itself it goes on at its pace, and stops at the last step', () => {
  mock.timers.enable({ apis: ['setTimeout'] });
  const { result } = renderHook(() => useTying(moves, 3));
  act(() => result.current.setPace('quick'));
  act(() => result.current.setByItself(true));
  act(() => mock.timers.tick(3400));
  assert.equal(result.current.at, 0);
  act(() => mock.timers.tick(200));
  assert.equal(result.current.at, 1);
  act(() => mock.timers.tick(3500));
  assert.deepEqual([result.current.at, result.current.isByItself], [2, false]);
});

function rehearse(stepsInAll = 7) {
  return renderHook(() => {
    const tying = useTying(moves, stepsInAll);
    return { tying, run: useRehearsing(tying, 4, stepsInAll) };
  }).result;
}

test('a run times its moves and is done with the last; with the finish every step counts', () => {
  const result = rehearse();
  act(() => result.current.run.begin());
  assert.deepEqual([result.current.run.state, result.current.run.count], ['running', 4]);
  for (let i = 0; i < 4; i++) act(() => result.current.run.next());
  assert.deepEqual([result.current.run.state, result.current.run.seconds.length, result.current.tying.at], ['done', 4, 4]);
  act(() => result.current.run.next());
  assert.equal(result.current.run.seconds.length, 4, 'what follows is not timed');
  act(() => result.current.run.setPart('finish'));
  assert.deepEqual([result.current.run.state, result.current.run.count], ['resting', 6]);
});

test('going back in a run times no step twice; a run that is stopped leaves nothing', () => {
  const result = rehearse();
  act(() => result.current.run.begin());
  const { id } = result.current.run;
  act(() => result.current.run.next());
  act(() => result.current.tying.go(0));
  act(() => result.current.run.next());
  assert.equal(result.current.run.seconds.length, 1);
  act(() => result.current.run.drop());
  assert.deepEqual([result.current.run.state, result.current.run.seconds], ['resting', []]);
  act(() => result.current.run.begin());
  assert.notEqual(result.current.run.id, id, 'another run is another record');
});

test('in a class at one pace the steps that follow by themselves are timed as those of a hand are', () => {
  mock.timers.enable({ apis: ['setTimeout', 'setInterval'] });
  try {
    const result = rehearse();
    act(() => {
      result.current.run.begin();
      result.current.tying.setByItself(true);
    });
    for (let i = 0; i < 4; i++) act(() => mock.timers.tick(6001));
    assert.deepEqual([result.current.run.state, result.current.run.seconds.length, result.current.tying.at], ['done', 4, 4]);
    act(() => mock.timers.tick(6001));
    assert.equal(result.current.run.seconds.length, 4, 'the finish is not timed with the moves');
  } finally {
    mock.timers.reset();
  }
});

test('repeated, each step is shown three times before the next', () => {
  const result = rehearse();
  act(() => result.current.run.setRepeats(3));
  const places: number[] = [];
  for (let i = 0; i < 7; i++) {
    act(() => result.current.run.next());
    places.push(result.current.tying.at);
  }
  assert.deepEqual(places, [1, 1, 1, 2, 2, 2, 3]);
});

test('where the browser has no voice what would be said is written, anew at every step, until it is not wanted', () => {
  const { result, rerender } = renderHook(({ text }) => useSpeaking(text), { initialProps: { text: 'Take it across.' } });
  assert.equal(result.current.written, '');
  act(() => result.current.setSpeaks(true));
  assert.equal(result.current.written, 'Take it across.');
  rerender({ text: 'Tuck it.' });
  assert.equal(result.current.written, 'Tuck it.');
  act(() => result.current.setSpeaks(false));
  assert.equal(result.current.written, '');
});

test('a browser with a voice says it, calmly, one sentence at a time, and writes nothing', () => {
  const said: string[] = [];
  let hushed = 0;
  Object.assign(globalThis, {
    SpeechSynthesisUtterance: class {
      constructor(readonly text: string) {}
    },
    speechSynthesis: {
      getVoices: () => ['a voice'],
      speak: ({ text, rate }: { text: string; rate: number }) => said.push(`${text} ${rate < 1}`),
      cancel: () => hushed++,
    },
  });
  const { result } = renderHook(() => useSpeaking('Take it across.'));
  act(() => result.current.setSpeaks(true));
  assert.deepEqual([said, result.current.written], [['Take it across. true'], '']);
  const before = hushed;
  act(() => result.current.setSpeaks(false));
  assert.ok(hushed > before);
  Reflect.deleteProperty(globalThis, 'speechSynthesis');
});

function inQueries() {
  const client = createQueryClient();
  const { queries } = client.getDefaultOptions();
  client.setDefaultOptions({ queries: { ...queries, gcTime: Number.POSITIVE_INFINITY } });
  return { wrapper: ({ children }: { readonly children: ReactNode }) => createElement(QueryClientProvider, { client }, children) };
}

const oriental = referenceSteps(parseKnot('Lo Ri Co T'));

test('the steps in this very tie come one after the other, the whole moves first; the end tells that all are there', async () => {
  mock.method(globalThis, 'fetch', async () => new Response('', { status: 404 }));
  const bytes = packCloth(settle(oriental, 1).frame);
  const asked: number[] = [];
  answerWorkers({
    settle: (_: unknown, done: number) => {
      asked.push(done);
      return bytes;
    },
    drawUp: async (_: unknown, onProgress: (share: number) => Promise<void>) => {
      asked.push(-1);
      await onProgress(0.5);
      return [bytes, bytes];
    },
  });
  const { result } = renderHook(() => useTyingFrames(oriental), inQueries());
  assert.deepEqual(result.current.live, { kind: 'settling', share: 0 });
  await waitFor(() => assert.equal(result.current.live.kind, 'settled'), { timeout: 5000 });
  assert.deepEqual(asked.slice(0, 6), [0, 1, 2, 3, 4, -1]);
  assert.deepEqual(asked.slice(6), [0.25, 0.5, 0.75, 1.25, 1.5, 1.75, 2.25, 2.5, 2.75]);
  const { moving, finished, drawn } = result.current.own;
  assert.ok(moving.length === 13 && moving.every((frame): frame is SeenCloth => frame !== undefined));
  assert.ok(finished && drawn.length === 2);
  assert.equal(result.current.usual, null, 'none is kept ready here');
});

test('stopped, what was settled stays as it is; a worker that fails is told, and asked again on wish', async () => {
  mock.method(globalThis, 'fetch', async () => new Response('', { status: 404 }));
  answerWorkers({ settle: () => new Promise(() => undefined) });
  const first = renderHook(() => useTyingFrames(oriental), inQueries());
  act(() => first.result.current.stop());
  assert.equal(first.result.current.live.kind, 'stopped');
  act(() => first.result.current.again());
  assert.equal(first.result.current.live.kind, 'settling');
  cleanup();
  answerWorkers({
    settle: () => {
      throw new Error('no');
    },
  });
  const other = renderHook(() => useTyingFrames(oriental), inQueries());
  await waitFor(() => assert.equal(other.result.current.live.kind, 'failed'));
});
