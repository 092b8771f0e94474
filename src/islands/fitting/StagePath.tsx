import equal from 'fast-deep-equal';
import { memo } from 'react';
import { type StageCode, stageLabels, stages } from './stages.ts';

interface StagePathProps {
  readonly stage: StageCode;
  /** What each stage has settled, in a few words. */
  readonly settled: Readonly<Record<StageCode, string>>;
  readonly onGo: (to: StageCode) => void;
}

/** The one path of a fitting: its stages in their order, each with what it has settled. */
export const StagePath = memo(function StagePath({ stage, settled, onGo }: StagePathProps) {
  return (
    <nav aria-label="Stages of the fitting" className="min-w-0 grow">
      <ol className="flex">
        {stages.map((each, i) => (
          <li key={each} className="min-w-0 flex-1">
            <button
              type="button"
              aria-current={each === stage ? 'step' : undefined}
              className="group flex min-h-11 w-full cursor-pointer items-center gap-2 border-b-4 border-line px-1 text-left hover:border-set aria-[current]:border-set"
              onClick={() => onGo(each)}
            >
              <span
                aria-hidden
                className="figures flex size-6 shrink-0 items-center justify-center rounded-full max-sm:hidden border-2 border-soft text-note text-soft group-aria-[current]:border-set group-aria-[current]:bg-set group-aria-[current]:text-white"
              >
                {i + 1}
              </span>
              <span className="min-w-0 leading-tight">
                <span className="font-medium group-aria-[current]:text-set">{stageLabels[each]}</span>
                <span className="block truncate text-note text-soft max-sm:sr-only">{settled[each]}</span>
              </span>
            </button>
          </li>
        ))}
      </ol>
    </nav>
  );
}, equal);
