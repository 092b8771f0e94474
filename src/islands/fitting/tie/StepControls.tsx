import { Button } from '../../ui/Button.tsx';
import type { Tying } from './useTying.ts';

interface StepControlsProps {
  readonly tying: Tying;
  readonly count: number;
  /** What the step at hand is called. */
  readonly title: string;
  readonly onNext: () => void;
  /** Whether there is anything to go on to. */
  readonly isLast: boolean;
}

/** Back and on, and all of the tying led by hand between them. */
export function StepControls({ tying, count, title, onNext, isLast }: StepControlsProps) {
  return (
    <div className="flex items-center gap-3 pt-2">
      <Button look="other" className="min-w-24 text-lg" disabled={tying.at === 0} onClick={() => tying.go(tying.at - 1)}>
        Back
      </Button>
      <input
        type="range"
        aria-label="Through the tying by hand"
        aria-valuetext={title}
        className="h-11 min-w-0 grow accent-set"
        min={0}
        max={count - 1}
        step={0.05}
        value={tying.shownAt}
        onChange={(event) => tying.scrub(Number(event.target.value))}
        onPointerUp={() => tying.go(tying.at)}
      />
      <Button className="min-w-28 text-lg" disabled={isLast} onClick={onNext}>
        Next
      </Button>
    </div>
  );
}
