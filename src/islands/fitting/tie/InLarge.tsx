import { type ReactNode, useEffect, useRef } from 'react';
import { type GuideStep, saysIn } from '../../../core/guide/guide.ts';
import { useShortcuts } from '../../device/shortcuts.ts';
import { Button } from '../../ui/Button.tsx';
import { capital } from '../../ui/words.ts';

interface InLargeProps {
  readonly step: GuideStep;
  readonly place: string;
  /** A child is told in fewer words. */
  readonly isChild: boolean;
  readonly picture: ReactNode;
  readonly controls: ReactNode;
  readonly onNext: () => void;
  readonly onLeave: () => void;
}

/** Picture and sentence alone, on all of the screen where the browser lets it, read from two metres; a tap anywhere goes on. */
export function InLarge({ step, place, isChild, picture, controls, onNext, onLeave }: InLargeProps) {
  useShortcuts({ leaveLarge: onLeave });
  const leave = useRef(onLeave);
  leave.current = onLeave;
  useEffect(() => {
    // It is refused where nobody asked for it just now, as after a reload: then it fills the window.
    void document.documentElement.requestFullscreen?.().catch(() => undefined);
    // Escape is the browser's own then.
    const follow = () => !document.fullscreenElement && leave.current();
    document.addEventListener('fullscreenchange', follow);
    return () => {
      document.removeEventListener('fullscreenchange', follow);
      if (document.fullscreenElement) void document.exitFullscreen().catch(() => undefined);
    };
  }, []);
  return (
    <main aria-label="Tying in large" className="fixed inset-0 z-40 flex flex-col bg-ground">
      <div className="flex min-h-0 grow max-lg:flex-col">
        <div className="flex min-h-0 grow basis-3/5 flex-col">{picture}</div>
        <button
          type="button"
          className="flex grow basis-2/5 cursor-pointer flex-col justify-center gap-4 p-6 text-left"
          onClick={onNext}
          aria-label={`Next step after: ${saysIn(step)}`}
        >
          <span className="text-3xl text-soft">
            {step.title} · {place}
          </span>
          <span aria-live="polite" className="text-[clamp(2rem,4.6vw,5rem)] leading-[1.05] font-semibold text-balance">
            {isChild && step.kind === 'move' ? `${capital(step.told.text)}.` : saysIn(step)}
          </span>
          {step.kind === 'move' && !isChild && <span className="text-3xl text-follows">{step.told.shown}</span>}
        </button>
      </div>
      <div className="flex items-center gap-4 border-t border-line px-5 pb-2">
        <div className="grow">{controls}</div>
        <Button look="other" onClick={onLeave}>
          Back to the fitting
        </Button>
      </div>
    </main>
  );
}
