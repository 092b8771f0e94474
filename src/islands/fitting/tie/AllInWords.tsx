import { type GuideStep, inWordsAlone } from '../../../core/guide/guide.ts';

interface AllInWordsProps {
  readonly steps: readonly GuideStep[];
  readonly at: number;
  readonly onGo: (to: number) => void;
}

/** Every step so that it can be tied without a picture. */
export function AllInWords({ steps, at, onGo }: AllInWordsProps) {
  return (
    <ol className="min-h-0 overflow-y-auto py-1">
      {steps.map((step, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
        <li key={i}>
          <button
            type="button"
            aria-current={i === at ? 'step' : undefined}
            className="flex min-h-9 w-full cursor-pointer gap-3 px-1 py-1 text-left hover:bg-white aria-[current]:bg-white"
            onClick={() => onGo(i)}
          >
            <span className="figures w-6 shrink-0 text-right text-soft">{i + 1}</span>
            <span>
              <b className="font-medium">{step.title}.</b> {inWordsAlone(step)}
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}
