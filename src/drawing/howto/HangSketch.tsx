import { inkColour } from '../sheet/ink.ts';

/** How a tie is hung to measure a loop, small enough to stand beside its field. Decorative: the words beside it say the same. */
export function HangSketch({ of }: { readonly of: 'open' | 'crossed' }) {
  const isOpen = of === 'open';
  return (
    <svg viewBox="-60 -40 120 170" className="h-28 w-20 shrink-0" aria-hidden="true">
      <path d="M-58 40C-40 8 -26 0 -18 -6V-36H18V-6C26 0 40 8 58 40V128H-58Z" fill="var(--color-white)" stroke="var(--color-soft)" />
      <g fill="none" strokeLinecap="round" strokeLinejoin="round">
        {isOpen ? (
          <path d="M-18 100V-4C-16 -22 16 -22 18 -4V100" stroke="var(--color-ink)" strokeWidth="7" />
        ) : (
          <>
            <path d="M12 70V20L-18 -4C-16 -22 16 -22 18 -4L-4 14" stroke="var(--color-soft)" strokeWidth="5" />
            <path d="M18 -4L-12 20V110" stroke="var(--color-ink)" strokeWidth="8" />
          </>
        )}
        <g stroke={inkColour.set} strokeWidth="2">
          {isOpen ? <path d="M0 0V100M-8 0H8M-26 100H26" /> : <path d="M36 0V70M30 0H42M30 70H42M-36 0V110M-42 0H-30M-42 110H-30" />}
        </g>
      </g>
      <circle r="3" fill={inkColour.set} />
    </svg>
  );
}
