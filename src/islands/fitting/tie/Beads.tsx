import { useEffect, useRef } from 'react';
import type { GuideStep } from '../../../core/guide/guide.ts';

interface BeadsProps {
  readonly steps: readonly GuideStep[];
  readonly at: number;
  readonly onGo: (to: number) => void;
}

/** All steps as they follow each other along the rope, each a way to it. */
export function Beads({ steps, at, onGo }: BeadsProps) {
  const now = useRef<HTMLButtonElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the bead at hand stays in sight.
  useEffect(() => {
    now.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [at]);
  return (
    <ol aria-label="Steps" className="flex shrink-0 overflow-x-auto border-b border-line">
      {steps.map((step, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
        <li key={i}>
          <button
            ref={i === at ? now : null}
            type="button"
            aria-current={i === at ? 'step' : undefined}
            className={`flex min-h-11 cursor-pointer items-center border-b-4 px-2 whitespace-nowrap hover:text-ink aria-[current]:border-set aria-[current]:font-medium aria-[current]:text-set ${i < at ? 'border-set/40 text-ink' : 'border-transparent text-soft'}`}
            onClick={() => onGo(i)}
          >
            {step.kind === 'move' ? <span className="figures">{step.told.move}</span> : step.title}
          </button>
        </li>
      ))}
    </ol>
  );
}
