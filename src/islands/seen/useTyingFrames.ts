import { queryOptions, useQuery } from '@tanstack/react-query';
import { proxy, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import { type SeenCloth, unpackCloth } from '../../core/cloth/mesh/compact.ts';
import type { TyingRequest } from '../../core/cloth/simulate.ts';
import { framesAMove, packSequence, type TyingSequence, unpackSequence } from '../../core/cloth/steps/sequence.ts';
import { knotCode } from '../../core/knot/code.ts';
import type { StepsWorker } from '../../workers/steps.worker.ts';
import { keepTied, keptTied } from './keptCloth.ts';

/** The ready steps of a knot, in a usual tie; `null` where there are none. */
export function readyStepsQuery(code: string) {
  return queryOptions({
    queryKey: ['cloth', 'steps', code],
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: async (): Promise<TyingSequence | null> => {
      const response = await fetch(`/cloth/steps/${encodeURIComponent(code)}.bin`);
      if (!response.ok) return null;
      return unpackSequence(new Uint8Array(await response.arrayBuffer()));
    },
  });
}

/** How far the steps in this very tie have come: 1 once every frame is there. */
export type LiveSteps =
  | { readonly kind: 'settling'; readonly share: number }
  | { readonly kind: 'settled' }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed' };

interface Answer {
  readonly to: string;
  readonly sequence: TyingSequence;
  readonly live: LiveSteps;
}

/** What is asked first: the moves whole, then the finish and the drawing-up, and last what lies between the moves. */
function order(moves: number): readonly number[] {
  const all = Array.from({ length: moves * framesAMove + 1 }, (_, i) => i);
  const isWhole = (i: number) => i % framesAMove === 0;
  return [...all.filter(isWhole), ...all.filter((i) => !isWhole(i))];
}

/**
 * The frames of a knot's tying: ready ones in a usual tie at once where there are any, and in this very tie as they are settled off the
 * page's thread, first the whole moves. What was settled before is kept on the device; another question ends the one before it.
 */
export function useTyingFrames(request: TyingRequest): {
  /** In this very tie, as far as it is settled; and in a usual one. */
  readonly own: TyingSequence;
  readonly usual: TyingSequence | null | undefined;
  readonly live: LiveSteps;
  readonly stop: () => void;
  readonly again: () => void;
} {
  const asked = JSON.stringify(request);
  const usual = useQuery(readyStepsQuery(knotCode(request.knot))).data;
  const [round, setRound] = useState(0);
  const [answer, setAnswer] = useState<Answer>();
  const now = answer?.to === asked ? answer : { to: asked, sequence: nothing, live: { kind: 'settling', share: 0 } as const };
  const stopped = now.live.kind === 'stopped';
  // biome-ignore lint/correctness/useExhaustiveDependencies: asking again is another round of the same question.
  useEffect(() => {
    if (stopped) return;
    let worker: Worker | undefined;
    let current = true;
    const settleAll = async () => {
      const kept = await keptTied(asked, __STEPS_SOURCE__);
      if (!current) return;
      if (kept) return setAnswer({ to: asked, sequence: unpackSequence(kept), live: { kind: 'settled' } });
      worker = new Worker(new URL('../../workers/steps.worker.ts', import.meta.url), { type: 'module' });
      const remote = wrap<StepsWorker>(worker) as unknown as StepsWorker;
      const question = JSON.parse(asked) as TyingRequest;
      const moves = question.knot.moves.length;
      const frames = order(moves);
      const moving = new Array<SeenCloth | undefined>(frames.length);
      let [finished, drawn]: [SeenCloth | undefined, SeenCloth[]] = [undefined, []];
      let done = 0;
      const tell = (more: number, drawnShare = 0) => {
        done += more;
        if (current)
          setAnswer({
            to: asked,
            sequence: { moving: [...moving], finished, drawn },
            live: { kind: 'settling', share: Math.min(0.99, (done + drawnShare * drawingCounts) / (frames.length + drawingCounts)) },
          });
      };
      const settle = async (list: readonly number[]) => {
        for (const i of list) {
          if (!current) return;
          moving[i] = unpackCloth(await remote.settle(question, i / framesAMove));
          tell(1);
        }
      };
      await settle(frames.slice(0, moves + 1));
      if (question.knot.finish !== 'open') finished = unpackCloth(await remote.settle(question, moves + 1));
      tell(0);
      const onProgress = proxy((share: number) => tell(0, share));
      drawn = (await remote.drawUp(question, onProgress)).map(unpackCloth);
      tell(drawingCounts);
      await settle(frames.slice(moves + 1));
      worker.terminate();
      if (!current) return;
      const sequence = { moving, finished, drawn };
      setAnswer({ to: asked, sequence, live: { kind: 'settled' } });
      await keepTied(asked, packSequence(sequence), __STEPS_SOURCE__);
    };
    settleAll().catch(
      () => current && setAnswer((before) => ({ to: asked, sequence: before?.sequence ?? nothing, live: { kind: 'failed' } })),
    );
    return () => {
      current = false;
      worker?.terminate();
    };
  }, [asked, round, stopped]);
  return {
    own: now.sequence,
    usual,
    live: now.live,
    stop: () => setAnswer({ ...now, live: { kind: 'stopped' } }),
    again: () => {
      setAnswer(undefined);
      setRound((before) => before + 1);
    },
  };
}

const nothing: TyingSequence = { moving: [], finished: undefined, drawn: [] };
/** The drawing-up takes about as long as so many frames. */
const drawingCounts = 24;
