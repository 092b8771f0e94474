import { proxy, type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { PlanQuestion } from '../../../core/index.ts';
import type { HowSure as Answer } from '../../../core/plan/howSure.ts';
import type { SureWorker } from '../../../workers/sure.worker.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button } from '../../ui/Button.tsx';

const samples = 2000;
const firstSeed = 1;
/** Knots that come first more seldom are told together. */
const tellFrom = 0.03;

type Asking =
  | { readonly kind: 'resting' | 'stopped' }
  | { readonly kind: 'asking'; readonly done: number }
  | { readonly kind: 'answered'; readonly answer: Answer; readonly question: PlanQuestion };

/** How often each knot stays first when the measures lie a little otherwise, and which measure would settle it. */
export function HowSure() {
  const { question } = useAsked();
  const [asking, setAsking] = useState<Asking>({ kind: 'resting' });
  const [seed, setSeed] = useState(firstSeed);
  const worker = useRef<{ readonly raw: Worker; readonly remote: Remote<SureWorker> } | undefined>(undefined);
  useEffect(() => () => worker.current?.raw.terminate(), []);
  const ask = async (withSeed: number) => {
    if (!worker.current) {
      const raw = new Worker(new URL('../../../workers/sure.worker.ts', import.meta.url), { type: 'module' });
      worker.current = { raw, remote: wrap<SureWorker>(raw) };
    }
    setSeed(withSeed);
    setAsking({ kind: 'asking', done: 0 });
    const onProgress = proxy((done: number) => setAsking((now) => (now.kind === 'asking' ? { kind: 'asking', done } : now)));
    const answer = await worker.current.remote.ask(question, samples, withSeed, onProgress);
    if (answer) setAsking({ kind: 'answered', answer, question });
  };
  const stop = () => {
    void worker.current?.remote.stop();
    setAsking({ kind: 'stopped' });
  };
  const isOld = asking.kind === 'answered' && asking.question !== question;
  return (
    <section aria-label="How sure" className="border-t border-line py-1.5">
      <div className="flex items-center justify-between gap-2">
        {asking.kind === 'asking' ? (
          <>
            <label className="flex grow items-center gap-2 text-note">
              Trying {samples} variations…
              <progress className="h-2 grow accent-follows" max={samples} value={asking.done} />
            </label>
            <Button look="text" onClick={stop}>
              Stop
            </Button>
          </>
        ) : (
          <Button look="text" onClick={() => void ask(asking.kind === 'answered' && !isOld ? seed + 1 : seed)}>
            {asking.kind === 'answered' && !isOld ? 'Try other variations' : 'How sure is this?'}
          </Button>
        )}
        {asking.kind === 'stopped' && <span className="text-note text-soft">Stopped.</span>}
      </div>
      <div aria-live="polite">
        {asking.kind === 'answered' && (
          <div className={isOld ? 'opacity-50' : ''}>
            <Told answer={asking.answer} />
          </div>
        )}
      </div>
    </section>
  );
}

function Told({ answer: { firsts, settledBy, samples: tried, seed } }: { readonly answer: Answer }) {
  const told = firsts.filter(({ share }) => share >= tellFrom);
  const rest = firsts.length - told.length;
  return (
    <div className="text-[0.95rem] leading-snug">
      <ul>
        {told.map(({ title, share }) => (
          <li key={title} className="flex items-center gap-2">
            <span className="w-28 truncate">{title}</span>
            <span className="h-2 bg-follows" style={{ width: `${Math.round(share * 60)}%` }} aria-hidden />
            <span className="figures text-follows">{Math.round(share * 100)}%</span>
          </li>
        ))}
      </ul>
      <p className="text-note text-soft">
        stays first in so many of {tried} variations of the measures{rest > 0 ? `; ${rest} more now and then` : ''} (seed {seed}).{' '}
        {settledBy ? `Take ${settledBy.take}: it settles most.` : 'No single measure would settle it.'}
      </p>
    </div>
  );
}
